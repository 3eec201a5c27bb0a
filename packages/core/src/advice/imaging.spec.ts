import type { CatalogueEntry, Plan, SonarKind } from '@grey-keel/model';
import fc from 'fast-check';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { aTransducerEntry } from '../testing/sample-entries.ts';
import { aBeam, aPlan } from '../testing/sample-plan.ts';
import { imagingKinds, imagingWorking, rankImaging, type ImagingRanking } from './imaging.ts';

const entry = (id: string, kind: SonarKind, widths: readonly [kHz: number, alongDeg: number][], powerW = 500) =>
  aTransducerEntry(id, {
    kind,
    beams: widths.map(([kHz, alongDeg]) => aBeam({ frequencyHz: kHz * 1000, beamwidthDeg: 50, alongDeg })),
    electricalPowerW: powerW,
  });

const boat = (depthM: number, ways: Plan['ways'] = { searching: true }): Plan => ({
  ...aPlan(),
  displays: {},
  ways,
  sought: {},
  working: { ...aPlan().working, depthM },
});
const ranked = (plan: Plan, list: readonly CatalogueEntry[], kind: SonarKind): ImagingRanking => {
  const found = rankImaging(plan, list)?.find((one) => one.kind === kind);
  if (!found) throw new Error(`Nothing is said of ${kind}.`);
  return found;
};

const coarse = entry('coarse', 'side-scan', [[430, 3]]);
const fine = entry('fine', 'side-scan', [[430, 0.9]]);

describe('the advice on imaging', () => {
  it('puts the thinner fan first, all else alike, and says how thin it is at the range of the picture', () => {
    const side = ranked(boat(10), [coarse, fine], 'side-scan');
    expect(side.rangeM).toBe(20);
    expect(side.places.map(({ id }) => id)).toEqual(['fine', 'coarse']);
    expect(side.places[0]?.sliceM).toBeCloseTo(2 * 20 * Math.tan((0.45 * Math.PI) / 180), 9);
  });

  it('rules out by its range what does not show the fish that far off', () => {
    const near = entry('near', 'side-scan', [[1400, 0.4]], 100);
    const shallow = ranked(boat(5), [near], 'side-scan');
    expect(shallow.places.map(({ id }) => id)).toEqual(['near']);
    const deep = ranked(boat(150), [near], 'side-scan');
    expect(deep.places).toEqual([]);
    expect(deep.ruledOut.map(({ id, by }) => [id, by])).toEqual([
      ['near', 'it does not show such a fish 300 m off in this water'],
    ]);
  });

  it('judges a unit of two beams by the finer while it reaches, and by the other beyond', () => {
    const both = entry('both', 'side-scan', [
      [430, 1.5],
      [1200, 0.5],
    ]);
    expect(ranked(boat(5), [both], 'side-scan').places[0]?.frequencyHz).toBe(1_200_000);
    expect(ranked(boat(20), [both], 'side-scan').places[0]?.frequencyHz).toBe(430_000);
  });

  it('names first the kind that the ways of working look at', () => {
    const first = (ways: Plan['ways']) => rankImaging(boat(10, ways), [])?.[0]?.kind;
    expect(first({ searching: true })).toBe('side-scan');
    expect(first({ casting: true })).toBe('forward-facing');
    expect(ranked(boat(10, { casting: true }), [], 'forward-facing').ways).toEqual(['casting']);
  });

  it('adds up to its score, never beyond a hundred, and shows workings that hold', () => {
    const kinds = fc.constantFrom(...imagingKinds);
    fc.assert(
      fc.property(
        kinds,
        fc.integer({ min: 3, max: 40 }),
        fc.array(fc.tuple(fc.integer({ min: 100, max: 1500 }), fc.integer({ min: 1, max: 8 })), {
          minLength: 1,
          maxLength: 3,
        }),
        (kind, depthM, beams) => {
          const ranking = ranked(boat(depthM), [entry('one', kind, beams)], kind);
          expect(ranking.places.length + ranking.ruledOut.length).toBe(1);
          for (const place of ranking.places) {
            expect(place.reachM).toBeGreaterThanOrEqual(ranking.rangeM);
            expect(place.score).toBeLessThanOrEqual(100 + 1e-9);
            expect(place.parts.reduce((sum, { adds }) => sum + adds, 0)).toBeCloseTo(place.score, 9);
            for (const criterion of ['reach', 'bottom detail'] as const)
              expectWorkingHolds(imagingWorking(criterion, place, ranking), `${kind} ${criterion}`);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});
