import { workingBeamOf } from '../../../beams/working-beam.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { figure, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

export const transmitsOnTrailer: Rule<'beams'> = {
  id: 'transmits-on-trailer',
  stage: 'beams',
  severity: 'stop',
  find: (plan) =>
    inOrder(plan.transducers).flatMap(([id, transducer]) =>
      transducer.transmitsIn.trailer
        ? [
            {
              subject: id,
              title: 'Transmits out of the water',
              reason: [
                `${transducer.name} is set to transmit on the trailer, at `,
                figure(workingBeamOf(transducer).frequencyHz, 'frequency'),
                ': it can burn out in air.',
              ],
              figure: figure(workingBeamOf(transducer).frequencyHz, 'frequency'),
              fix: {
                label: 'Quiet it on the trailer',
                target: at('transducers', id, 'transmitsIn'),
                edits: [{ type: 'transmitIn' as const, id, way: 'trailer' as const, transmits: false }],
              },
            },
          ]
        : [],
    ),
};
