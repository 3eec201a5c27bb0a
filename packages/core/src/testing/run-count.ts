/**
 * How often a property is tried: as often as tells a fault in the usual tests, and `whole` times where the tests are run by
 * `npm run whole-runs`.
 */
export const runCount = (whole: number, usual: number): number =>
  (globalThis as { readonly wholeRuns?: boolean }).wholeRuns === true ? whole : usual;
