import { fedQuantities, type Edit, type Plan } from '@grey-keel/model';
import { inOrder } from '../plan/working-water.ts';
import { feedChoices, poorRank } from './feeds.ts';

/**
 * The edits that give every number of every display its best source, and the next as a second. What is fed already is
 * left alone, and so is what nothing measures well.
 */
export const bestFeeds = (plan: Plan): Edit[] =>
  inOrder(plan.displays).flatMap(([stationId]) =>
    fedQuantities.flatMap((quantity): Edit[] => {
      const [best, second] = feedChoices(plan, quantity).filter(({ rank }) => rank < poorRank);
      if (!best || plan.feeds[stationId]?.[quantity]) return [];
      return [{ type: 'feed', stationId, quantity, feed: { sourceId: best.id, fallbackId: second?.id ?? null } }];
    }),
  );
