import type { Plan, Sentence, WorkingStep } from '@grey-keel/model';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { RandomGenerator } from 'pure-rand/types/RandomGenerator';
import { skipN } from 'pure-rand/utils/skipN';

export interface Score {
  /** 0 to 100. */
  readonly points: number;
  /** What was right and what was not, and what would have been right. */
  readonly parts: readonly { readonly right: boolean; readonly words: Sentence }[];
  readonly working: readonly WorkingStep[];
}

/** One kind of exercise: a question about the boat that is open, and an answer that the stages' own calculations score. */
export interface Exercise<Question, Answer> {
  readonly name: string;
  /** A question of this kind; null where the boat or its water does not allow one. */
  readonly make: (plan: Plan, random: RandomGenerator) => Question | null;
  /** What the answer is before anything was done: neither right nor far from it. */
  readonly startsAt: (question: Question) => Answer;
  readonly score: (plan: Plan, question: Question, answer: Answer) => Score;
}

/** An exercise as it is registered: its question and answer stay known to the compiler. */
export const defineExercise = <Question, Answer>(exercise: Exercise<Question, Answer>): Exercise<Question, Answer> =>
  exercise;

/** Any exercise, to be asked and looked at, not to be answered. */
export type AnyExercise = Pick<Exercise<unknown, unknown>, 'name' | 'make'>;

/** A question of an exercise, the same for the same whole-number seed; null where the boat does not allow one. */
export const askOf = <Question>(
  { make }: Pick<Exercise<Question, never>, 'make'>,
  plan: Plan,
  seed: number,
): Question | null => {
  const random = xoroshiro128plus(seed | 0);
  // Seeds that lie close together begin alike.
  skipN(random, 32);
  return make(plan, random);
};

/** A number of a range, each as likely as the next; to a millionth of the range. */
export const between = (random: RandomGenerator, from: number, to: number): number =>
  from + ((to - from) * uniformInt(random, 0, 1_000_000)) / 1_000_000;
