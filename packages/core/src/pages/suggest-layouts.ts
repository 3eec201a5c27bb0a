import type { Layout, Pane, Plan, View, Way } from '@grey-keel/model';
import { answerOf } from '../calculation/calculation.ts';
import { pageFor } from '../plan/pages-at.ts';
import { paneScale } from './pane-scale.ts';
import { panesOf, type PlacedPane } from './panes.ts';
import { viewRangeM } from './view-range.ts';

/** What is looked at in each way of working, and how much: the weights a layout is scored by. */
export const looksAt: Readonly<Record<Way, Partial<Record<View, number>>>> = {
  running: { chart: 3, sounder: 1 },
  searching: { 'side-scan': 3, chart: 1, sounder: 1, 'down fan': 1 },
  approaching: { 'forward-facing': 2, 'side-scan': 1, chart: 2, sounder: 1 },
  'on the spot': { 'forward-facing': 3, sounder: 2 },
  casting: { 'forward-facing': 3, chart: 1 },
  trolling: { sounder: 3, chart: 2 },
  drifting: { sounder: 3, chart: 1 },
  anchored: { chart: 2, sounder: 2 },
  trailer: {},
};

/** How far a view's use grows with its width and with its height, as powers: side-scan lives by width, a sounder by height. */
const powers: Readonly<Record<View, readonly [width: number, height: number]>> = {
  'side-scan': [0.8, 0.2],
  sounder: [0.3, 0.7],
  'down fan': [0.3, 0.7],
  chart: [0.5, 0.5],
  'forward-facing': [0.5, 0.5],
  sector: [0.5, 0.5],
};

export interface SuggestedLayout {
  readonly layout: Layout;
  /** 0 to 1: 1 would give every wanted view the whole screen. */
  readonly score: number;
  /** The view the layout is made for, and what it gives it. */
  readonly chief: View;
  readonly scale: ReturnType<typeof scaleOf>;
  /** Pixels of the chief view against the page that shows now, as a fraction more; null where it does not show it. */
  readonly morePixels: number | null;
}

/** The views a boat can show: a chart always, a sonar view where there is a transducer of its kind. */
export const viewsAboard = (plan: Plan): Set<View> =>
  new Set<View>(['chart', ...Object.values(plan.transducers).map(({ kind }) => kind)]);

const scaleOf = (plan: Plan, { pane, width, height }: PlacedPane) =>
  answerOf(paneScale, { view: pane.view, rangeM: viewRangeM(plan, pane), widthPx: width, heightPx: height });

const pane = (view: View, share: number): Pane => ({ share, view, rangeM: null });
const lies = ['rows', 'columns'] as const;
const halves = [
  [1, 1],
  [2, 1],
  [1, 2],
].map(([a = 1, b = 1]): readonly [number, number] => [a / (a + b), b / (a + b)]);

const one = (view: View): Layout[] => [{ bandsLie: 'rows', bands: [{ share: 1, panes: [pane(view, 1)] }] }];

const two = (a: View, b: View): Layout[] =>
  lies.flatMap((bandsLie) =>
    halves.map(([p, q]) => ({
      bandsLie,
      bands: [
        { share: p, panes: [pane(a, 1)] },
        { share: q, panes: [pane(b, 1)] },
      ],
    })),
  );

/** One view over the whole of a band, the two others side by side in the band beside it. */
const three = (a: View, b: View, c: View): Layout[] =>
  lies.flatMap((bandsLie) =>
    halves.map(([p, q]) => ({
      bandsLie,
      bands: [
        { share: p, panes: [pane(a, 1)] },
        { share: q, panes: [pane(b, 0.5), pane(c, 0.5)] },
      ],
    })),
  );

const candidates = (views: readonly View[]): Layout[] =>
  views.flatMap((a) => [
    ...one(a),
    ...views.flatMap((b) =>
      b === a ? [] : [...two(a, b), ...views.flatMap((c) => (c === a || c === b ? [] : three(a, b, c)))],
    ),
  ]);

const shape = ({ bandsLie, bands }: Layout): string =>
  `${bandsLie} ${bands
    .map(({ panes }) =>
      panes
        .map(({ view }) => view)
        .sort()
        .join('+'),
    )
    .sort()
    .join(' ')}`;

/**
 * The best layouts for a station in a way of working, best first, no two of them alike but for their shares, and none
 * like the page that shows now. The score
 * is the weighted mean over the wanted views of width^a x height^b as shares of the screen: transparent, and no more
 * than a start.
 */
export const suggestLayouts = (plan: Plan, stationId: string, way: Way, most = 3): SuggestedLayout[] => {
  const display = plan.displays[stationId];
  if (!display) return [];
  const aboard = viewsAboard(plan);
  const weights = (Object.entries(looksAt[way]) as [View, number][]).filter(([view]) => aboard.has(view));
  const whole = weights.reduce((sum, [, weight]) => sum + weight, 0);
  const now = pageFor(plan, stationId, way);
  const shownNow = now ? panesOf(now.page.layout, display) : [];
  const shapeNow = now ? shape(now.page.layout) : null;

  const scored = candidates(weights.map(([view]) => view)).flatMap((layout): (SuggestedLayout & { key: string })[] => {
    const panes = panesOf(layout, display);
    const key = shape(layout);
    if (panes.length > display.panesPerPage || key === shapeNow) return [];
    const score =
      weights.reduce((sum, [view, weight]) => {
        const placed = panes.find((one) => one.pane.view === view);
        if (!placed) return sum;
        const [a, b] = powers[view];
        return sum + weight * (placed.width / display.pixelsWide) ** a * (placed.height / display.pixelsHigh) ** b;
      }, 0) / whole;
    const chief = panes.reduce((best, one) =>
      (looksAt[way][one.pane.view] ?? 0) > (looksAt[way][best.pane.view] ?? 0) ? one : best,
    );
    const scale = scaleOf(plan, chief);
    const before = shownNow.find((one) => one.pane.view === chief.pane.view);
    return [
      {
        layout,
        score,
        chief: chief.pane.view,
        scale,
        morePixels: before ? scale.pixels / (scale.along === 'width' ? before.width : before.height) - 1 : null,
        key,
      },
    ];
  });
  const best = new Map<string, SuggestedLayout>();
  for (const { key, ...suggestion } of scored.sort((a, b) => b.score - a.score))
    if (!best.has(key)) best.set(key, suggestion);
  return [...best.values()].slice(0, most);
};
