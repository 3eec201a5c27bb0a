import type { Plan, Stage } from '@grey-keel/model';
import type { AnyExercise } from '../drill/exercise.ts';
import type { EditRow } from '../edits/edit-row.ts';
import type { Rule } from '../findings/rule.ts';
import type { Result } from '../plan/define-result.ts';
import type { ToDo } from '../plan/to-do.ts';

/** One stage of the job, whole: what can be changed in it, what is judged, and how far it has come. */
export interface StageDefinition<S extends Stage = Stage> {
  readonly stage: S;
  /** The kinds of edit that belong to it. */
  readonly edits: object;
  readonly rules: readonly Rule<S>[];
  /** What it still waits for, in the order of the page; nothing where it is done. */
  readonly waitsFor: (plan: Plan) => readonly ToDo[];
  /** What is measured, printed or looked over in it, and can go stale. */
  readonly results: readonly Result[];
  /** What can be practised of it on the boat that is open, in the order it is asked. */
  readonly exercises: readonly AnyExercise[];
}

/** A stage as it is registered. The kinds of its edits stay known to the compiler. */
export const defineStage = <S extends Stage, E extends Record<keyof E, Pick<EditRow, 'schema'>>>(
  definition: StageDefinition<S> & { readonly edits: E },
): StageDefinition<S> & { readonly edits: E } => definition;
