import type { Path, Patch, Plan } from '@grey-keel/model';

/** A place of the plan as the one word it is remembered by where it is assumed. */
const assumedPlace = (path: Path): string => path.join('/');

/** What is assumed, in the order it was filled in. */
export const assumedPlaces = (plan: Plan): string[] => Object.keys(plan.assumed ?? {});

/** The assumed places that patches touch: what somebody gave is assumed no longer. */
export const assumedTouched = (plan: Plan, patches: readonly Patch[]): string[] => {
  const assumed = assumedPlaces(plan);
  // Most boats have none, and this is asked at every change.
  if (assumed.length === 0) return [];
  const touched = patches.map(({ path }) => assumedPlace(path));
  return assumed.filter((place) => touched.some((one) => one === place || one.startsWith(`${place}/`)));
};

/** Takes the marks of such places off a draft. */
export const confirmPlaces = (draft: Plan, places: readonly string[]): void => {
  const { assumed } = draft;
  if (!assumed) return;
  for (const place of places) delete assumed[place];
  if (Object.keys(assumed).length === 0) delete draft.assumed;
};
