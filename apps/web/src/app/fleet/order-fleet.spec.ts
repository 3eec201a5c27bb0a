import type { FleetEntry } from '@grey-keel/model';
import { orderFleet, type FleetColumn } from './order-fleet.ts';

const boat = (name: string, stops: number, checks: number, water: string, keptAt: string): FleetEntry => ({
  id: name,
  name,
  lengthM: 7,
  hullForm: 'catamaran',
  water,
  transducers: 1,
  stages: [],
  stops,
  checks,
  number: 1,
  keptAt,
});
const boats = [
  boat('Beta', 1, 0, 'salt', '2026-05-01T09:00:00Z'),
  boat('Émile', 0, 2, 'salt', '2026-05-03T09:00:00Z'),
  boat('alpha', 1, 3, 'fresh', '2026-05-02T09:00:00Z'),
];
const names = (column: FleetColumn, downward = false): string[] =>
  orderFleet(boats, { column, downward }).map(({ name }) => name);

describe('orderFleet', () => {
  it('puts boats in order by what a reader sees, whatever the case and accents', () => {
    expect(names('name')).toEqual(['alpha', 'Beta', 'Émile']);
    expect(names('name', true)).toEqual(['Émile', 'Beta', 'alpha']);
    expect(names('keptAt', true)).toEqual(['Émile', 'alpha', 'Beta']);
  });

  it('counts stops before checks', () => {
    expect(names('stops', true)).toEqual(['alpha', 'Beta', 'Émile']);
  });

  it('leaves those that are alike as they stood, and the list it was given as it was', () => {
    expect(names('water')).toEqual(['alpha', 'Beta', 'Émile']);
    expect(boats.map(({ name }) => name)).toEqual(['Beta', 'Émile', 'alpha']);
  });
});
