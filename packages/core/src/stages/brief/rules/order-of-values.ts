import type { Quantity, Stage, Target } from '@grey-keel/model';
import { inOrder, workingWater } from '../../../plan/working-water.ts';
import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

interface Pair {
  readonly subject: string;
  /** The ids of what it compares; none where that is the boat's own. */
  readonly of?: readonly string[];
  readonly lower: number | null;
  readonly upper: number | null;
  readonly quantity: Quantity;
  readonly words: readonly [string, string];
  readonly target: Target;
  /** Where the target stands, when that is not the brief. */
  readonly stage?: Stage;
}

const outOfOrder = ({ subject, of = [], lower, upper, quantity, words, target, stage }: Pair): Found[] =>
  lower === null || upper === null || lower <= upper
    ? []
    : [
        {
          subject,
          of,
          title: 'Two values stand the wrong way round',
          reason: [
            `${words[0]} is `,
            figure(lower, quantity),
            `, and that is more than ${words[1]}, `,
            figure(upper, quantity),
            '.',
          ],
          figure: figure(lower - upper, quantity === 'temperature' ? 'temperatureDifference' : quantity),
          fix: { label: 'Correct one of them', target, ...(stage ? { stage } : {}) },
        },
      ];

/** Values that each are possible and together are not. */
export const orderOfValues: Rule<'brief'> = {
  id: 'order-of-values',
  stage: 'brief',
  severity: 'check',
  find: (plan) => {
    const { boat, waters, sought, working } = plan;
    const water = workingWater(plan);
    return [
      ...outOfOrder({
        subject: 'speed',
        lower: boat.cruiseSpeedMps,
        upper: boat.topSpeedMps,
        quantity: 'speed',
        words: ['Cruise speed', 'the top speed'],
        target: at('boat', 'cruiseSpeedMps'),
      }),
      ...inOrder(waters).flatMap(([id, water]) => [
        ...outOfOrder({
          subject: `${id}-shallow`,
          of: [id],
          lower: water.shallowestM,
          upper: water.usualDeepestM,
          quantity: 'depth',
          words: [`The shallowest of ${water.name}`, 'its usual deepest'],
          target: at('waters', id, 'shallowestM'),
        }),
        ...outOfOrder({
          subject: `${id}-deep`,
          of: [id],
          lower: water.usualDeepestM,
          upper: water.greatestM,
          quantity: 'depth',
          words: [`The usual deepest of ${water.name}`, 'its greatest depth'],
          target: at('waters', id, 'usualDeepestM'),
        }),
        ...outOfOrder({
          subject: `${id}-warm`,
          of: [id],
          lower: water.coldestC,
          upper: water.warmestC,
          quantity: 'temperature',
          words: [`The coldest of ${water.name}`, 'its warmest'],
          target: at('waters', id, 'coldestC'),
        }),
      ]),
      ...inOrder(sought).flatMap(([id, thing]) =>
        outOfOrder({
          subject: `${id}-depth`,
          of: [id],
          lower: thing.shallowestM,
          upper: thing.deepestM,
          quantity: 'depth',
          words: [`The shallowest of ${thing.name}`, 'its deepest'],
          target: at('sought', id, 'shallowestM'),
        }),
      ),
      ...outOfOrder({
        subject: 'beam',
        lower: boat.beamM,
        upper: boat.lengthM,
        quantity: 'length',
        words: ['The beam', 'the length'],
        target: at('boat', 'beamM'),
      }),
      ...(water
        ? [
            ...outOfOrder({
              subject: 'working-depth',
              lower: working.depthM,
              upper: water.greatestM,
              quantity: 'depth',
              words: ['The working depth', `the greatest depth of ${water.name}`],
              target: at('working', 'depthM'),
              stage: 'beams',
            }),
            ...inOrder(sought).flatMap(([id, thing]) =>
              outOfOrder({
                subject: `${id}-water`,
                of: [id],
                lower: thing.deepestM,
                upper: water.greatestM,
                quantity: 'depth',
                words: [`The deepest of ${thing.name}`, `the greatest depth of ${water.name}`],
                target: at('sought', id, 'deepestM'),
              }),
            ),
          ]
        : []),
    ];
  },
};
