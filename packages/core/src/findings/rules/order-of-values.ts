import type { Quantity } from '@grey-keel/model';
import { inOrder } from '../../plan/working-water.ts';
import { figure, type Found, type Rule } from '../rule.ts';

interface Pair {
  readonly subject: string;
  readonly lower: number | null;
  readonly upper: number | null;
  readonly quantity: Quantity;
  readonly words: readonly [string, string];
  readonly target: string;
}

const outOfOrder = ({ subject, lower, upper, quantity, words, target }: Pair): Found[] =>
  lower === null || upper === null || lower <= upper
    ? []
    : [
        {
          subject,
          title: 'Two values stand the wrong way round',
          reason: [
            `${words[0]} is `,
            figure(lower, quantity),
            `, and that is more than ${words[1]}, `,
            figure(upper, quantity),
            '.',
          ],
          figure: figure(lower - upper, quantity === 'temperature' ? 'temperatureDifference' : quantity),
          wayOut: { label: 'Correct one of them', target },
        },
      ];

/** Values that each are possible and together are not. */
export const orderOfValues: Rule = {
  id: 'order-of-values',
  stage: 'brief',
  severity: 'check',
  find: ({ boat, waters, sought }) => [
    ...outOfOrder({
      subject: 'speed',
      lower: boat.cruiseSpeedMps,
      upper: boat.topSpeedMps,
      quantity: 'speed',
      words: ['Cruise speed', 'the top speed'],
      target: 'boat-cruise-speed',
    }),
    ...inOrder(waters).flatMap(([id, water]) => [
      ...outOfOrder({
        subject: `${id}-shallow`,
        lower: water.shallowestM,
        upper: water.usualDeepestM,
        quantity: 'depth',
        words: [`The shallowest of ${water.name}`, 'its usual deepest'],
        target: `water-shallowest-${id}`,
      }),
      ...outOfOrder({
        subject: `${id}-deep`,
        lower: water.usualDeepestM,
        upper: water.greatestM,
        quantity: 'depth',
        words: [`The usual deepest of ${water.name}`, 'its greatest depth'],
        target: `water-deepest-${id}`,
      }),
      ...outOfOrder({
        subject: `${id}-warm`,
        lower: water.coldestC,
        upper: water.warmestC,
        quantity: 'temperature',
        words: [`The coldest of ${water.name}`, 'its warmest'],
        target: `water-coldest-${id}`,
      }),
    ]),
    ...inOrder(sought).flatMap(([id, thing]) =>
      outOfOrder({
        subject: `${id}-depth`,
        lower: thing.shallowestM,
        upper: thing.deepestM,
        quantity: 'depth',
        words: [`The shallowest of ${thing.name}`, 'its deepest'],
        target: `sought-shallowest-${id}`,
      }),
    ),
  ],
};
