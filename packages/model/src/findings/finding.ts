import * as z from 'zod';
import { editSchema } from '../edits/edit.ts';
import { pathSchema } from '../exchange/revision.ts';
import { figureSchema, sentenceSchema } from '../units/quantity.ts';
import { workingStepSchema } from '../working/working-step.ts';

/** A stage's number never changes; a stage that is not built yet has none on the ladder. */
export const stageNames = [
  'brief',
  'beams',
  'fit',
  'sources',
  'calibrate',
  'picture',
  'pages',
  'keys',
  'trial',
  'handover',
] as const;
export const stageSchema = z.enum(stageNames);
export type Stage = z.output<typeof stageSchema>;
export const stageNumber = (stage: Stage): number => stageNames.indexOf(stage) + 1;

export const severities = ['stop', 'check', 'note'] as const;
export const severitySchema = z.enum(severities);
export type Severity = z.output<typeof severitySchema>;

/** What a fix can ask for besides a field of the plan. */
export const namedActions = [
  'show the absorption',
  'show the speeds',
  'show the section',
  'show the stage',
  'choose a page',
] as const;

/**
 * Where a finding is fixed: a field of the plan (for a collection, where an entry is added), or a named action where no field
 * of the plan fits, with the thing it is for.
 */
export const targetSchema = z.union([
  z.strictObject({ path: pathSchema }),
  z.strictObject({ action: z.enum(namedActions), of: z.array(z.string()) }),
]);
export type Target = z.output<typeof targetSchema>;

/** What the program has to say about a boat: the reason, the number behind it and the fix. */
export const findingSchema = z.strictObject({
  /** The rule and what it speaks of: the same finding keeps the same id. */
  id: z.string(),
  /** The ids of the things it speaks of; none where it speaks of the boat or a whole stage. */
  of: z.array(z.string()),
  stage: stageSchema,
  severity: severitySchema,
  title: z.string(),
  reason: sentenceSchema,
  /** The number the finding rests on. */
  figure: figureSchema,
  /** How that number came about, where it was worked out. */
  working: z.array(workingStepSchema),
  fix: z.strictObject({
    label: z.string(),
    stage: stageSchema,
    target: targetSchema,
    /** Edits that clear the finding by themselves, where that is safe. */
    edits: z.array(editSchema).optional(),
  }),
});
export type Finding = z.output<typeof findingSchema>;

export const stageStates = ['fresh', 'stale', 'missing', 'stop'] as const;
export const stageStateSchema = z.enum(stageStates);
export type StageState = z.output<typeof stageStateSchema>;
