import { faceDepthM, inOrder } from '../../../plan/working-water.ts';
import { calculated, given } from '../../../calculation/working-step.ts';
import { figure, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

export const faceAboveWater: Rule<'beams'> = {
  id: 'face-above-water',
  stage: 'beams',
  severity: 'stop',
  find: (plan) =>
    inOrder(plan.transducers).flatMap(([id, transducer]) => {
      const depth = faceDepthM(plan, transducer.aboveKeelM);
      if (depth === null || depth > 0) return [];
      return [
        {
          subject: id,
          title: 'The face is out of the water',
          reason: [`${transducer.name} stands `, figure(-depth, 'length'), ' above the waterline at this draught.'],
          figure: figure(-depth, 'length'),
          working: [
            calculated(
              {
                says: 'The face above the waterline',
                symbol: 'h',
                value: -depth,
                unit: 'm',
                expression: 'z - T',
                source: 'plane geometry',
              },
              given('z', transducer.aboveKeelM, 'm', 'face above the keel'),
              given('T', plan.boat.draughtM ?? 0, 'm', 'draught'),
            ),
          ],
          fix: { label: 'Correct its height above the keel', target: at('transducers', id, 'aboveKeelM') },
        },
      ];
    }),
};
