import type { CalibrationKind, FedQuantity, Plan, SonarKind, Transducer } from '@grey-keel/model';
import { inOrder } from '../plan/working-water.ts';
import { depthGivers } from '../sources/depth-givers.ts';
import { feedChoices, poorRank } from '../sources/feeds.ts';
import { isLetDown } from './depth-offset-subject.ts';

/** Something aboard that is calibrated: what gives a speed, a temperature or a heading, a sonar, a station, a battery. */
export interface CalibratedSensor {
  readonly id: string;
  readonly name: string;
  /** Shown at a station: what it says is relied on. */
  readonly shown: boolean;
  /** It sits inside the hull, and measures the bilge. */
  readonly inHull: boolean;
}

/** The sensors that measure a quantity, and whatever else is shown as it, in the order they suit. */
const feeding =
  (quantity: FedQuantity) =>
  (plan: Plan): CalibratedSensor[] => {
    const fed = new Set(
      inOrder(plan.feeds).flatMap(([stationId, feeds]) => {
        const feed = plan.displays[stationId] ? feeds[quantity] : undefined;
        return feed ? [feed.sourceId, feed.fallbackId] : [];
      }),
    );
    return feedChoices(plan, quantity)
      .filter(({ id, rank }) => rank < poorRank || fed.has(id))
      .map(({ id, name, rank }) => ({
        id,
        name,
        shown: fed.has(id),
        inHull: rank >= poorRank && quantity === 'water temperature',
      }));
  };

/** Done where it is wanted: nothing of it is asked for by itself. */
const named = ([id, { name }]: readonly [string, { readonly name: string }]): CalibratedSensor => ({
  id,
  name,
  shown: false,
  inHull: false,
});
const sonars =
  (kinds: readonly SonarKind[], also: (transducer: Transducer) => boolean = () => true) =>
  (plan: Plan): CalibratedSensor[] =>
    inOrder(plan.transducers)
      .filter(([, transducer]) => kinds.includes(transducer.kind) && also(transducer))
      .map(named);
const stations = (plan: Plan): CalibratedSensor[] =>
  inOrder(plan.stations)
    .filter(([id]) => plan.displays[id])
    .map(named);

const looksAside = ['side-scan', 'forward-facing', 'sector'] as const;
const looksAround = ['forward-facing', 'sector'] as const;

const subjects: Readonly<Record<CalibrationKind, (plan: Plan) => CalibratedSensor[]>> = {
  'sound speed': stations,
  speed: feeding('speed through water'),
  temperature: feeding('water temperature'),
  heading: feeding('heading'),
  deviation: feeding('heading'),
  // Against the first of them, unless another is chosen.
  step: (plan) =>
    depthGivers(plan)
      .slice(1)
      .map((one) => named([one.id, one])),
  sides: sonars(looksAside),
  pointing: sonars(looksAround),
  range: sonars(looksAside),
  tilt: sonars(looksAround, isLetDown),
  antenna: (plan) =>
    Object.values(plan.equipment).some(({ kind }) => kind === 'position antenna') ? stations(plan) : [],
  battery: (plan) => inOrder(plan.power.batteries).map(named),
  noise: sonars(['sounder']),
};

/** What of a boat is calibrated by a procedure of a kind. */
export const calibratedSensors = (plan: Plan, kind: CalibrationKind): CalibratedSensor[] => subjects[kind](plan);
