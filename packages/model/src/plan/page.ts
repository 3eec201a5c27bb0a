import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { idSchema, nameSchema, recordById } from './id.ts';
import { waySetSchema } from './ways.ts';

export const views = ['chart', 'sounder', 'side-scan', 'down fan', 'forward-facing', 'sector'] as const;
export const viewSchema = z.enum(views);
export type View = z.output<typeof viewSchema>;

/** Its weight against its neighbours: shares need not add up to one. */
const shareSchema = z.number().min(0.05).max(1);

export const paneSchema = z.strictObject({
  share: shareSchema,
  view: viewSchema,
  /** Sounder and fans: how deep; side-scan: how far to each side; chart: across the pane. Null is automatic. */
  rangeM: z
    .number()
    .min(1)
    .max(100_000)
    .nullable()
    .register(fieldWords, { label: 'Range (empty: automatic)', quantity: 'depth' }),
});
export type Pane = z.output<typeof paneSchema>;

/** Bands that lie as rows or as columns, each cut into panes the other way. */
export const layoutSchema = z.strictObject({
  bandsLie: z.enum(['rows', 'columns']),
  bands: z
    .array(z.strictObject({ share: shareSchema, panes: z.array(paneSchema).min(1).max(4) }))
    .min(1)
    .max(4),
});
export type Layout = z.output<typeof layoutSchema>;

export const readouts = ['depth', 'water temperature', 'speed', 'heading', 'course', 'voltage', 'time'] as const;
export const readoutSchema = z.enum(readouts);
export type Readout = z.output<typeof readoutSchema>;

/** A number that lies over a page: the height of its digits in pixels, and its upper left corner as shares of the screen. */
export const pageNumberSchema = z.strictObject({
  shows: readoutSchema,
  heightPx: z.number().int().min(6).max(800).register(fieldWords, { label: 'Height of a digit', quantity: 'pixels' }),
  x: z.number().min(0).max(1),
  y: z.number().min(0).max(1),
});
export type PageNumber = z.output<typeof pageNumberSchema>;

/** One page of one station's display. `place` is its place in that display's list, counted from 1. */
export const pageSchema = z.strictObject({
  stationId: idSchema,
  name: nameSchema,
  place: z.number().int().min(1).max(60),
  shownIn: waySetSchema,
  layout: layoutSchema,
  numbers: recordById(pageNumberSchema, 40),
});
export type Page = z.output<typeof pageSchema>;
