import type { Plan } from '@grey-keel/model';
import { plainPlan, tell, tracked, whileTelling, type Read } from './tracked-plan.ts';

/** An answer with what it rests on. */
interface Answer<T> {
  readonly reads: ReadonlyMap<string, Read>;
  readonly value: T;
}

/** For how many plans an answer is held: the one before and after an edit, and a few other boats. */
const plansHeld = 4;
const keysHeld = 2000;

const holdsFor = (plan: Plan, { reads }: Answer<unknown>): boolean => {
  for (const { of, was } of reads.values()) if (of(plan) !== was) return false;
  return true;
};

const answersOf = <T>(work: (plan: Plan, key: string) => T, same: (one: T, other: T) => boolean) => {
  const known = new Map<string, readonly Answer<T>[]>();
  return (plan: Plan, key: string): Answer<T> => {
    const answers = known.get(key) ?? [];
    const before = answers.find((one) => holdsFor(plan, one));
    if (before) return before;
    const reads = new Map<string, Read>();
    const worked = whileTelling(
      (name, read) => reads.set(name, read),
      () => work(tracked(plan), key),
    );
    const equal = answers.find(({ value }) => same(value, worked));
    const answer = { reads, value: equal ? equal.value : worked };
    known.delete(key);
    known.set(key, [answer, ...answers.slice(0, plansHeld - 1)]);
    if (known.size > keysHeld) known.delete(known.keys().next().value ?? '');
    return answer;
  };
};

/**
 * Remembers what a pure function made of a plan, by a key. What it read of the plan is found by watching it: as long as
 * that stands, in whatever plan, the answer is the same and is not worked out again. The answer must be data: nothing in
 * it may be a plan.
 */
export const remembered = <T>(work: (plan: Plan, key: string) => T): ((plan: Plan, key: string) => T) => {
  const answers = answersOf(work, () => false);
  return (plan, key) => {
    const { reads, value } = answers(plainPlan(plan), key);
    // Whoever asked rests on the same.
    for (const [name, read] of reads) tell(name, read);
    return value;
  };
};

let settledFunctions = 0;

/**
 * Like `remembered`, for a small answer that often comes out the same though what it was made of has changed: an equal
 * answer is the same one, and whoever asked rests on the answer alone.
 */
export const settled = <T>(work: (plan: Plan, key: string) => T): ((plan: Plan, key: string) => T) => {
  const answers = answersOf(work, (one, other) => JSON.stringify(one) === JSON.stringify(other));
  const name = `settled ${(settledFunctions += 1)}`;
  return (plan, key) => {
    const of = (one: Plan): T => answers(plainPlan(one), key).value;
    const was = of(plan);
    tell(`${name} ${key}`, { of, was });
    return was;
  };
};
