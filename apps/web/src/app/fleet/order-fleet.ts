import type { FleetEntry } from '@grey-keel/model';

/** The columns a fleet can be put in order by. */
export const fleetColumns = ['name', 'stops', 'water', 'keptAt'] as const;
export type FleetColumn = (typeof fleetColumns)[number];

export interface FleetOrder {
  readonly column: FleetColumn;
  readonly downward: boolean;
}

/** The boats in the order of a column; those alike in it stay as they were. */
export const orderFleet = (boats: readonly FleetEntry[], { column, downward }: FleetOrder): FleetEntry[] => {
  const sign = downward ? -1 : 1;
  const compare = (a: FleetEntry, b: FleetEntry): number =>
    column === 'stops' ? a.stops - b.stops || a.checks - b.checks : a[column].localeCompare(b[column], 'en');
  return [...boats].sort((a, b) => sign * compare(a, b));
};
