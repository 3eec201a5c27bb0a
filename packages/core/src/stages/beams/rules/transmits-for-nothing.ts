import type { Edit } from '@grey-keel/model';
import { transmitsInVain } from '../../../beams/useful-ways.ts';
import { waysAfloat, waySpeed } from '../../../plan/way-speeds.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

/** A unit that transmits where it is stowed, or so fast that nothing comes of it. */
export const transmitsForNothing: Rule<'beams'> = {
  id: 'transmits-for-nothing',
  stage: 'beams',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.transducers).flatMap(([id, transducer]) =>
      waysAfloat(plan).flatMap((way): Found[] => {
        const why = transducer.transmitsIn[way] ? transmitsInVain(plan, transducer, way) : null;
        if (why === null) return [];
        const { speedMps } = waySpeed(plan, way);
        const edits: Edit[] = [{ type: 'transmitIn', id, way, transmits: false }];
        return [
          {
            subject: `${id}-${way.replaceAll(' ', '-')}`,
            of: [id],
            title: `Transmits for nothing while ${way}`,
            reason: [`${transducer.name} transmits while ${way}, at `, figure(speedMps, 'speed'), `: ${why}.`],
            figure: figure(speedMps, 'speed'),
            fix: { label: `Quiet it while ${way}`, target: at('transducers', id, 'transmitsIn'), edits },
          },
        ];
      }),
    ),
};
