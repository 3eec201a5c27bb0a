import { fedQuantities, type Plan } from '@grey-keel/model';
import { depthOffsetOf } from '../../../calibration/depth-offset-subject.ts';
import { feedChoices, poorRank } from '../../../sources/feeds.ts';
import { calculated, given } from '../../../calculation/working-step.ts';
import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { eachFitted } from '../../../findings/each-fitted.ts';
import { at } from '../../../plan/target.ts';
import { thingName } from './names.ts';

export const feedNow = (plan: Plan, stationId: string, quantity: (typeof fedQuantities)[number]) => {
  const feed = plan.feeds[stationId]?.[quantity];
  const choices = feedChoices(plan, quantity);
  return { feed, choices, now: choices.find(({ id }) => id === feed?.sourceId), best: choices[0] };
};

const takeBest = (plan: Plan, stationId: string, quantity: (typeof fedQuantities)[number]) => {
  const [best, second] = feedChoices(plan, quantity).filter(({ rank }) => rank < poorRank);
  return {
    label: best ? `Take it from "${best.name}"` : 'Choose another',
    target: at('feeds', stationId, quantity),
    ...(best
      ? {
          edits: [
            {
              type: 'feed' as const,
              stationId,
              quantity,
              feed: { sourceId: best.id, fallbackId: second?.id ?? null },
            },
          ],
        }
      : {}),
  };
};

/** How far, over the bottom, from what measures best. */
const fromBestM = (plan: Plan, id: string, bestId: string) => {
  const place = (key: string) => plan.transducers[key] ?? plan.equipment[key];
  const [a, b] = [place(id), place(bestId)];
  if (!a || !b) return null;
  return calculated(
    {
      says: 'From the better source',
      symbol: 'd',
      value: Math.hypot(a.forwardM - b.forwardM, a.starboardM - b.starboardM),
      unit: 'm',
      expression: 'sqrt(f ^ 2 + s ^ 2)',
      source: 'plane geometry',
    },
    given('f', a.forwardM - b.forwardM, 'm', 'forward'),
    given('s', a.starboardM - b.starboardM, 'm', 'to starboard'),
  );
};

/** A number that some sensor measures, but not of what the station shows it for. */
export const feedPoor: Rule<'sources'> = {
  id: 'feed-poor',
  stage: 'sources',
  severity: 'check',
  find: eachFitted(({ id: stationId, plan, station }) =>
    fedQuantities.flatMap((quantity): Found[] => {
      const { now, best } = feedNow(plan, stationId, quantity);
      if (!now || now.rank < poorRank || !best || best.rank >= poorRank) return [];
      const away = fromBestM(plan, now.id, best.id);
      return [
        {
          subject: `${stationId}-${quantity.replace(/ /g, '-')}`,
          of: [stationId],
          title: `The ${quantity} comes from the wrong unit`,
          reason: [
            `${station.name} takes its ${quantity} from "${now.name}", which ${now.because}, `,
            figure(away?.value ?? 0, 'length'),
            ` from "${best.name}".`,
          ],
          figure: figure(away?.value ?? 0, 'length'),
          working: away ? [away] : [],
          fix: takeBest(plan, stationId, quantity),
        },
      ];
    }),
  ),
};

export const feedGone: Rule<'sources'> = {
  id: 'feed-gone',
  stage: 'sources',
  severity: 'stop',
  find: eachFitted(({ id: stationId, plan, station }) =>
    fedQuantities.flatMap((quantity): Found[] => {
      const { feed, now, choices } = feedNow(plan, stationId, quantity);
      if (!feed || now) return [];
      return [
        {
          subject: `${stationId}-${quantity.replace(/ /g, '-')}`,
          of: [stationId],
          title: `The ${quantity} comes from nothing`,
          reason: [
            `${station.name} takes its ${quantity} from a source that is gone or does not measure it; `,
            figure(choices.length, 'count'),
            ' others could.',
          ],
          figure: figure(choices.length, 'count'),
          fix: takeBest(plan, stationId, quantity),
        },
      ];
    }),
  ),
};
/** When the source fails, the display goes on with a depth that is counted from somewhere else. */
export const fallbackReference: Rule<'sources'> = {
  id: 'fallback-reference',
  stage: 'sources',
  severity: 'check',
  find: eachFitted(({ id: stationId, plan, station }): Found[] => {
    const feed = plan.feeds[stationId]?.depth;
    if (!feed?.fallbackId || !plan.transducers[feed.sourceId] || !plan.transducers[feed.fallbackId]) return [];
    const [now, then] = [feed.sourceId, feed.fallbackId].map((id) => depthOffsetOf(plan, id).reference);
    const draughtM = plan.boat.draughtM ?? 0;
    if (now === then) return [];
    const deeper = now === 'keel';
    return [
      {
        subject: stationId,
        severity: deeper ? ('stop' as const) : ('check' as const),
        title: 'The fallback counts from elsewhere',
        reason: [
          `${station.name} shows depth from the ${now ?? ''} by ${thingName(plan, feed.sourceId)}. When that fails, ${thingName(plan, feed.fallbackId)} shows it from the ${then ?? ''}: `,
          figure(draughtM, 'length'),
          deeper ? ' more, with no more water.' : ' less, with no less water.',
        ],
        figure: figure(draughtM, 'length'),
        fix: { label: 'Count both from the same', stage: 'calibrate', target: at('depthOffsets', feed.fallbackId) },
      },
    ];
  }),
};
