import type { Finding, Plan, Stage } from '@grey-keel/model';
import { builtStages } from './stages.ts';
import type { ToDo } from '../plan/to-do.ts';
import { type StageStanding, stageStates, waterline } from './stage-states.ts';

/** What a stage still needs, in its order: each says where it is done. */
export const needsOf = (plan: Plan, stage: Stage): readonly ToDo[] =>
  builtStages.find((one) => one.stage === stage)?.waitsFor(plan) ?? [];

/** The stage to go on with after another: the next that is not done, further down first; null where all are done. */
export const stageAfter = (states: readonly StageStanding[], stage: Stage): Stage | null => {
  const at = states.findIndex((one) => one.stage === stage);
  const open = (list: readonly StageStanding[]): Stage | null =>
    list.find(({ state }) => state !== 'fresh')?.stage ?? null;
  return open(states.slice(at + 1)) ?? open(states.slice(0, Math.max(0, at)));
};

/**
 * What is to be done next on a boat, in a few words: what clears the first stop of the first stage that is not done, what
 * that stage waits for, or what has gone stale there. Null where every stage is done.
 */
export const nextStep = (plan: Plan, found: readonly Finding[]): { stage: Stage; what: string } | null => {
  const at = waterline(stageStates(plan, found));
  if (!at) return null;
  const { stage } = at;
  const stop = found.find((finding) => finding.stage === stage && finding.severity === 'stop');
  const [first] = needsOf(plan, stage);
  if (stop) return { stage: stop.fix.stage, what: stop.fix.label };
  if (!first) return { stage, what: 'bring up to date what is stale' };
  // Where it is done is said beside it.
  return { stage: first.stage ?? stage, what: first.what.replace(/, on \p{Lu}\w+$/u, '') };
};
