import { criteria, type CatalogueEntry, type Plan, type TransducerEntry } from '@grey-keel/model';
import fc from 'fast-check';
import { aDisplayEntry, aTransducerEntry } from '../testing/sample-entries.ts';
import { aBeam, aPlan, aTransducer, aWater } from '../testing/sample-plan.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { measureWorking } from './measure-working.ts';
import type { Question, Ranking } from './rank.ts';
import { questions, rankTransducers } from './rank.ts';
import { shoppingOf } from './shopping.ts';

interface Kind {
  readonly kHz: number;
  readonly deg: number;
  readonly mountings?: TransducerEntry['mountings'];
  readonly powerW?: number;
  readonly bandKHz?: number;
  readonly socket?: string;
}

const entry = ({ kHz, deg, mountings = ['transom'], powerW = 600, bandKHz, socket = '' }: Kind): CatalogueEntry => {
  const name = `${mountings.join(' ')} ${kHz} ${deg}${bandKHz === undefined ? '' : ' chirp'}`;
  const bandwidthHz = bandKHz === undefined ? null : bandKHz * 1000;
  const beams = [aBeam({ frequencyHz: kHz * 1000, beamwidthDeg: deg, bandwidthHz })];
  return aTransducerEntry(
    name.replace(/[^a-z0-9]+/g, '-'),
    { name, beams, electricalPowerW: powerW },
    { mountings, socket },
  );
};

const low = entry({ kHz: 45, deg: 14 });
const high = entry({ kHz: 190, deg: 14 });
const wide = entry({ kHz: 150, deg: 32 });
const narrow = entry({ kHz: 150, deg: 7 });
const through = entry({ kHz: 150, deg: 16, mountings: ['through-hull'] });
const transom = entry({ kHz: 150, deg: 16.1 });
const inside = entry({ kHz: 150, deg: 16.2, mountings: ['shoot-through-hull'] });

const hull = (changes: Partial<Plan['boat']>): Plan => ({
  ...aPlan(),
  displays: {},
  boat: { ...aPlan().boat, ...changes },
});
const base = hull({ hullMaterial: 'solid laminate' });

const ranked = (plan: Plan, list: readonly CatalogueEntry[], question: Question = 'only one'): Ranking => {
  const ranking = rankTransducers(plan, list, question);
  if (!ranking) throw new Error('There is no ranking.');
  return ranking;
};

/** By how many points of a hundred the first stands over the second. */
const lead = (plan: Plan, first: CatalogueEntry, second: CatalogueEntry): number => {
  const { places } = ranked(plan, [first, second]);
  const score = ({ id }: CatalogueEntry): number => places.find(({ ids }) => ids[0] === id)?.score ?? 0;
  return score(first) - score(second);
};

const deeper = (plan: Plan, depthM: number): Plan => ({
  ...plan,
  working: { ...plan.working, depthM },
  sought: { char: { name: 'char', lengthCm: 45, shallowestM: depthM / 2, deepestM: depthM, over: ['ledges'] } },
});
const inWater = (plan: Plan, changes: Parameters<typeof aWater>[0]): Plan => ({
  ...plan,
  waters: { pool: aWater(changes) },
});
const salt = { kind: 'salt', salinityPpt: 35 } as const;

describe('the ranking changes with the brief as a practitioner would expect:', () => {
  const pairs: readonly [string, Plan, Plan, CatalogueEntry, CatalogueEntry][] = [
    ['deeper, towards the lower frequency', base, deeper(base, 400), low, high],
    ['saltier, towards the lower frequency', deeper(base, 120), inWater(deeper(base, 120), salt), low, high],
    [
      'colder fresh water, towards the lower frequency',
      inWater(deeper(base, 150), { temperatureC: 22 }),
      inWater(deeper(base, 150), { temperatureC: 2 }),
      low,
      high,
    ],
    [
      'smaller fish in deep salt water, towards the lower frequency',
      deeper(inWater(base, salt), 60),
      {
        ...deeper(inWater(base, salt), 60),
        sought: { s: { name: 's', lengthCm: 12, shallowestM: 30, deepestM: 60, over: ['sand'] } },
      },
      low,
      high,
    ],
    [
      'jigging for searching, towards the narrow',
      { ...base, ways: { searching: true } },
      { ...base, ways: { 'on the spot': true } },
      narrow,
      wide,
    ],
    [
      'anchored beside trolling, towards the narrow',
      base,
      { ...base, ways: { ...base.ways, anchored: true } },
      narrow,
      wide,
    ],
    [
      'the school of the wide, towards the wide',
      { ...base, ways: { drifting: true } },
      { ...base, ways: { drifting: true }, advice: { school: 'wide first', weights: {} } },
      wide,
      narrow,
    ],
    [
      'the school of the narrow, towards the narrow',
      base,
      { ...base, advice: { school: 'narrow first', weights: {} } },
      narrow,
      wide,
    ],
    [
      'faster on plane, towards through the hull',
      { ...base, ways: { running: true, trolling: true }, boat: { ...base.boat, topSpeedMps: 9 } },
      { ...base, ways: { running: true, trolling: true }, boat: { ...base.boat, topSpeedMps: 20 } },
      through,
      transom,
    ],
    ['a cored hull, away from a hole through it', base, hull({ hullMaterial: 'cored composite' }), transom, through],
    ['a steeper bottom, towards the narrow', base, { ...base, scene: { ...base.scene, slopeDeg: 25 } }, narrow, wide],
    [
      'a weight moved to the footprint, towards the wide',
      base,
      { ...base, advice: { school: 'by the brief', weights: { footprint: 10, 'bottom detail': 0 } } },
      wide,
      narrow,
    ],
  ];
  for (const [what, before, after, favoured, other] of pairs)
    it(what, () => {
      expect(lead(after, favoured, other)).toBeGreaterThan(lead(before, favoured, other) + 0.05);
    });
});

describe('the ranking', () => {
  const kinds = fc.record({
    kHz: fc.constantFrom(45, 60, 95, 130, 190, 210),
    deg: fc.integer({ min: 5, max: 40 }),
    powerW: fc.integer({ min: 200, max: 2000 }),
    mountings: fc.constantFrom<TransducerEntry['mountings']>(['transom'], ['through-hull'], ['shoot-through-hull']),
  });
  const catalogues = fc.uniqueArray(kinds.map(entry), { selector: ({ id }) => id, minLength: 6, maxLength: 20 });
  const materials = fc.constantFrom<Plan['boat']['hullMaterial']>(
    'aluminium',
    'solid laminate',
    'cored composite',
    'wood',
  );

  it('is the same for the same input in whatever order the catalogue lies, and explains each score', () => {
    fc.assert(
      fc.property(catalogues, materials, fc.constantFrom(...questions), (list, hullMaterial, question) => {
        const plan = hull({ hullMaterial });
        const ranking = ranked(plan, list, question);
        expect(ranked(plan, [...list].reverse(), question)).toEqual(ranking);
        for (const { score, parts } of ranking.places) {
          expect(parts.map(({ criterion }) => criterion)).toEqual([...criteria]);
          expect(parts.reduce((sum, { adds }) => sum + adds, 0)).toBeCloseTo(score, 9);
          expect(score).toBeLessThanOrEqual(100);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('never recommends what a rule forbids, and names the rule', () => {
    fc.assert(
      fc.property(catalogues, materials, (list, hullMaterial) => {
        const { places, ruledOut } = ranked(hull({ hullMaterial }), list);
        for (const { candidates } of places)
          for (const { mounting } of candidates)
            expect(mounting === 'shoot-through-hull' && hullMaterial !== 'solid laminate').toBeFalse();
        expect(places.length + ruledOut.length).toBeGreaterThanOrEqual(Math.min(list.length, 12));
        for (const { by } of ruledOut) expect(by.length).toBeGreaterThan(10);
      }),
      { numRuns: 40 },
    );
  });

  it('offers at least three where three are feasible', () => {
    fc.assert(
      fc.property(catalogues, (list) => {
        for (const question of ['only one', 'add to what is there'] as const) {
          const plan = { ...hull({ hullMaterial: 'solid laminate' }), transducers: {} };
          expect(ranked(plan, list, question).places.length).toBeGreaterThanOrEqual(3);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('marks as on the front just those that none beats in both signal to spare and footprint', () => {
    fc.assert(
      fc.property(catalogues, (list) => {
        const { places } = ranked(base, list.slice(0, 10));
        for (const place of places) {
          const beaten = places.some(
            ({ measures: m }) =>
              m.spareDb >= place.measures.spareDb &&
              m.footprintM >= place.measures.footprintM &&
              (m.spareDb > place.measures.spareDb || m.footprintM > place.measures.footprintM),
          );
          expect(place.onFront).toBe(!beaten);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('never puts two of one band together, nor beside one that is aboard', () => {
    const { places } = ranked(base, [low, high, wide, narrow, inside], 'two together');
    expect(places.map(({ ids }) => [...ids].sort().join(' '))).not.toContain([narrow.id, wide.id].sort().join(' '));
    expect(places.length).toBeGreaterThan(2);
    const added = ranked(base, [low, high, entry({ kHz: 192, deg: 20 })], 'add to what is there');
    // Aboard are 190 and 95 kHz.
    expect(added.places.map(({ ids }) => ids[0])).toEqual([low.id]);
  });

  it('rules out what cannot see the fish where it stands, and a plug that nothing aboard takes', () => {
    const tiny = entry({ kHz: 1150, deg: 20, powerW: 1 });
    const { places, ruledOut } = ranked(inWater(deeper(base, 200), salt), [tiny, low]);
    expect(places.map(({ ids }) => ids[0])).toEqual([low.id]);
    expect(ruledOut[0]?.by).toContain('m only');
    const plug = entry({ kHz: 95, deg: 20, socket: 'round T' });
    const display = aDisplayEntry('screen');
    const plan: Plan = {
      ...base,
      displays: { helm: { ...aPlan().displays['helm']!, catalogue: { entryId: 'screen', version: 1 } } },
    };
    expect(ranked(plan, [plug, low, display]).ruledOut.map(({ by }) => by)).toEqual([
      'no display aboard drives it by its socket (round T)',
    ]);
    if (display.item.type === 'display') display.item.sockets.push('network');
    expect(ranked(plan, [plug, low, display]).ruledOut).toEqual([]);
  });

  it('gives every figure a working that ends in it', () => {
    fc.assert(
      fc.property(catalogues, fc.constantFrom(...questions), (list, question) => {
        const { places, requirements } = ranked(base, list, question);
        for (const { parts, measures } of places.slice(0, 3))
          for (const { criterion, figure } of parts) {
            const steps = measureWorking(criterion, measures, requirements);
            const last = steps[steps.length - 1];
            expect(last === undefined).toBe(['fitting', 'power'].includes(criterion));
            if (!last) continue;
            expectWorkingHolds(steps, criterion);
            expect(last.value / figure.value)
              .withContext(criterion)
              .toBeCloseTo(1, 4);
          }
      }),
      { numRuns: 20 },
    );
  });

  it('judges what is aboard by the same weights, and puts it on a shopping sheet beside what it was compared with', () => {
    const mine = aTransducer({ catalogue: { entryId: wide.id, version: 1 } });
    const { lines, chosen, compared } = shoppingOf({ ...base, transducers: { mine } }, [wide, narrow, low]);
    const { places } = ranked(base, [wide, narrow, low]);
    expect(lines.map(({ name, place }) => [name, place])).toEqual([
      [mine.name, 1 + places.findIndex(({ ids }) => ids[0] === wide.id)],
    ]);
    expect(compared).toEqual(places);
    expect(chosen?.parts.reduce((sum, { adds }) => sum + adds, 0)).toBeCloseTo(chosen?.score ?? 0, 9);
    // One transducer judged as fitted scores as it would as the only one of a catalogue.
    const { name, kind, beams, apertureM, constantBeamwidth, electricalPowerW, mounting } = mine;
    const alone = aTransducerEntry(
      'alone',
      { name, kind, beams, apertureM, constantBeamwidth, electricalPowerW },
      { mountings: [mounting] },
    );
    expect(ranked(base, [alone]).places[0]?.score).toBeCloseTo(chosen?.score ?? 0, 9);
    expect(shoppingOf({ ...base, transducers: {} }, [wide]).chosen).toBeNull();
  });

  it('waits for the water', () => {
    expect(rankTransducers({ ...base, working: { waterId: null, depthM: 30 } }, [low], 'only one')).toBeNull();
  });
});
