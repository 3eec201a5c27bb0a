import { faceDepthM, inOrder } from '../../plan/working-water.ts';
import { figure, type Rule } from '../rule.ts';

export const faceAboveWater: Rule = {
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
          wayOut: { label: 'Correct its height above the keel', target: `transducer-above-keel-${id}` },
        },
      ];
    }),
};
