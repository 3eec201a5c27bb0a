import { type CalibrationKind, calibrationKinds, type Figure, type Plan } from '@grey-keel/model';
import { wrapped } from '../../../calibration/bearings.ts';
import type { CalibratedSensor } from '../../../calibration/calibrated-sensors.ts';
import { calibratedSensors, calibrationRows, kindWord } from '../../../calibration/calibration-rows.ts';
import { isHeld, measurementOf, moreFor, standingOf, toleranceOf } from '../../../calibration/measured-by-kind.ts';
import { calibrationOf, type Measured } from '../../../calibration/sensor-calibration.ts';
import { type Found, figure, type Rule } from '../../../findings/rule.ts';
import { enteredResult, heldCalibration } from '../../../plan/held-by.ts';
import { at } from '../../../plan/target.ts';
import { inOrder } from '../../../plan/working-water.ts';

interface Each {
  readonly plan: Plan;
  readonly kind: CalibrationKind;
  readonly sensor: CalibratedSensor;
  readonly it: Measured | null;
}

/** Every sensor of every kind, with what its readings give. */
const eachSensor =
  (find: (each: Each) => Found[]) =>
  (plan: Plan): Found[] =>
    calibrationKinds.flatMap((kind) =>
      calibratedSensors(plan, kind).flatMap((sensor) => {
        const measurement = measurementOf(plan, kind, sensor.id);
        return find({ plan, kind, sensor, it: measurement?.known ? measurement : null });
      }),
    );

const place = ({ kind, sensor }: Each) => at('calibrations', kind, sensor.id);
const of = ({ kind, sensor }: Each): Pick<Found, 'subject' | 'of'> => ({
  subject: `${kind}-${sensor.id}`,
  of: [sensor.id],
});
const sized = ({ value, quantity }: Figure): Figure => figure(Math.abs(value), quantity);

/** How far what the display holds lies from what was measured: the sign says which way. Null for what no display holds. */
const offBy = ({ plan, kind, sensor, it }: Each): { readonly held: Figure; readonly off: Figure } | null => {
  const enter = it?.enter[0];
  const held = heldCalibration(plan, kind, sensor.id);
  if (!enter || held === null || !isHeld(kind)) return null;
  const apart = enter.value - held;
  const off =
    enter.quantity === 'fraction' ? enter.value / held - 1 : enter.quantity === 'angle' ? wrapped(apart) : apart;
  return { held: figure(held, enter.quantity), off: figure(off, enter.quantity) };
};

/** What is added has a sign that can be the wrong one; a factor and a speed of sound have no other. */
const isAdded = ({ quantity }: Figure): boolean => quantity !== 'fraction' && quantity !== 'soundSpeed';

const isTurned = (each: Each): boolean => {
  const { plan, kind, sensor, it } = each;
  const enter = it?.enter[0];
  const found = offBy(each);
  const tolerance = toleranceOf(plan, kind, sensor.id)?.value ?? 0;
  if (!enter || !found || !isAdded(enter)) return false;
  const allowance = Math.max(tolerance, it.half?.value ?? 0);
  return (
    found.held.value * enter.value < 0 &&
    Math.abs(found.held.value + enter.value) <= allowance &&
    Math.abs(enter.value) > tolerance
  );
};

/** What is shown at a station has never been held against anything. */
export const calibrationMissing: Rule<'calibrate'> = {
  id: 'calibration-missing',
  stage: 'calibrate',
  severity: 'note',
  find: eachSensor((each) => {
    const { plan, kind, sensor, it } = each;
    if (!isHeld(kind) || !sensor.shown || standingOf(plan, kind, sensor.id).state !== 'missing') return [];
    return [
      {
        ...of(each),
        title: `${kindWord(kind)} is not calibrated yet`,
        reason: it
          ? [`${sensor.name} is off by `, it.measured, ', which is worked out and not yet entered on the display.']
          : [
              `${sensor.name} is shown, and nothing says yet how far it can be trusted: `,
              figure(0, 'count'),
              ' readings.',
            ],
        figure: it ? it.measured : figure(0, 'count'),
        working: it?.working ?? [],
        fix: { label: it ? 'Enter it' : 'Take readings', target: place(each) },
      },
    ];
  }),
};

export const calibrationStale: Rule<'calibrate'> = {
  id: 'calibration-stale',
  stage: 'calibrate',
  severity: 'check',
  find: eachSensor((each) => {
    const { plan, kind, sensor, it } = each;
    const standing = standingOf(plan, kind, sensor.id);
    const entered = enteredResult(plan, kind, sensor.id)?.values[0];
    if (standing.state !== 'stale' || entered === undefined) return [];
    const quantity = it?.enter[0]?.quantity ?? toleranceOf(plan, kind, sensor.id)?.quantity ?? 'count';
    const value = figure(entered, quantity);
    const { wasEntered } = calibrationRows[kind];
    return [
      {
        ...of(each),
        title: `${kindWord(kind)} is out of date`,
        reason: [
          `${sensor.name}: `,
          ...(wasEntered === undefined ? [value, ' was entered'] : [wasEntered]),
          `; since then ${standing.changed.join(' and ') || 'the calculation'} changed.`,
        ],
        figure: value,
        fix: { label: 'Measure again', target: place(each) },
      },
    ];
  }),
};

export const calibrationUncertain: Rule<'calibrate'> = {
  id: 'calibration-uncertain',
  stage: 'calibrate',
  severity: 'check',
  find: eachSensor((each) => {
    const { plan, kind, sensor, it } = each;
    const tolerance = toleranceOf(plan, kind, sensor.id);
    if (!it?.half || !tolerance || it.half.value <= tolerance.value) return [];
    const more = moreFor(plan, kind, sensor.id, it);
    return [
      {
        ...of(each),
        title: `${kindWord(kind)} is not sure enough`,
        reason: [
          `${sensor.name} is known to `,
          it.half,
          ' either way (95 %); your tolerance is ',
          tolerance,
          more === null
            ? '. More readings alone will not do.'
            : `. About ${more} more ${more === 1 ? 'reading' : 'readings'} would do.`,
        ],
        figure: it.half,
        working: it.working.filter(({ symbol }) => symbol === 'SE' || symbol === 'half'),
        fix: { label: 'Take more readings', target: place(each) },
      },
    ];
  }),
};

/** What is set is, within the tolerance, what was measured with its sign turned. */
export const calibrationTurned: Rule<'calibrate'> = {
  id: 'calibration-wrong-sign',
  stage: 'calibrate',
  severity: 'check',
  find: eachSensor((each) => {
    const found = offBy(each);
    const enter = each.it?.enter[0];
    if (!found || !enter || !isTurned(each)) return [];
    return [
      {
        ...of(each),
        title: `${kindWord(each.kind)} has the wrong sign`,
        reason: [
          `${each.sensor.name} is set to `,
          found.held,
          ' where ',
          enter,
          ' was measured: it is off by ',
          sized(found.off),
          '.',
        ],
        figure: sized(found.off),
        working: each.it?.working ?? [],
        fix: { label: 'Enter what was measured', target: place(each) },
      },
    ];
  }),
};

/** The display holds something else than was measured, by more than the tolerance and what is not sure of it. */
export const calibrationOff: Rule<'calibrate'> = {
  id: 'calibration-off',
  stage: 'calibrate',
  severity: 'check',
  find: eachSensor((each) => {
    const { plan, kind, sensor, it } = each;
    const found = offBy(each);
    const enter = it?.enter[0];
    if (!found || !enter || isTurned(each) || standingOf(plan, kind, sensor.id).state === 'missing') return [];
    const tolerance = toleranceOf(plan, kind, sensor.id);
    if (!tolerance || Math.abs(found.off.value) <= tolerance.value + (it.half?.value ?? 0)) return [];
    return [
      {
        ...of(each),
        title: `${kindWord(kind)} is off by more than your tolerance`,
        reason: [
          `${sensor.name} holds `,
          found.held,
          ' where ',
          enter,
          ' was measured: off by ',
          sized(found.off),
          ', your tolerance is ',
          tolerance,
          '.',
        ],
        figure: sized(found.off),
        working: it.working,
        fix: { label: 'Enter what was measured', target: place(each) },
      },
    ];
  }),
};

/** A picture that has port on its right sends the boat the wrong way. */
export const sidesMirrored: Rule<'calibrate'> = {
  id: 'sides-mirrored',
  stage: 'calibrate',
  severity: 'stop',
  find: eachSensor((each) => {
    const { kind, sensor, it } = each;
    if (kind !== 'sides' || it?.enter[0]?.value !== -1) return [];
    return [
      {
        ...of(each),
        title: `${sensor.name} draws port to starboard`,
        reason: [
          'Its picture has everything on the wrong side, in ',
          figure(it.readings, 'count'),
          ` of ${it.readings} looks. Swap the sides in the display, or the two cables, never both, and look again.`,
        ],
        figure: figure(it.readings, 'count'),
        fix: { label: 'Look again', target: place(each) },
      },
    ];
  }),
};

export const calibrationApart: Rule<'calibrate'> = {
  id: 'calibration-apart',
  stage: 'calibrate',
  severity: 'check',
  find: eachSensor((each) => {
    const { plan, kind, sensor, it } = each;
    const { readings } = calibrationOf(plan, kind, sensor.id);
    return (it?.apart ?? []).flatMap((readingId) => {
      const left = it?.residuals.find(({ id }) => id === readingId)?.left;
      const nth = inOrder<unknown>(readings).findIndex(([id]) => id === readingId) + 1;
      return left
        ? [
            {
              subject: `${kind}-${sensor.id}-${readingId}`,
              of: [sensor.id, readingId],
              title: `${kindWord(kind)}: reading ${nth} stands apart`,
              reason: [`${sensor.name}: it lies `, sized(left), ' from what the others say together.'],
              figure: sized(left),
              fix: {
                label: 'Leave it out',
                target: at('calibrations', kind, sensor.id, 'readings', readingId),
                edits: [
                  {
                    type: 'correctCalibration' as const,
                    of: kind,
                    sensorId: sensor.id,
                    readingId,
                    changes: { leftOut: true },
                  },
                ],
              },
            },
          ]
        : [];
    });
  }),
};
