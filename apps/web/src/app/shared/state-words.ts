import type { StageState } from '@grey-keel/model';

/** How far a stage has come, in the words of the ladder. */
export const stateWords: Readonly<Record<StageState, string>> = {
  fresh: 'done',
  stale: 'out of date',
  missing: 'to do',
  stop: 'stop',
};

/** In the order a legend has them. */
export const stageStateList = ['fresh', 'missing', 'stale', 'stop'] as const satisfies readonly StageState[];
