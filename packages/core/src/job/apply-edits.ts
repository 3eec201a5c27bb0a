import {
  planSchema,
  planShape,
  simulatedElsewhere,
  simulatedOnlyInPractice,
  type Edit,
  type Patch,
  type Plan,
} from '@grey-keel/model';
import { create } from 'mutative';
import type * as z from 'zod';
import { fieldErrors, type FieldError } from '../calculation/field-errors.ts';
import type { EditRow } from '../edits/edit-row.ts';
import { EditRefused, type RefusalCode } from '../edits/edit-refused.ts';
import { NoSuchPlace } from '../edits/put-patches.ts';
import { backByLeaf, forwardByLeaf } from '../edits/by-leaf.ts';
import { goWithDisplay } from '../edits/go-with-display.ts';
import { dangling } from '../edits/holds.ts';
import { straighten } from '../edits/what-edits-keep-true.ts';
import { assumedTouched, confirmPlaces } from '../plan/assumed.ts';
import { allEditRows } from './edit-rows.ts';

export interface Applied {
  readonly ok: true;
  readonly plan: Plan;
  readonly patches: readonly Patch[];
  /** Lead back: the edit that undoes these is `restore` with them. */
  readonly inverse: readonly Patch[];
}
export interface Refused {
  readonly ok: false;
  readonly code: RefusalCode;
  readonly errors: readonly FieldError[];
}

/** One change to a draft, with the patches there and back. The draft type is the plan's own: it is mutable data. */
const changing = (plan: Plan, change: (draft: Plan) => void): [Plan, RawPatch[], RawPatch[]] => {
  const [next, forward, back] = create(plan as object, (draft) => change(draft as Plan), {
    enablePatches: { pathAsArray: true, arrayLengthAssignment: false },
  });
  return [next as Plan, forward, back];
};

interface RawPatch {
  readonly op: string;
  readonly path: (string | number)[];
  readonly value?: unknown;
}

const toPatches = (raw: readonly RawPatch[]): Patch[] =>
  raw.map(({ op, path, value }) => ({
    op: op as Patch['op'],
    path: [...path],
    ...(op === 'remove' ? {} : { value: value as NonNullable<Patch['value']> }),
  }));

const refused = (code: RefusalCode, field: string, message: string): Refused => ({
  ok: false,
  code,
  errors: [{ field, message, range: '' }],
});
const againstSchema = (error: z.ZodError): Refused => ({
  ok: false,
  code: 'schema',
  errors: fieldErrors(error, planSchema),
});

const planParts = new Set(Object.keys(planShape.shape));
const schemas = new Map<string, z.ZodType>();

/** The schema of what was changed: the rest obeyed its own before, and what looks across the parts is asked by itself. */
const schemaOf = (patches: readonly Patch[]): z.ZodType => {
  const changed = [...new Set(patches.map(({ path }) => String(path[0])))].filter((part) => planParts.has(part)).sort();
  const name = changed.join(' ');
  const before = schemas.get(name);
  if (before) return before;
  const parts = planShape.pick(Object.fromEntries(changed.map((part) => [part, true])) as { boat: true }).strip();
  schemas.set(name, parts);
  return parts;
};

const applyOne = (draft: Plan, edit: Edit): void => (allEditRows[edit.type] as EditRow).apply(draft, edit);

/**
 * Applies edits that were taken once already: a boat's history, which others' edits belong to.
 * Refused as a whole when one edit speaks of what is not there or when the plan would no longer obey its schema.
 */
export const replayEdits = (plan: Plan, edits: readonly Edit[]): Applied | Refused => {
  const patches: Patch[] = [];
  let inverse: Patch[] = [];
  let current = plan;
  try {
    for (const edit of edits) {
      const step = (change: (draft: Plan) => void): Patch[] => {
        const [next, forward, back] = changing(current, change);
        current = next;
        const made = forwardByLeaf(toPatches(forward));
        patches.push(...made);
        inverse = [...backByLeaf(toPatches(back), next), ...inverse];
        return made;
      };
      const made = step((draft) => {
        applyOne(draft, edit);
        if (edit.type !== 'restore') goWithDisplay(draft);
      });
      if (edit.type !== 'restore') {
        const given = assumedTouched(current, made);
        if (given.length) step((draft) => confirmPlaces(draft, given));
        continue;
      }
      // Patches may hold anything: nothing else looks at the plan before the schema has.
      const fault = planSchema.safeParse(current);
      if (!fault.success) return againstSchema(fault.error);
      step(straighten);
    }
  } catch (error) {
    if (error instanceof EditRefused) return refused(error.code, error.field, error.message);
    if (error instanceof NoSuchPlace)
      return refused('nothing to restore', 'patches', 'What this would restore is no longer there.');
    throw error;
  }
  const valid = schemaOf(patches).safeParse(current);
  if (!valid.success) return againstSchema(valid.error);
  if (!simulatedOnlyInPractice(current)) return refused('simulated', 'calibrations', simulatedElsewhere);
  return { ok: true, plan: current, patches, inverse };
};

/**
 * Applies edits in order to a plan and gives the new plan with the patches there and back. The plan given stays as it is.
 * Refused as a whole when one edit speaks of what is not there, when the plan would no longer obey its schema, and when
 * something new would hang on what is not there: pages of a display that is gone.
 */
export const applyEdits = (plan: Plan, edits: readonly Edit[]): Applied | Refused => {
  const applied = replayEdits(plan, edits);
  if (!applied.ok) return applied;
  const before = new Set(dangling(plan).map((path) => path.join('/')));
  const lost = dangling(applied.plan).find((path) => !before.has(path.join('/')));
  return lost
    ? refused('hangs on nothing', lost.join('.'), 'This belongs to something that is no longer there.')
    : applied;
};

/** The edits that take edits back. */
export const undoing = (inverse: readonly Patch[]): Edit[] =>
  inverse.length === 0 ? [] : [{ type: 'restore', patches: [...inverse] }];
