import { type Edit, isNoted, type Plan } from '@grey-keel/model';
import { goesInto, heldBy, type MeasuredKind } from '../plan/held-by.ts';
import { sameValue } from '../plan/same-value.ts';
import { settingsFor } from '../plan/settings-for.ts';

/**
 * What turned out to be set in a device while readings were taken, as the edits that note it: none where that is what it
 * is known to hold. `changes` are settings of the procedure, of which those count that are set in a device.
 */
export const foundSet = (
  plan: Plan,
  of: MeasuredKind,
  id: string,
  changes: Readonly<Record<string, unknown>>,
  at: string,
): Edit[] => {
  if (of !== 'depth' && isNoted(of)) return [];
  const names = of === 'depth' ? ['offsetSetM'] : settingsFor(of, 'set').map(([name]) => name);
  if (!names.some((name) => name in changes)) return [];
  const now: unknown = of === 'depth' ? plan.depthOffsets[id] : plan.calibrations[of][id];
  const settings = new Map<string, unknown>(Object.entries({ ...(now as object | undefined), ...changes }));
  const figures = names.flatMap((name) => {
    const figure = settings.get(name);
    return typeof figure === 'number' ? [figure] : [];
  });
  const { kind, deviceOf, value } = goesInto[of];
  const deviceId = deviceOf(plan, id);
  const found = value(figures, plan, id);
  return found === null || sameValue(heldBy(plan, deviceId, kind, id), found)
    ? []
    : [{ type: 'readAsFound', kind, deviceId, ofId: id, asFound: { value: found, at, by: null } } as Edit];
};
