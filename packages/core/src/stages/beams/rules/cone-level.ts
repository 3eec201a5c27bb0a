import { checkSheet } from '../../../beams/half-power-cone.ts';
import { inOrder, soundSpeedDownTo, workingWater } from '../../../plan/working-water.ts';
import { figure, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

/** Sheets round their figures and faces ring a little off their disc: within a tenth they agree. */
const agreesWithin = 0.1;
const usualWater = { temperatureC: 10, salinityPpt: 35 };

/** A quoted cone that its own face does not give at the level it is said to be quoted at. */
export const coneLevel: Rule<'beams'> = {
  id: 'cone-level',
  stage: 'beams',
  severity: 'check',
  find: (plan) => {
    const { soundSpeedMps } = soundSpeedDownTo(workingWater(plan) ?? usualWater, plan.working.depthM);
    return inOrder(plan.transducers).flatMap(([id, transducer]) =>
      transducer.beams.flatMap((beam, i) => {
        const check = checkSheet(transducer, beam, soundSpeedMps);
        if (!check || check.departureAsQuoted <= agreesWithin) return [];
        const face = figure(transducer.apertureM ?? 0, 'length');
        const cone = figure(beam.beamwidthDeg, 'angle');
        const known = check.departure <= agreesWithin;
        return [
          {
            subject: `${id}-${i}`,
            of: [id],
            title: known ? `Cone quoted at ${check.likelyLevelDb} dB?` : 'Cone and face disagree',
            reason: known
              ? [
                  `${transducer.name}: `,
                  cone,
                  ` at ${beam.frequencyHz / 1000} kHz from a face of `,
                  face,
                  ` agree at ${check.likelyLevelDb} dB, not at ${beam.levelDb} dB.`,
                ]
              : [
                  `${transducer.name}: a face of `,
                  face,
                  ` gives `,
                  figure(check.expectedDeg, 'angle'),
                  ` at ${beam.frequencyHz / 1000} kHz and ${beam.levelDb} dB; the sheet says `,
                  cone,
                  '.',
                ],
            figure: cone,
            working: check.expected.working.slice(0, 2),
            fix: known
              ? {
                  label: `Set the level to ${check.likelyLevelDb} dB`,
                  target: at('transducers', id),
                  edits: [
                    {
                      type: 'describeTransducer' as const,
                      id,
                      changes: {
                        beams: transducer.beams.map((other, k) =>
                          k === i ? { ...other, levelDb: check.likelyLevelDb } : other,
                        ),
                      },
                    },
                  ],
                }
              : { label: 'Look at the sheet again', target: at('transducers', id) },
          },
        ];
      }),
    );
  },
};
