import type { Finding, Plan, Stage } from '@grey-keel/model';
import { builtStages } from './stages.ts';
import { stageStates, waterline } from './stage-states.ts';

/**
 * What is to be done next on a boat, in a few words: what clears the first stop of the first stage that is not done, what
 * that stage waits for, or what has gone stale there. Null where every stage is done.
 */
export const nextStep = (plan: Plan, found: readonly Finding[]): { stage: Stage; what: string } | null => {
  const at = waterline(stageStates(plan, found));
  if (!at) return null;
  const { stage } = at;
  const stop = found.find((finding) => finding.stage === stage && finding.severity === 'stop');
  const [first] = builtStages.find((one) => one.stage === stage)?.waitsFor(plan) ?? [];
  if (stop) return { stage: stop.fix.stage, what: stop.fix.label };
  if (!first) return { stage, what: 'bring up to date what is stale' };
  // Where it is done is said beside it.
  return { stage: first.stage ?? stage, what: first.what.replace(/, on \p{Lu}\w+$/u, '') };
};
