import * as z from 'zod';
import { fittedDisplaySchema } from '../plan/display.ts';
import { idSchema } from '../plan/id.ts';
import { pageNumberSchema, pageSchema } from '../plan/page.ts';
import { waySchema } from '../plan/ways.ts';

/** Changes of pages: displays, their pages and the numbers over them. */
export const pagesEditSchemas = {
  fitDisplay: z.strictObject({ type: z.literal('fitDisplay'), stationId: idSchema, display: fittedDisplaySchema }),
  describeDisplay: z.strictObject({
    type: z.literal('describeDisplay'),
    stationId: idSchema,
    changes: fittedDisplaySchema.partial(),
  }),
  removeDisplay: z.strictObject({ type: z.literal('removeDisplay'), stationId: idSchema }),
  /** Stands at its own place of the display's list; those from there on move up by one. */
  addPage: z.strictObject({ type: z.literal('addPage'), id: idSchema, page: pageSchema }),
  describePage: z.strictObject({
    type: z.literal('describePage'),
    id: idSchema,
    changes: pageSchema.pick({ name: true, layout: true }).partial(),
  }),
  movePage: z.strictObject({ type: z.literal('movePage'), id: idSchema, place: pageSchema.shape.place }),
  removePage: z.strictObject({ type: z.literal('removePage'), id: idSchema }),
  /** A station shows one page in a way of working: the page that showed before gives way. */
  showPageIn: z.strictObject({ type: z.literal('showPageIn'), id: idSchema, way: waySchema, shown: z.boolean() }),
  placeNumber: z.strictObject({
    type: z.literal('placeNumber'),
    pageId: idSchema,
    id: idSchema,
    number: pageNumberSchema,
  }),
  describeNumber: z.strictObject({
    type: z.literal('describeNumber'),
    pageId: idSchema,
    id: idSchema,
    changes: pageNumberSchema.partial(),
  }),
  removeNumber: z.strictObject({ type: z.literal('removeNumber'), pageId: idSchema, id: idSchema }),
};
