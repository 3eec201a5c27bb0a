import type { Plan, Way } from '@grey-keel/model';
import { pagesAt } from '../plan/pages-at.ts';

const renumber = (plan: Plan, ids: readonly string[]): void =>
  ids.forEach((id, i) => {
    const page = plan.pages[id];
    if (page && page.place !== i + 1) page.place = i + 1;
  });

/** Puts a page at a place of its display's list; the others keep their order. */
export const moveTo = (plan: Plan, id: string, place: number): void => {
  const ids = pagesAt(plan, plan.pages[id]?.stationId ?? '').flatMap((page) => (page.id === id ? [] : [page.id]));
  ids.splice(place - 1, 0, id);
  renumber(plan, ids);
};

/** A station shows one page in a way of working: the others give way. */
export const giveWay = (plan: Plan, id: string, way: Way): void => {
  for (const other of pagesAt(plan, plan.pages[id]?.stationId ?? ''))
    if (other.id !== id && other.page.shownIn[way]) delete other.page.shownIn[way];
};
