import type { FleetEntry } from '@grey-keel/model';

/** Which boats the fleet page shows: all, those with something to put right, those not finished, those finished. */
export const fleetFilters = ['all', 'with a stop', 'with findings', 'not finished', 'finished'] as const;
export type FleetFilter = (typeof fleetFilters)[number];

const finished = ({ stages }: FleetEntry): boolean => stages.every(({ state }) => state === 'fresh');

const keeps: Readonly<Record<FleetFilter, (boat: FleetEntry) => boolean>> = {
  all: () => true,
  'with a stop': ({ stops }) => stops > 0,
  'with findings': ({ stops, checks }) => stops + checks > 0,
  'not finished': (boat) => !finished(boat),
  finished,
};

/** The boats whose name, water or hull holds every word of the search. */
export const filterFleet = (boats: readonly FleetEntry[], search: string, filter: FleetFilter): FleetEntry[] => {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  return boats.filter((boat) => {
    const text = `${boat.name} ${boat.water} ${boat.hullForm}`.toLowerCase();
    return keeps[filter](boat) && words.every((word) => text.includes(word));
  });
};
