import type { AsLeft, Edit, MeasuredEntry, Plan } from '@grey-keel/model';
import { goesInto, type HeldCalibrationKind } from '../plan/held-by.ts';
import { calibrationRows } from './calibration-rows.ts';
import { measuredOffset } from './depth-offset-subject.ts';

type Procedure = HeldCalibrationKind | 'depth';

/** What an entry of a procedure's result rests on; null where its readings give none yet. */
export const measuredEntry = (plan: Plan, of: Procedure, id: string): MeasuredEntry | null => {
  if (of === 'depth') {
    const [inputs, result] = [measuredOffset.slice(plan, id), measuredOffset.of(plan, id)];
    if (!inputs || !result?.known) return null;
    const { standardErrorM: standardError, halfInterval95M: half95 } = result.answer;
    const [fingerprint, parts] = [measuredOffset.fingerprint(inputs), measuredOffset.parts(inputs)];
    return { of, fingerprint, parts, half95, standardError };
  }
  const { result } = calibrationRows[of];
  const [inputs, it] = [result.slice(plan, id), result.of(plan, id)];
  if (!inputs || !it?.known) return null;
  const [fingerprint, parts] = [result.fingerprint(inputs as never), result.parts(inputs as never)];
  return { of, fingerprint, parts, half95: it.half?.value ?? null, standardError: null };
};

/** The edit that keys what a procedure found into the device that takes it; null where its figures make no value there. */
export const keyedIn = (
  plan: Plan,
  of: Procedure,
  id: string,
  figures: readonly number[],
  said: Omit<AsLeft, 'value'>,
): Edit | null => {
  const { kind, deviceOf, value } = goesInto[of];
  const made = value(figures, plan, id);
  return made === null
    ? null
    : ({
        type: 'enterSetting',
        kind,
        deviceId: deviceOf(plan, id),
        ofId: id,
        asLeft: { ...said, value: made },
      } as Edit);
};

/**
 * The edit that keys a depth offset into the display it is read on: `offsetM` as that display takes it. Null where the
 * readings give none yet.
 */
export const offsetKeyedIn = (
  plan: Plan,
  transducerId: string,
  offsetM: number,
  { at, by, reason }: { readonly at: string; readonly by: string | null; readonly reason: string | null },
): Edit | null => {
  const measured = measuredEntry(plan, 'depth', transducerId);
  const said = { at, by, seenAgainAt: null, ...(reason === null ? {} : { reason }) };
  return measured && keyedIn(plan, 'depth', transducerId, [offsetM], { ...said, measured });
};
