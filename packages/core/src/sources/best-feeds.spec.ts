import { fedQuantities, type Plan } from '@grey-keel/model';
import { aDisplay, aPlan, edited } from '../testing/sample-plan.ts';
import { bestFeeds } from './best-feeds.ts';
import { feedChoices, poorRank } from './feeds.ts';

const boat = (): Plan => edited(aPlan(), { type: 'fitDisplay', stationId: 'helm', display: aDisplay() });

describe('the best feeds', () => {
  it('leave nothing empty that something measures well, and fill nothing that nothing does', () => {
    const filled = edited(boat(), ...bestFeeds(boat()));
    for (const quantity of fedQuantities) {
      const good = feedChoices(boat(), quantity).some(({ rank }) => rank < poorRank);
      expect(filled.feeds['helm']?.[quantity] !== undefined)
        .withContext(quantity)
        .toBe(good);
    }
    expect(bestFeeds(boat()).length).toBeGreaterThan(0);
    expect(bestFeeds(filled)).toEqual([]);
  });

  it('leave alone what is fed, and take no source as its own second', () => {
    const sourceId = 'chosen-by-hand';
    const start: Plan = { ...boat(), feeds: { helm: { depth: { sourceId, fallbackId: null } } } };
    expect(edited(start, ...bestFeeds(start)).feeds['helm']?.depth).toEqual({ sourceId, fallbackId: null });
    for (const edit of bestFeeds(boat()))
      if (edit.type === 'feed') expect(edit.feed?.fallbackId).not.toBe(edit.feed?.sourceId);
  });

  it('are none for a station without a display', () => {
    expect(bestFeeds({ ...aPlan(), displays: {} })).toEqual([]);
  });
});
