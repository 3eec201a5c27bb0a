import type { Plan } from '@grey-keel/model';
import { inOrder } from './working-water.ts';

/**
 * The station whose display a transducer's depth is read on: the first it feeds, else the one its cable ends at, else
 * the only one; null where none of these is there.
 */
export const readAt = (plan: Plan, transducerId: string): string | null => {
  const fed = inOrder(plan.feeds).find(
    ([id, { depth }]) => plan.displays[id] && (depth?.sourceId === transducerId || depth?.fallbackId === transducerId),
  );
  if (fed) return fed[0];
  const linked = plan.network.links[transducerId]?.to;
  if (linked !== undefined && plan.displays[linked]) return linked;
  const [only, another] = Object.keys(plan.displays);
  return another === undefined ? (only ?? null) : null;
};

/** The device in which a transducer is set up: the display it is read on, else the transducer itself; a sensor's own. */
export const setUpIn = (plan: Plan, id: string): string => (plan.transducers[id] ? (readAt(plan, id) ?? id) : id);
