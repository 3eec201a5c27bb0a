import * as z from 'zod';
import { beamsEditSchemas } from './beams-edits.ts';
import { briefEditSchemas } from './brief-edits.ts';
import { calibrateEditSchemas } from './calibrate-edits.ts';
import { fitEditSchemas } from './fit-edits.ts';
import { handoverEditSchemas } from './handover-edits.ts';
import { heldEditSchemas } from './held-edits.ts';
import { keysEditSchemas } from './keys-edits.ts';
import { pagesEditSchemas } from './pages-edits.ts';
import { sourcesEditSchemas } from './sources-edits.ts';

/** Not what every object, or every list, has without being given it: no place of a plan is called so. */
const ownName =
  /^(?!(?:__defineGetter__|__defineSetter__|__lookupGetter__|__lookupSetter__|__proto__|constructor|hasOwnProperty|isPrototypeOf|length|propertyIsEnumerable|prototype|toLocaleString|toString|valueOf)$)/;

/** One step of a change as plain data: a path from the plan's root and what stands there afterwards. */
export const patchSchema = z.strictObject({
  op: z.enum(['add', 'replace', 'remove']),
  path: z
    .array(z.union([z.string().regex(ownName), z.number().int().min(0).max(1000)]))
    .min(1)
    .max(12),
  value: z.json().optional(),
});
export type Patch = z.output<typeof patchSchema>;

/** The closed set of changes that can be made to a plan, by their kind. */
export const editSchemas = {
  ...briefEditSchemas,
  ...beamsEditSchemas,
  ...fitEditSchemas,
  ...sourcesEditSchemas,
  ...calibrateEditSchemas,
  ...pagesEditSchemas,
  ...keysEditSchemas,
  ...handoverEditSchemas,
  ...heldEditSchemas,
  /** Undo, redo and the settling of two people's changes: patches that lead back to, or on to, a known state. */
  restore: z.strictObject({ type: z.literal('restore'), patches: z.array(patchSchema).min(1).max(5000) }),
};

const [first, ...others] = Object.values(editSchemas) as [AnyEditSchema, ...AnyEditSchema[]];
type AnyEditSchema = (typeof editSchemas)[keyof typeof editSchemas];

export const editSchema = z.discriminatedUnion('type', [first, ...others]);
export type Edit = z.output<typeof editSchema>;
export type EditKind = Edit['type'];
export type EditOf<K extends EditKind> = Extract<Edit, { type: K }>;
