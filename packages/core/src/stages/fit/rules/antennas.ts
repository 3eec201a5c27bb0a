import type { Equipment } from '@grey-keel/model';
import { halfPowerCone } from '../../../beams/half-power-cone.ts';
import { workingBeamOf } from '../../../beams/working-beam.ts';
import { awayFromM, equipmentOf, markingAntennas, markShift } from '../../../fit/clearances.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { between, figure, type Found, type Rule } from '../../../findings/rule.ts';
import { move } from './move-it.ts';
import { at } from '../../../plan/target.ts';
import { measuredOffset } from '../../../calibration/depth-offset-subject.ts';

const radian = Math.PI / 180;

/** How far a compass stays from what bends its field, in round figures of ours; the maker's own distance comes first. */
const magneticM: Partial<Record<Equipment['kind'], number>> = {
  propeller: 1,
  'bow motor': 1,
  'battery box': 0.6,
  'cable run': 0.5,
};

export const headingNear: Rule<'fit'> = {
  id: 'heading-near',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    equipmentOf(plan, 'heading sensor').flatMap(([id, sensor]) =>
      inOrder(plan.equipment).flatMap(([otherId, other]): Found[] => {
        const wanted = magneticM[other.kind];
        const away = awayFromM(sensor, other);
        if (wanted === undefined || away >= wanted) return [];
        return [
          {
            ...between(id, otherId),
            title: 'The heading sensor is near iron and current',
            reason: [
              `${sensor.name} stands `,
              figure(away, 'length'),
              ` from ${other.name}; keep `,
              figure(wanted, 'length'),
              ', or what its maker says.',
            ],
            figure: figure(away, 'length'),
            fix: move(plan, id),
          },
        ];
      }),
    ),
};

const leastShiftM = 2;

/** A mark that lies farther off than the cone is wide points beside what it marks. */
export const marksShifted: Rule<'fit'> = {
  id: 'marks-shifted',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    markingAntennas(plan).flatMap(({ id: antennaId, antenna, stationIds }) =>
      inOrder(plan.transducers).flatMap(([id, transducer]): Found[] => {
        const shift = markShift(antenna, transducer);
        // A fan, or a unit that looks ahead, knows to a metre or two where a mark lies; a cone as far as it reaches.
        const radiusM =
          transducer.kind === 'sounder'
            ? plan.working.depthM * Math.tan((halfPowerCone(workingBeamOf(transducer)).acrossDeg / 2) * radian)
            : 0;
        if (shift.byM <= Math.max(leastShiftM, radiusM)) return [];
        const stations = stationIds.map((stationId) => plan.stations[stationId]?.name ?? stationId).join(' and ');
        return [
          {
            ...between(antennaId, id),
            title: 'Marks are saved beside what is marked',
            reason: [
              `${transducer.name} is `,
              figure(shift.byM, 'length'),
              ` from ${antenna.name}: each mark saved at ${stations} is off by that, more than it can tell where they lie. Enter that distance on the display.`,
            ],
            figure: figure(shift.byM, 'length'),
            working: [shift.working],
            fix: {
              label: 'Enter it on the display, then say so',
              stage: 'sources' as const,
              target: at('held', stationIds[0] ?? '', 'antenna-offset', stationIds[0] ?? ''),
            },
          },
        ];
      }),
    ),
};

const heightsM = 0.15;

/** Two sounders at different heights draw two bottoms until each has its own offset. */
export const twoHeights: Rule<'fit'> = {
  id: 'two-heights',
  stage: 'fit',
  severity: 'check',
  find: (plan) => {
    const sounders = inOrder(plan.transducers).filter(([, { kind }]) => kind === 'sounder');
    return sounders.flatMap(([id, one], i) =>
      sounders.slice(i + 1).flatMap(([otherId, other]): Found[] => {
        const apart = Math.abs(one.aboveKeelM - other.aboveKeelM);
        const settled = [id, otherId].every((key) => measuredOffset.standing(plan, key).state === 'fresh');
        if (apart <= heightsM || settled) return [];
        return [
          {
            ...between(id, otherId),
            title: 'Two faces at two heights',
            reason: [
              `${one.name} and ${other.name} differ by `,
              figure(apart, 'length'),
              ': they draw two bottoms until each has its own depth offset.',
            ],
            figure: figure(apart, 'length'),
            fix: { label: 'Measure both offsets', stage: 'calibrate' as const, target: at('depthOffsets', otherId) },
          },
        ];
      }),
    );
  },
};
