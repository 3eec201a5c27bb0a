import { rankTransducers, type Place } from '@grey-keel/core';
import { emptyPlan, type Boat, type Plan, type Water } from '@grey-keel/model';
import { shippedCatalogue } from './shipped.ts';

interface Brief {
  readonly boat: Partial<Boat>;
  readonly water: Partial<Water>;
  readonly depthM: number;
  readonly fish: readonly [lengthCm: number, shallowestM: number, deepestM: number];
  readonly ways: Plan['ways'];
}

const planOf = ({ boat, water, depthM, fish: [lengthCm, shallowestM, deepestM], ways }: Brief): Plan => {
  const plan = emptyPlan('Brief');
  return {
    ...plan,
    boat: { ...plan.boat, ...boat },
    waters: {
      one: {
        name: 'Water',
        kind: 'fresh',
        salinityPpt: 0,
        temperatureC: 12,
        coldestC: null,
        warmestC: null,
        shallowestM: 0.5,
        usualDeepestM: depthM,
        greatestM: 1.5 * depthM,
        clarity: 'mixed',
        ...water,
      },
    },
    sought: { one: { name: 'fish', lengthCm, shallowestM, deepestM, over: ['mud'] } },
    ways,
    working: { waterId: 'one', depthM },
  };
};
const catalogue = shippedCatalogue.map((entry) => ({ ...entry, version: 1, shipped: true }));
const placesOf = (brief: Brief): readonly Place[] =>
  rankTransducers(planOf(brief), catalogue, 'only one')?.places ?? [];
const mountings = (places: readonly Place[]): string[] =>
  places.flatMap(({ candidates }) => candidates.map(({ mounting }) => mounting));

const pond: Brief = {
  boat: {
    lengthM: 4.1,
    beamM: 1.4,
    draughtM: 0.15,
    hullForm: 'flat-bottomed',
    hullMaterial: 'wood',
    propulsion: 'oars',
  },
  water: { greatestM: 4.5 },
  depthM: 4,
  fish: [50, 1, 4],
  ways: { anchored: true, casting: true },
};
const river: Brief = {
  boat: {
    lengthM: 6.5,
    beamM: 2.2,
    draughtM: 0.3,
    hullForm: 'planing monohull',
    hullMaterial: 'aluminium',
    propulsion: 'jet',
    cruiseSpeedMps: 11,
    topSpeedMps: 16,
  },
  water: { greatestM: 5 },
  depthM: 2,
  fish: [60, 0.5, 2],
  ways: { running: true, casting: true },
};
const shaftBoat: Brief = {
  boat: {
    lengthM: 9,
    beamM: 3,
    draughtM: 0.8,
    hullForm: 'planing monohull',
    hullMaterial: 'solid laminate',
    propulsion: 'inboard shaft',
    cruiseSpeedMps: 9,
    topSpeedMps: 12,
  },
  water: { kind: 'salt', salinityPpt: 35 },
  depthM: 50,
  fish: [60, 20, 50],
  ways: { running: true, drifting: true },
};

describe('the advice from the shipped catalogue', () => {
  it('offers a rowing boat on a pond no hole in its bottom, and little power', () => {
    const places = placesOf(pond);
    expect(places.length).toBeGreaterThan(2);
    expect(mountings(places)).not.toContain('through-hull');
    for (const { measures } of places.slice(0, 3)) expect(measures.powerW).toBeLessThan(1000);
  });

  it('offers a jet boat in two metres of river nothing that a bar takes off', () => {
    const places = placesOf(river);
    expect(mountings(places)).not.toContain('through-hull');
    for (const { measures } of places.slice(0, 3)) expect(measures.powerW).toBeLessThan(1000);
    expect(places[0]?.remarks.join(' ')).toContain('stream of the jet');
  });

  it('tells a planing boat with a shaft what a transom unit meets there', () => {
    const transom = placesOf(shaftBoat).find(({ candidates }) => candidates[0]?.mounting === 'transom');
    expect(transom?.remarks.join(' ')).toContain('wash of the shaft');
  });

  it('puts nothing first that is blind to most of the water', () => {
    for (const brief of [pond, river]) {
      const [first] = placesOf(brief);
      expect(first?.measures.blankM).toBeLessThan(0.25 * brief.depthM);
    }
  });

  it('wants a bow motor for what hangs on one', () => {
    const without = rankTransducers(planOf(pond), catalogue, 'only one')?.ruledOut ?? [];
    const forward = shippedCatalogue.filter(
      ({ item }) => item.type === 'transducer' && item.mountings.every((one) => one === 'bow motor'),
    );
    for (const { id, item } of forward)
      if (item.type === 'transducer' && item.element.kind === 'sounder')
        expect(without.map((one) => one.id)).toContain(id);
    expect(mountings(placesOf(pond))).not.toContain('bow motor');
  });
});
