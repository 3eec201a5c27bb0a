import { signal, type InputSignal, type Signal, type Type, type WritableSignal } from '@angular/core';
import { askOf, type Exercise, type Score } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';

/** A question that has been asked: what its view shows, and the answer it changes until that is scored. */
export interface Asked<Question, Answer> {
  readonly plan: Plan;
  readonly question: Question;
  readonly answer: WritableSignal<Answer>;
  readonly score: Signal<Score | null>;
}

/** One turn of a drill, whatever its question and answer are. */
export interface Turn {
  readonly name: string;
  readonly view: Type<unknown>;
  readonly inputs: { readonly asked: unknown };
  readonly score: Signal<Score | null>;
  readonly mark: () => void;
}

/** What can be asked: one exercise with the drawing it is answered in. */
export interface DrillRow {
  readonly name: string;
  /** A turn of it on this boat; null where it allows none. */
  readonly ask: (plan: Plan, seed: number) => Turn | null;
}

/** An exercise with its view: both speak of the same question and answer, by the compiler. */
export const drillRow = <Question, Answer>(
  exercise: Exercise<Question, Answer>,
  view: Type<{ readonly asked: InputSignal<Asked<Question, Answer>> }>,
): DrillRow => ({
  name: exercise.name,
  ask: (plan, seed) => {
    const question = askOf(exercise, plan, seed);
    if (question === null) return null;
    const answer = signal(exercise.startsAt(question));
    const score = signal<Score | null>(null);
    const asked: Asked<Question, Answer> = { plan, question, answer, score };
    return {
      name: exercise.name,
      view,
      inputs: { asked },
      score,
      mark: () => score.set(exercise.score(plan, question, answer())),
    };
  },
});
