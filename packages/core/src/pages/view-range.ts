import type { Pane, Plan, View } from '@grey-keel/model';

/** What a view shows by itself: a share over the depth, as much to each side as it is deep twice over, a chart near the boat. */
const automatic: Readonly<Record<View, (depthM: number) => number>> = {
  sounder: (depthM) => 1.25 * depthM,
  'down fan': (depthM) => 1.25 * depthM,
  'forward-facing': (depthM) => 1.25 * depthM,
  sector: (depthM) => 2 * depthM,
  'side-scan': (depthM) => 2 * depthM,
  chart: () => 500,
};

/** The range a pane is judged at, metres: its own, or the automatic one for the boat's working depth. */
export const viewRangeM = (plan: Plan, { view, rangeM }: Pick<Pane, 'view' | 'rangeM'>): number =>
  rangeM ?? automatic[view](plan.working.depthM);
