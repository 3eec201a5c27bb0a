import { hullForbids } from '../../../advice/candidate.ts';
import { halfPowerCone } from '../../../beams/half-power-cone.ts';
import { workingBeamOf } from '../../../beams/working-beam.ts';
import { axisTiltDeg, equipmentOf, toBladeTips } from '../../../fit/clearances.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { calculated, given } from '../../../calculation/working-step.ts';
import { between, figure, type Found, type Rule } from '../../../findings/rule.ts';
import { move } from './move-it.ts';
import { at } from '../../../plan/target.ts';

const radian = Math.PI / 180;

/** On or in the hull, where it meets the water that flows by. */
export const hullMounted = ['through-hull', 'transom', 'shoot-through-hull'];

/** A mounting the hull does not bear. */
export const mountingHull: Rule<'fit'> = {
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
          fix: { label: 'Choose another mounting', stage: 'beams', target: at('transducers', id, 'mounting') },
        },
      ];
    }),
};

/** Nearer to the blades than the propeller is wide: its pressure and its bubbles reach the face. */
export const nearPropeller: Rule<'fit'> = {
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
              ...between(id, propellerId),
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
              fix: move(plan, id),
            },
          ];
        }),
      ),
};

/** Astern of a propeller, within its width: in the wash whenever it drives. */
export const inWash: Rule<'fit'> = {
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
              ...between(id, propellerId),
              title: 'In the wash of a propeller',
              reason: [`${transducer.name} hangs `, figure(asternM, 'length'), ` astern of ${propeller.name}.`],
              figure: figure(asternM, 'length'),
              fix: move(plan, id),
            },
          ];
        }),
      ),
};

const laneM = 0.1;

const downstreamM = 2;

/** In the water another fitting has stirred: straight astern of it and not far, or beside a strake as long as that runs. */
export const flowStirred: Rule<'fit'> = {
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
              ...between(id, other.id),
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
              fix: move(plan, id),
            },
          ];
        }),
      );
  },
};

/** Let into a rising bottom without a fairing: the cone looks out to the side. */
export const axisTilted: Rule<'fit'> = {
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
            fix: {
              label: `Fair it by ${(plan.boat.deadriseDeg ?? 0).toFixed(0)}°`,
              target: at('transducers', id, 'fairingDeg'),
              edits: [{ type: 'describeTransducer', id, changes: { fairingDeg: plan.boat.deadriseDeg ?? 0 } }],
            },
          },
        ];
      }),
};
