import { waysOfWorking, type Page, type Plan, type Way } from '@grey-keel/model';

export interface ListedPage {
  readonly id: string;
  readonly page: Page;
}

/** The pages of a station's display in the order of its list. */
export const pagesAt = (plan: Plan, stationId: string): ListedPage[] =>
  Object.entries(plan.pages)
    .flatMap(([id, page]) => (page.stationId === stationId ? [{ id, page }] : []))
    .sort((a, b) => a.page.place - b.page.place || (a.id < b.id ? -1 : 1));

/** The page a station shows in a way of working, or null for a gap. */
export const pageFor = (plan: Plan, stationId: string, way: Way): ListedPage | null =>
  pagesAt(plan, stationId).find(({ page }) => page.shownIn[way]) ?? null;

/** The ways of working a boat uses, in their usual order. */
export const usedWays = (plan: Plan): Way[] => waysOfWorking.filter((way) => plan.ways[way]);

/** The used ways in which a screen has something to show: on the trailer everything is quiet. */
export const shownWays = (plan: Plan): Way[] => usedWays(plan).filter((way) => way !== 'trailer');
