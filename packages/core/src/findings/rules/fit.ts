import type { Equipment } from '@grey-keel/model';
import { hullForbids } from '../../beams/advice/candidate.ts';
import { halfPowerCone } from '../../beams/half-power-cone.ts';
import { workingBeamOf } from '../../beams/working-beam.ts';
import {
  awayFromM,
  axisTiltDeg,
  equipmentOf,
  markingAntennas,
  markShift,
  sideViewBlocked,
  toBladeTips,
} from '../../fit/clearances.ts';
import { offsetStanding } from '../../calibration/depth-offset-subject.ts';
import { stationSight } from '../../fit/station-sight.ts';
import { inOrder } from '../../plan/working-water.ts';
import { given, calculated } from '../../working-step.ts';
import { figure, type Found, type Rule } from '../rule.ts';

const radian = Math.PI / 180;
const move = (id: string) => ({ label: 'Move it', target: `place-${id}` });

/** On or in the hull, where it meets the water that flows by. */
const hullMounted = ['through-hull', 'transom', 'shoot-through-hull'];

/** A mounting the hull does not bear. */
export const mountingHull: Rule = {
  id: 'mounting-hull',
  stage: 'fit',
  severity: 'stop',
  find: (plan) =>
    inOrder(plan.transducers).flatMap(([id, { name, mounting }]): Found[] => {
      const why = hullForbids(mounting, plan);
      if (why === null) return [];
      return [
        {
          subject: id,
          title: 'The hull does not take this mounting',
          reason: [`${name}, ${mounting}, on a boat of `, figure(plan.boat.lengthM ?? 0, 'length'), `: ${why}.`],
          figure: figure(plan.boat.lengthM ?? 0, 'length'),
          wayOut: { label: 'Choose another mounting', stage: 'beams', target: `transducer-mounting-${id}` },
        },
      ];
    }),
};

/** Nearer to the blades than the propeller is wide: its pressure and its bubbles reach the face. */
export const nearPropeller: Rule = {
  id: 'near-propeller',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.transducers)
      .filter(([, { mounting }]) => hullMounted.includes(mounting))
      .flatMap(([id, transducer]) =>
        equipmentOf(plan, 'propeller').flatMap(([propellerId, propeller]): Found[] => {
          const clear = toBladeTips(transducer, propeller);
          const wanted = propeller.propellerDiameterM ?? 0;
          if (clear.value >= wanted) return [];
          return [
            {
              subject: `${id}-${propellerId}`,
              title: 'Too near a propeller',
              reason: [
                `${transducer.name} stands `,
                figure(clear.value, 'length'),
                ` from the blades of ${propeller.name}; keep at least their diameter, `,
                figure(wanted, 'length'),
                '.',
              ],
              figure: figure(clear.value, 'length'),
              working: [clear],
              wayOut: move(id),
            },
          ];
        }),
      ),
};

/** Astern of a propeller, within its width: in the wash whenever it drives. */
export const inWash: Rule = {
  id: 'in-wash',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.transducers)
      .filter(([, { mounting }]) => hullMounted.includes(mounting))
      .flatMap(([id, transducer]) =>
        equipmentOf(plan, 'propeller').flatMap(([propellerId, propeller]): Found[] => {
          const asternM = propeller.forwardM - transducer.forwardM;
          const asideM = Math.abs(propeller.starboardM - transducer.starboardM);
          if (asternM <= 0 || asideM > (propeller.propellerDiameterM ?? 0)) return [];
          return [
            {
              subject: `${id}-${propellerId}`,
              title: 'In the wash of a propeller',
              reason: [`${transducer.name} hangs `, figure(asternM, 'length'), ` astern of ${propeller.name}.`],
              figure: figure(asternM, 'length'),
              wayOut: move(id),
            },
          ];
        }),
      ),
};

const laneM = 0.1;
const downstreamM = 2;

/** In the water another fitting has stirred: straight astern of it and not far, or beside a strake as long as that runs. */
export const flowStirred: Rule = {
  id: 'flow-stirred',
  stage: 'fit',
  severity: 'check',
  find: (plan) => {
    const fittings = [
      ...inOrder(plan.transducers)
        .filter(([, { mounting }]) => mounting === 'through-hull')
        .map(([id, one]) => ({ id, runsForwardM: 0, ...one })),
      ...equipmentOf(plan, 'speed and temperature sensor', 'strake or fitting').map(([id, one]) => ({ id, ...one })),
    ];
    return inOrder(plan.transducers)
      .filter(([, { mounting, kind }]) => kind === 'sounder' && ['through-hull', 'transom'].includes(mounting))
      .flatMap(([id, transducer]) =>
        fittings.flatMap((other): Found[] => {
          const asternM = other.forwardM - transducer.forwardM;
          const asideM = Math.abs(other.starboardM - transducer.starboardM);
          const begins = other.forwardM + (other.runsForwardM ?? 0);
          if (other.id === id || transducer.forwardM >= begins || asternM > downstreamM || asideM >= laneM) return [];
          return [
            {
              subject: `${id}-${other.id}`,
              title: 'In stirred water',
              reason:
                asternM > 0
                  ? [
                      `${transducer.name} stands `,
                      figure(asternM, 'length'),
                      ` astern of ${other.name} and only `,
                      figure(asideM, 'length'),
                      ' beside its track.',
                    ]
                  : [
                      `${transducer.name} stands on ${other.name}, only `,
                      figure(asideM, 'length'),
                      ' beside its line.',
                    ],
              figure: figure(asideM, 'length'),
              wayOut: move(id),
            },
          ];
        }),
      );
  },
};

/** Let into a rising bottom without a fairing: the cone looks out to the side. */
export const axisTilted: Rule = {
  id: 'axis-tilted',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.transducers)
      .filter(([, { kind }]) => kind === 'sounder' || kind === 'down fan')
      .flatMap(([id, transducer]): Found[] => {
        const tiltDeg = axisTiltDeg(plan, transducer);
        const bears = Math.min(5, halfPowerCone(workingBeamOf(transducer)).acrossDeg / 2);
        if (tiltDeg <= bears) return [];
        const asideM = plan.working.depthM * Math.tan(tiltDeg * radian);
        return [
          {
            subject: id,
            title: 'The face is tilted',
            reason: [
              `${transducer.name} lies with the hull, `,
              figure(tiltDeg, 'angle'),
              ' off the level: its middle is ',
              figure(asideM, 'length'),
              ' out at the working depth. Level it with a fairing.',
            ],
            figure: figure(tiltDeg, 'angle'),
            working: [
              calculated(
                {
                  says: 'The middle of the cone out to the side',
                  symbol: 'x',
                  value: asideM,
                  unit: 'm',
                  expression: 'd * tan(t)',
                  source: 'plane geometry',
                },
                given('d', plan.working.depthM, 'm', 'working depth'),
                given('t', tiltDeg * radian, 'rad', `tilt, ${tiltDeg.toFixed(1)}°`),
              ),
            ],
            wayOut: {
              label: `Fair it by ${(plan.boat.deadriseDeg ?? 0).toFixed(0)}°`,
              target: `fairing-${id}`,
              edits: [{ type: 'describeTransducer', id, changes: { fairingDeg: plan.boat.deadriseDeg ?? 0 } }],
            },
          },
        ];
      }),
};

export const sideBlocked: Rule = {
  id: 'side-blocked',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.transducers).flatMap(([id, { name }]) =>
      sideViewBlocked(plan, id).map(({ by, side, lostDeg, working }): Found => ({
        subject: `${id}-${side}-${by.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`,
        title: `Its view to ${side} is blocked`,
        reason: [`${by} covers `, figure(lostDeg, 'angle'), ` of the fan of ${name} to ${side}.`],
        figure: figure(lostDeg, 'angle'),
        working: [working],
        wayOut: move(id),
      })),
    ),
};

/** What looks ahead needs a shaft or a pole: the hull hides the water ahead and nothing turns it. */
export const aheadMount: Rule = {
  id: 'ahead-mount',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.transducers)
      .filter(([, { kind, mounting }]) => kind === 'forward-facing' && hullMounted.includes(mounting))
      .map(([id, { name, mounting, forwardM }]) => ({
        subject: id,
        title: 'It cannot look ahead from there',
        reason: [
          `${name} is mounted ${mounting}, `,
          figure((plan.boat.lengthM ?? 0) - forwardM, 'length'),
          ' behind the bow; it belongs on a shaft or a pole that turns it.',
        ],
        figure: figure((plan.boat.lengthM ?? 0) - forwardM, 'length'),
        wayOut: { label: 'Choose another mounting', stage: 'beams' as const, target: `transducer-mounting-${id}` },
      })),
};

/** How far a compass stays from what bends its field, in round figures of ours; the maker's own distance comes first. */
const magneticM: Partial<Record<Equipment['kind'], number>> = {
  propeller: 1,
  'bow motor': 1,
  'battery box': 0.6,
  'cable run': 0.5,
};

export const headingNear: Rule = {
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
            subject: `${id}-${otherId}`,
            title: 'The heading sensor is near iron and current',
            reason: [
              `${sensor.name} stands `,
              figure(away, 'length'),
              ` from ${other.name}; keep `,
              figure(wanted, 'length'),
              ', or what its maker says.',
            ],
            figure: figure(away, 'length'),
            wayOut: move(id),
          },
        ];
      }),
    ),
};

const leastShiftM = 2;

/** A mark that lies farther off than the cone is wide points beside what it marks. */
export const marksShifted: Rule = {
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
            subject: `${antennaId}-${id}`,
            title: 'Marks are saved beside what is marked',
            reason: [
              `${transducer.name} is `,
              figure(shift.byM, 'length'),
              ` from ${antenna.name}: each mark saved at ${stations} is off by that, more than it can tell where they lie. Enter that distance on the display.`,
            ],
            figure: figure(shift.byM, 'length'),
            working: [shift.working],
            wayOut: {
              label: 'Enter it on the display, then say so',
              stage: 'sources' as const,
              target: `unit-antenna-${stationIds[0] ?? ''}`,
            },
          },
        ];
      }),
    ),
};

const heightsM = 0.15;

/** Two sounders at different heights draw two bottoms until each has its own offset. */
export const twoHeights: Rule = {
  id: 'two-heights',
  stage: 'fit',
  severity: 'check',
  find: (plan) => {
    const sounders = inOrder(plan.transducers).filter(([, { kind }]) => kind === 'sounder');
    return sounders.flatMap(([id, one], i) =>
      sounders.slice(i + 1).flatMap(([otherId, other]): Found[] => {
        const apart = Math.abs(one.aboveKeelM - other.aboveKeelM);
        const settled = [id, otherId].every((key) => offsetStanding(plan, key).state === 'fresh');
        if (apart <= heightsM || settled) return [];
        return [
          {
            subject: `${id}-${otherId}`,
            title: 'Two faces at two heights',
            reason: [
              `${one.name} and ${other.name} differ by `,
              figure(apart, 'length'),
              ': they draw two bottoms until each has its own depth offset.',
            ],
            figure: figure(apart, 'length'),
            wayOut: { label: 'Measure both offsets', stage: 'calibrate' as const, target: `offset-${otherId}` },
          },
        ];
      }),
    );
  },
};

/** Who runs her has to see the water over the screen and the bow. */
export const sightHidden: Rule = {
  id: 'sight-hidden',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    plan.ways.running
      ? inOrder(plan.stations).flatMap(([id, { name, mount }]): Found[] => {
          const sight = stationSight(plan, id);
          // What is taken off or swung away does not stand in the way when running.
          if (!sight || sight.seen || (sight.hiddenBy === 'screen' && mount !== undefined && mount !== 'fixed'))
            return [];
          const ahead = figure(sight.seenFromM ?? sight.limitM, 'length');
          const rests = sight.guesses.length ? ` Guessed for such a hull: ${sight.guesses.join(' and ')}.` : '';
          return [
            {
              subject: id,
              title: `The ${sight.hiddenBy} hides the water ahead`,
              reason:
                sight.seenFromM === null
                  ? [
                      `From ${name}, running, no water is seen over the ${sight.hiddenBy}; it has to be from `,
                      ahead,
                      ` on.${rests}`,
                    ]
                  : [
                      `From ${name}, running, the water is seen only from `,
                      ahead,
                      ` on, over the ${sight.hiddenBy}; it has to be from `,
                      figure(sight.limitM, 'length'),
                      ` on.${rests}`,
                    ],
              figure: ahead,
              working: sight.working,
              wayOut: move(id),
            },
          ];
        })
      : [],
};

export const fitRules: readonly Rule[] = [
  mountingHull,
  nearPropeller,
  inWash,
  flowStirred,
  axisTilted,
  sideBlocked,
  aheadMount,
  headingNear,
  marksShifted,
  twoHeights,
  sightHidden,
];
