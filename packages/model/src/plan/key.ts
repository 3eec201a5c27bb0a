import * as z from 'zod';
import { idSchema } from './id.ts';

export const marks = ['seen', 'confirmed', 'structure', 'hazard'] as const;
export const markSchema = z.enum(marks);

export const plainActions = [
  'start transmitting',
  'stop transmitting',
  'standby',
  'hold position',
  'volume',
  'record',
] as const;

/** What a press does. `place` is where the page stood in the list when the key was bound, on displays that bind to a place. */
export const keyActionSchema = z.discriminatedUnion('does', [
  z.strictObject({
    does: z.literal('page'),
    pageId: idSchema,
    place: z.number().int().min(1).max(60).nullable(),
  }),
  z.strictObject({ does: z.literal('mark'), mark: markSchema }),
  ...plainActions.map((does) => z.strictObject({ does: z.literal(does) })),
]);
export type KeyAction = z.output<typeof keyActionSchema>;

export const presses = ['short', 'long'] as const;
export type Press = (typeof presses)[number];

/** A key by its number from 1, and how it is pressed. */
export const keySlotSchema = z.string().regex(/^([1-9]|[1-3]\d|40)-(short|long)$/, 'A key is written like "2-short".');
export type KeySlot = z.output<typeof keySlotSchema>;

export const boundKeysSchema = z.record(keySlotSchema, keyActionSchema);
export type BoundKeys = z.output<typeof boundKeysSchema>;
