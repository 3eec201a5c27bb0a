import { stageNumber, type Finding, type Plan, type Stage, type StageState } from '@grey-keel/model';
import type { Result } from '../plan/define-result.ts';
import { builtStages } from './stages.ts';

export interface StageStanding {
  readonly stage: Stage;
  readonly number: number;
  readonly state: StageState;
}

const goneStale = ({ keys, standing }: Result, plan: Plan): boolean =>
  keys(plan).some((key) => standing(plan, key).state === 'stale');

/** How far each built stage has come; a stage with a stop finding is stopped, whatever else it is. */
export const stageStates = (plan: Plan, found: readonly Finding[]): StageStanding[] =>
  builtStages.map(({ stage, waitsFor, results }) => ({
    stage,
    number: stageNumber(stage),
    state: found.some((finding) => finding.stage === stage && finding.severity === 'stop')
      ? 'stop'
      : waitsFor(plan).length > 0
        ? 'missing'
        : results.some((result) => goneStale(result, plan))
          ? 'stale'
          : 'fresh',
  }));

/** The first stage that is still under water, or null when all that is built is fresh. */
export const waterline = (states: readonly StageStanding[]): StageStanding | null =>
  states.find(({ state }) => state !== 'fresh') ?? null;
