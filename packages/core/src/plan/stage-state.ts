import { stageNumber, type Finding, type Plan, type Stage, type StageState } from '@grey-keel/model';
import { offsetStanding } from '../calibration/depth-offset-subject.ts';
import { missingFacts } from '../findings/rules/brief-missing.ts';
import { soundersOf } from '../findings/rules/depth-offsets.ts';
import { cardStanding } from '../handover/card.ts';

type Standing = Exclude<StageState, 'stop'>;

const worst = (states: readonly Standing[]): Standing =>
  states.includes('missing') ? 'missing' : states.includes('stale') ? 'stale' : 'fresh';

/** The stages that are built, in the order of the job, each with how far it has come. */
export const builtStages: readonly { readonly stage: Stage; readonly standing: (plan: Plan) => Standing }[] = [
  { stage: 'brief', standing: (plan) => (missingFacts(plan).length === 0 ? 'fresh' : 'missing') },
  { stage: 'beams', standing: (plan) => (Object.keys(plan.transducers).length > 0 ? 'fresh' : 'missing') },
  {
    stage: 'calibrate',
    standing: (plan) => {
      const sounders = soundersOf(plan);
      return sounders.length === 0 ? 'missing' : worst(sounders.map(({ id }) => offsetStanding(plan, id).state));
    },
  },
  { stage: 'handover', standing: cardStanding },
];

export interface StageStanding {
  readonly stage: Stage;
  readonly number: number;
  readonly state: StageState;
}

/** How far each built stage has come; a stage with a stop finding is stopped, whatever else it is. */
export const stageStates = (plan: Plan, found: readonly Finding[]): StageStanding[] =>
  builtStages.map(({ stage, standing }) => ({
    stage,
    number: stageNumber(stage),
    state: found.some((finding) => finding.stage === stage && finding.severity === 'stop') ? 'stop' : standing(plan),
  }));

/** The first stage that is still under water, or null when all that is built is fresh. */
export const waterline = (states: readonly StageStanding[]): StageStanding | null =>
  states.find(({ state }) => state !== 'fresh') ?? null;
