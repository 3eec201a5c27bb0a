import { stageNumber, type Finding, type Plan, type Stage, type StageState } from '@grey-keel/model';
import { offsetStanding } from '../calibration/depth-offset-subject.ts';
import { missingFacts } from '../findings/rules/brief-missing.ts';
import { depthGivers } from '../sources/depth-givers.ts';
import { fittedStations } from '../findings/rules/pages.ts';
import { cardStanding } from '../handover/card.ts';
import { bindingsAt } from '../keys/key-slots.ts';
import { pageFor, shownWays } from '../pages/pages-at.ts';
import { hullChanges } from '../fit/places.ts';
import { fitToDo, sourcesToDo } from './still-to-do.ts';

type Standing = Exclude<StageState, 'stop'>;

const worst = (states: readonly Standing[]): Standing =>
  states.includes('missing') ? 'missing' : states.includes('stale') ? 'stale' : 'fresh';

/** Every station has its display, and a page for each way of working that shows one. */
const pagesStanding = (plan: Plan): Standing => {
  const stations = Object.keys(plan.stations);
  const whole = stations.every((id) => plan.displays[id] && shownWays(plan).every((way) => pageFor(plan, id, way)));
  return stations.length > 0 && whole ? 'fresh' : 'missing';
};

/** Every display that has programmable keys has something on one of them. */
const keysStanding = (plan: Plan): Standing => {
  const fitted = fittedStations(plan);
  const bound = fitted.every(({ id, display }) => display.keys === 0 || bindingsAt(plan, id).length > 0);
  return fitted.length > 0 && bound ? 'fresh' : 'missing';
};

const done = (left: readonly unknown[]): Standing => (left.length === 0 ? 'fresh' : 'missing');

/** The stages that are built, in the order of the job, each with how far it has come. */
export const builtStages: readonly { readonly stage: Stage; readonly standing: (plan: Plan) => Standing }[] = [
  { stage: 'brief', standing: (plan) => (missingFacts(plan).length === 0 ? 'fresh' : 'missing') },
  { stage: 'beams', standing: (plan) => (Object.keys(plan.transducers).length > 0 ? 'fresh' : 'missing') },
  {
    stage: 'fit',
    standing: (plan) => worst([done(fitToDo(plan)), hullChanges(plan).length ? 'stale' : 'fresh']),
  },
  { stage: 'sources', standing: (plan) => done(sourcesToDo(plan)) },
  {
    stage: 'calibrate',
    standing: (plan) => {
      const givers = depthGivers(plan);
      return givers.length === 0 ? 'missing' : worst(givers.map(({ id }) => offsetStanding(plan, id).state));
    },
  },
  { stage: 'pages', standing: pagesStanding },
  { stage: 'keys', standing: keysStanding },
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
