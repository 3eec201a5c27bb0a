import type { CalibrationKind, FedQuantity, Plan } from '@grey-keel/model';
import { inOrder } from '../plan/working-water.ts';
import { feedChoices, poorRank } from '../sources/feeds.ts';

/** Something aboard that gives a speed, a temperature or a heading. */
export interface CalibratedSensor {
  readonly id: string;
  readonly name: string;
  /** Shown at a station: what it says is relied on. */
  readonly shown: boolean;
  /** It sits inside the hull, and measures the bilge. */
  readonly inHull: boolean;
}

export const quantityOf: Readonly<Record<CalibrationKind, FedQuantity>> = {
  speed: 'speed through water',
  temperature: 'water temperature',
  heading: 'heading',
  deviation: 'heading',
};

/** The sensors of a kind, in the order they suit: those that measure it, and whatever else is shown as it. */
export const calibratedSensors = (plan: Plan, kind: CalibrationKind): CalibratedSensor[] => {
  const quantity = quantityOf[kind];
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
      inHull: rank >= poorRank && kind === 'temperature',
    }));
};
