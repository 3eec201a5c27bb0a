import {
  applyEdits,
  placeEdits,
  entriesOf,
  findings,
  questions,
  rankTransducers,
  warnedOf,
  whyIt,
} from '@grey-keel/core';
import { emptyPlan, type Edit, type Plan } from '@grey-keel/model';
import { shippedCatalogue } from './shipped.ts';

const catalogue = shippedCatalogue.map((entry) => ({ ...entry, version: 1, shipped: true }));
const done = (plan: Plan, edits: readonly Edit[]): Plan => {
  const applied = applyEdits(plan, edits);
  if (!applied.ok) throw new Error(JSON.stringify(applied.errors));
  return applied.plan;
};
const described = (changes: Partial<Plan['boat']>, depthM: number, kind: 'fresh' | 'salt'): Plan => {
  const plan = emptyPlan('Brief');
  return {
    ...plan,
    boat: { ...plan.boat, lengthM: 6.5, beamM: 2.3, draughtM: 0.4, topSpeedMps: 14, cruiseSpeedMps: 9, ...changes },
    waters: {
      one: {
        name: 'Water',
        kind,
        salinityPpt: kind === 'salt' ? 35 : 0,
        temperatureC: 12,
        coldestC: null,
        warmestC: null,
        shallowestM: 1,
        usualDeepestM: depthM,
        greatestM: 1.5 * depthM,
        clarity: 'mixed',
      },
    },
    sought: { one: { name: 'fish', lengthCm: 50, shallowestM: 1, deepestM: depthM, over: ['mud'] } },
    ways: { running: true, searching: true, trolling: true },
    working: { waterId: 'one', depthM },
  };
};
const boats: Readonly<Record<string, Plan>> = {
  'shallow lake, planing': described({}, 8, 'fresh'),
  'deep sea, planing': described({ hullMaterial: 'cored composite', topSpeedMps: 18 }, 180, 'salt'),
  'displacement, shaft': described(
    { hullForm: 'displacement', propulsion: 'inboard shaft', topSpeedMps: 4.5 },
    60,
    'salt',
  ),
  'aluminium, electric bow motor': described({ hullMaterial: 'aluminium', bowMotor: true }, 15, 'fresh'),
};

describe('what the advice says of an entry', () => {
  for (const [name, bare] of Object.entries(boats)) {
    it(`is found once it is chosen, and nothing else of Beams is: ${name}`, () => {
      const first = rankTransducers(bare, catalogue, 'only one')?.places[0];
      // With something aboard there is something to interfere with.
      const equipped = first
        ? done(
            bare,
            placeEdits(
              bare,
              entriesOf(first.candidates, catalogue, () => 'first'),
            ),
          )
        : bare;
      let warned = 0;
      for (const plan of [bare, equipped])
        for (const question of questions)
          for (const place of rankTransducers(plan, catalogue, question)?.places ?? []) {
            const chosen = entriesOf(place.candidates, catalogue, (at) => `new-${at}`);
            expect(chosen.length).toBe(place.ids.length);
            const said = warnedOf(plan, chosen).map(({ id, severity }) => `${severity} ${id}`);
            const ofBeams = (one: Plan): string[] =>
              findings(one)
                .filter(({ stage, severity }) => stage === 'beams' && severity !== 'note')
                .map(({ id, severity }) => `${severity} ${id}`);
            const before = ofBeams(plan);
            const after = ofBeams(done(plan, placeEdits(plan, chosen)));
            expect([...said].sort())
              .withContext(`${question}: ${place.name}`)
              .toEqual(after.filter((one) => !before.includes(one)).sort());
            warned += said.length;
          }
      expect(warned).toBeGreaterThan(0);
    });
  }

  it('is one sentence from the figures it is ranked by: what decides is the greatest lead, and who is behind is told so', () => {
    for (const plan of Object.values(boats)) {
      const ranking = rankTransducers(plan, catalogue, 'only one');
      if (!ranking) throw new Error('There is no ranking.');
      const [first, second] = ranking.places;
      if (!first || !second) throw new Error('There are no two.');
      const figures = ranking.places.flatMap(({ parts }) => parts.map(({ figure }) => figure));
      for (const [i, place] of ranking.places.entries()) {
        const other = i === 0 ? second : first;
        const sentence = whyIt(place, other, ranking.requirements);
        const text = sentence.map((part) => (typeof part === 'string' ? part : '#')).join('');
        const gap = Math.abs(place.score - other.score);
        if (gap < 0.05) {
          expect(text).toContain('As good as');
          continue;
        }
        expect(text).toContain(`${i === 0 ? 'Ahead of' : 'Behind'} ${other.name} by ${gap.toFixed(1)} points`);
        for (const part of sentence)
          if (typeof part !== 'string' && part.value !== ranking.requirements.waterM)
            expect(
              figures.some(({ value, quantity }) => value === part.value && quantity === part.quantity),
            ).toBeTrue();
        // The first figure named is of the criterion whose points differ most the way the scores do.
        const sign = i === 0 ? 1 : -1;
        const lead = (criterion: string): number =>
          sign *
          ((place.parts.find((part) => part.criterion === criterion)?.adds ?? 0) -
            (other.parts.find((part) => part.criterion === criterion)?.adds ?? 0));
        const most = Math.max(...place.parts.map(({ criterion }) => lead(criterion)));
        const [named] = sentence.filter((part) => typeof part !== 'string');
        expect(
          place.parts.some(
            ({ criterion, figure }) =>
              figure.value === named?.value && figure.quantity === named.quantity && lead(criterion) === most,
          ),
        )
          .withContext(text)
          .toBeTrue();
      }
    }
    const [only] =
      rankTransducers(boats['shallow lake, planing'] ?? emptyPlan(''), catalogue, 'only one')?.places ?? [];
    const { requirements } =
      rankTransducers(boats['shallow lake, planing'] ?? emptyPlan(''), catalogue, 'only one') ?? {};
    if (only && requirements) expect(whyIt(only, undefined, requirements)).toEqual(['The only one that fits.']);
  });

  it('places each by the mounting the hull allows, one beside the other', () => {
    const plan = boats['displacement, shaft'] ?? emptyPlan('');
    for (const place of rankTransducers(plan, catalogue, 'two together')?.places ?? []) {
      const edits = placeEdits(
        plan,
        entriesOf(place.candidates, catalogue, (at) => `new-${at}`),
      );
      const placed = Object.values(done(plan, edits).transducers);
      expect(placed.map(({ mounting }) => mounting)).toEqual(place.candidates.map(({ mounting }) => mounting));
      expect(new Set(placed.map(({ forwardM, starboardM }) => `${forwardM} ${starboardM}`)).size).toBe(2);
    }
  });
});
