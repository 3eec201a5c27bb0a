import type { Plan } from '@grey-keel/model';

/**
 * Remembers what a pure function made of a plan, by a key, for as long as the plan lives. A plan never changes in place,
 * so several rules that ask the same of it get the same answer without working it out again.
 */
export const perPlan = <T>(work: (plan: Plan, key: string) => T): ((plan: Plan, key: string) => T) => {
  const known = new WeakMap<Plan, Map<string, T>>();
  return (plan, key) => {
    let answers = known.get(plan);
    if (!answers) known.set(plan, (answers = new Map<string, T>()));
    const before = answers.get(key);
    if (before !== undefined) return before;
    const answer = work(plan, key);
    answers.set(key, answer);
    return answer;
  };
};
