import type { FleetEntry } from '@grey-keel/model';
import { filterFleet, fleetFilters } from './fleet-filter.ts';

const boat = (name: string, changes: Partial<FleetEntry> = {}): FleetEntry => ({
  id: name.toLowerCase(),
  name,
  lengthM: 7,
  hullForm: 'catamaran',
  water: 'Lake Test, fresh',
  transducers: 1,
  stages: [{ number: 1, state: 'fresh' }],
  stops: 0,
  checks: 0,
  number: 1,
  keptAt: '2026-05-01T09:00:00Z',
  ...changes,
});
const boats = [
  boat('Alpha', { stops: 1, stages: [{ number: 1, state: 'stop' }] }),
  boat('Beta', { checks: 2, water: 'Deep, salt' }),
  boat('Gamma', { hullForm: 'displacement', stages: [{ number: 1, state: 'stale' }] }),
  boat('Alphonse'),
];
const names = (search: string, filter: (typeof fleetFilters)[number] = 'all'): string[] =>
  filterFleet(boats, search, filter).map(({ name }) => name);

describe('filterFleet', () => {
  it('keeps boats that hold every word, in name, water or hull, whatever the case', () => {
    expect(names('')).toEqual(['Alpha', 'Beta', 'Gamma', 'Alphonse']);
    expect(names('ALPH')).toEqual(['Alpha', 'Alphonse']);
    expect(names('salt')).toEqual(['Beta']);
    expect(names('gam displacement')).toEqual(['Gamma']);
    expect(names('gam catamaran')).toEqual([]);
  });

  it('keeps boats by how they stand', () => {
    expect(names('', 'with a stop')).toEqual(['Alpha']);
    expect(names('', 'with findings')).toEqual(['Alpha', 'Beta']);
    expect(names('', 'not finished')).toEqual(['Alpha', 'Gamma']);
    expect(names('', 'finished')).toEqual(['Beta', 'Alphonse']);
    expect(names('alph', 'finished')).toEqual(['Alphonse']);
  });
});
