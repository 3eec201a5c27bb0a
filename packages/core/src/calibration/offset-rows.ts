import type { Plan, Quantity, SettingValue } from '@grey-keel/model';
import { defineSetting, type Setting, type Wanted } from '../plan/define-setting.ts';
import { goesInto, type HeldCalibrationKind, heldLine } from '../plan/held-by.ts';
import { setUpIn } from '../plan/read-at.ts';
import { inOrder } from '../plan/working-water.ts';
import { depthGivers } from '../sources/depth-givers.ts';
import { depthDisplayOf } from '../sources/depth-display.ts';
import { offsetForDisplay } from '../sources/offset-for-display.ts';
import { itsOwn } from '../sources/display-rows.ts';
import { looksAside } from './calibrated-sensors.ts';
import { calibrationRows, kindWord } from './calibration-rows.ts';
import { depthOffsetOf, measuredOffset } from './depth-offset-subject.ts';
import { offsetAtGrounding } from './offset-at-grounding.ts';
import { toleranceOf } from './measured-by-kind.ts';

/** The transducers whose depth a display shows, or that are read on it. */
const depthsShownAt = (plan: Plan, deviceId: string): readonly string[] =>
  depthGivers(plan).flatMap(({ id, stationIds }) =>
    stationIds.includes(deviceId) || setUpIn(plan, id) === deviceId ? [id] : [],
  );

export const depthOffsetSetting = defineSetting({
  kind: 'depth-offset',
  group: 'Offsets',
  word: 'Depth offset',
  of: depthsShownAt,
  measured: 'depth',
  wanted: (plan, deviceId, ofId) => {
    const result = measuredOffset.of(plan, ofId);
    if (!result?.known) return { reason: result?.wanting ?? 'not measured yet' };
    const offsetM = offsetForDisplay(plan, ofId, result.answer.offsetM, deviceId);
    return { value: { offsetM, reference: depthOffsetOf(plan, ofId).reference } };
  },
  // Within a step of the display nothing else could be keyed in; where none holds at every depth, the one at grounding will do.
  bears: (held, wanted, plan, deviceId, ofId) => {
    const { step, metresPerUnit } = depthDisplayOf(plan, deviceId);
    const result = measuredOffset.of(plan, ofId);
    const grounding = result?.known ? offsetAtGrounding(plan, ofId, result.answer) : null;
    const right = [wanted.offsetM, ...(grounding ? [offsetForDisplay(plan, ofId, grounding.value, deviceId)] : [])];
    return (
      held.reference === wanted.reference &&
      right.some((offsetM) => Math.abs(held.offsetM - offsetM) < step * metresPerUnit - 1e-9)
    );
  },
  inWords: ({ offsetM, reference }) => [
    offsetM > 0 ? '+' : '',
    { value: offsetM, quantity: 'length' },
    `, from the ${reference}`,
  ],
});

/** Of what is set up in a display, and of what else somebody looked at on it. */
export const sidesSetting = defineSetting({
  kind: 'sides',
  group: 'Offsets',
  word: 'Port and starboard',
  of: (plan, deviceId) =>
    plan.displays[deviceId]
      ? inOrder(plan.transducers).flatMap(([id, { kind }]) =>
          looksAside.includes(kind) && (setUpIn(plan, id) === deviceId || heldLine(plan, deviceId, 'sides', id))
            ? [id]
            : [],
        )
      : [],
  measured: 'sides',
  wanted: () => ({ value: 'right' }),
  inWords: (value) => [value === 'right' ? 'the right way round' : 'swapped'],
});

/** What a procedure's readings give for a device that holds one or two figures. */
const measuredFor = (plan: Plan, of: HeldCalibrationKind, id: string): Wanted => {
  const it = calibrationRows[of].result.of(plan, id);
  if (!it?.known) return { reason: it ? it.wanting : 'not measured yet' };
  const value = goesInto[of].value(
    it.enter.map((figure) => figure.value),
    plan,
    id,
  );
  return value === null ? { reason: 'its readings say both' } : { value };
};

/** Held by the sensor itself; within the tolerance nothing need be keyed in anew. */
const ofSensor = <K extends 'speed' | 'temperature' | 'heading' | 'pointing'>(
  kind: K,
  quantity: Quantity,
): Setting<K> =>
  defineSetting<K>({
    kind,
    group: 'Offsets',
    word: kindWord(kind),
    of: (plan, deviceId) => (calibrationRows[kind].of(plan).some(({ id }) => id === deviceId) ? [deviceId] : []),
    measured: kind,
    wanted: (plan, _, ofId) => measuredFor(plan, kind, ofId) as Wanted<K>,
    bears: (held, wanted, plan, deviceId) => {
      const apart = Math.abs((held as number) - (wanted as number));
      return apart <= (toleranceOf(plan, kind, deviceId)?.value ?? 0);
    },
    inWords: (value) => {
      const figure = value as number;
      return [figure > 0 && quantity !== 'fraction' ? '+' : '', { value: figure, quantity }];
    },
  });

export const sensorSettings = {
  speed: ofSensor('speed', 'fraction'),
  temperature: ofSensor('temperature', 'temperatureDifference'),
  heading: ofSensor('heading', 'angle'),
  pointing: ofSensor('pointing', 'angle'),
};

const metres = (value: number) => ({ value, quantity: 'length' as const });

export const antennaSetting = defineSetting({
  kind: 'antenna-offset',
  group: 'Offsets',
  word: 'Antenna to transducer',
  of: (plan, deviceId) => (calibrationRows.antenna.of(plan).length ? itsOwn(plan, deviceId) : []),
  measured: 'antenna',
  wanted: (plan, deviceId): Wanted<'antenna-offset'> => {
    const measured = measuredFor(plan, 'antenna', deviceId) as Wanted<'antenna-offset'>;
    if ('value' in measured) return measured;
    // By the drawing, where nobody has passed a buoy yet.
    const slice = calibrationRows.antenna.result.slice(plan, deviceId) as unknown as {
      readonly antenna: SettingValue<'antenna-offset'> | null;
      readonly face: SettingValue<'antenna-offset'> | null;
    } | null;
    return slice?.antenna && slice.face
      ? {
          value: {
            forwardM: slice.face.forwardM - slice.antenna.forwardM,
            starboardM: slice.face.starboardM - slice.antenna.starboardM,
          },
        }
      : measured;
  },
  bears: (held, wanted, plan, deviceId) =>
    Math.hypot(held.forwardM - wanted.forwardM, held.starboardM - wanted.starboardM) <=
    (toleranceOf(plan, 'antenna', deviceId)?.value ?? 1),
  inWords: ({ forwardM, starboardM }) => [
    forwardM > 0 ? '+' : '',
    metres(forwardM),
    ' forward, ',
    starboardM > 0 ? '+' : '',
    metres(starboardM),
    ' starboard',
  ],
});
