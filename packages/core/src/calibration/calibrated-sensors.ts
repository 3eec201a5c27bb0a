import type { FedQuantity, Plan, SonarKind, Transducer } from '@grey-keel/model';
import { inOrder } from '../plan/working-water.ts';
import { feedChoices, poorRank } from '../sources/feeds.ts';

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
export const feeding =
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
export const askedFor = (id: string, { name }: { readonly name: string }): CalibratedSensor => ({
  id,
  name,
  shown: false,
  inHull: false,
});

export const looksAside: readonly SonarKind[] = ['side-scan', 'forward-facing', 'sector'];
export const looksAround: readonly SonarKind[] = ['forward-facing', 'sector'];

/** The sonars of some kinds. */
export const sonars =
  (kinds: readonly SonarKind[], also: (transducer: Transducer) => boolean = () => true) =>
  (plan: Plan): CalibratedSensor[] =>
    inOrder(plan.transducers)
      .filter(([, transducer]) => kinds.includes(transducer.kind) && also(transducer))
      .map(([id, transducer]) => askedFor(id, transducer));

/** The stations that have a display. */
export const stations = (plan: Plan): CalibratedSensor[] =>
  inOrder(plan.stations)
    .filter(([id]) => plan.displays[id])
    .map(([id, station]) => askedFor(id, station));
