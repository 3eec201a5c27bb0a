import type { CatalogueEntry, Plan } from '@grey-keel/model';
import { rankTransducers, type Question } from '../advice/rank.ts';
import { whyIt } from '../advice/why-it.ts';
import { placeEdits } from '../fit/place-edits.ts';
import { aTransducerEntry } from '../testing/sample-entries.ts';
import { aBeam, aPlan, edited } from '../testing/sample-plan.ts';
import { entriesOf, warnedOf } from './warned-of.ts';

const entry = (name: string, kHz: number, beamwidthDeg: number, mountings = ['transom'] as const): CatalogueEntry =>
  aTransducerEntry(
    name,
    { name, beams: [aBeam({ frequencyHz: kHz * 1000, beamwidthDeg })], electricalPowerW: 600 },
    { mountings: [...mountings], socket: '' },
  );
const catalogue = [
  entry('wide', 150, 30),
  entry('narrow', 95, 9),
  aTransducerEntry(
    'inside',
    { name: 'inside', beams: [aBeam({ frequencyHz: 60_000, beamwidthDeg: 18 })], electricalPowerW: 600 },
    { mountings: ['shoot-through-hull', 'transom'], socket: '' },
  ),
];
const bare: Plan = { ...aPlan(), displays: {}, transducers: {}, depthOffsets: {} };
/** A hull nothing looks through: what could sit inside goes on the transom. */
const plan: Plan = { ...bare, boat: { ...bare.boat, hullMaterial: 'aluminium', hullForm: 'planing monohull' } };
const places = (question: Question, of: Plan = plan) => {
  const ranking = rankTransducers(of, catalogue, question);
  if (!ranking) throw new Error('There is no ranking.');
  return ranking;
};

describe('choosing what is advised', () => {
  it('takes the mounting the hull allows, and puts two of a mounting beside each other', () => {
    const pair = places('two together').places.find(({ ids }) => ids.includes('inside'));
    if (!pair) throw new Error('There is no such pair.');
    const edits = placeEdits(
      plan,
      entriesOf(pair.candidates, catalogue, (at) => `new-${at}`),
    );
    const placed = Object.values(edited(plan, ...edits).transducers);
    expect(placed.map(({ mounting }) => mounting)).toEqual(['transom', 'transom']);
    expect(placed[0]?.starboardM).not.toBe(placed[1]?.starboardM);
  });

  it('warns of what is not said yet alone', () => {
    const first = places('only one').places[0];
    if (!first) throw new Error('Nothing fits.');
    const aboard = edited(
      plan,
      ...placeEdits(
        plan,
        entriesOf(first.candidates, catalogue, () => 'first'),
      ),
    );
    const again = warnedOf(
      aboard,
      entriesOf(first.candidates, catalogue, () => 'second'),
    );
    // Two of a kind share their band and their name, whatever was said of the first alone.
    expect(again.map(({ title }) => title).join()).toContain('Same band');
    const twice = edited(
      aboard,
      ...placeEdits(
        aboard,
        entriesOf(first.candidates, catalogue, () => 'second'),
      ),
    );
    const third = warnedOf(
      twice,
      entriesOf(first.candidates, catalogue, () => 'third'),
    );
    const between = ['first', 'second'];
    expect(third.filter(({ of }) => of.length > 0 && of.every((id) => between.includes(id)))).toEqual([]);
  });

  it('says of who is ahead what it leads by most, of who is behind what it lags by most', () => {
    const { places: ranked, requirements } = places('only one');
    const [first, second] = ranked;
    if (!first || !second) throw new Error('There are no two.');
    const adds = (i: number, criterion: string): number =>
      ranked[i]?.parts.find((part) => part.criterion === criterion)?.adds ?? 0;
    const gap = [...first.parts].sort(
      (a, b) => adds(0, b.criterion) - adds(1, b.criterion) - (adds(0, a.criterion) - adds(1, a.criterion)),
    )[0];
    const named = (sentence: ReturnType<typeof whyIt>) => sentence.find((part) => typeof part !== 'string');
    expect(named(whyIt(first, second, requirements))?.value).toBe(gap?.figure.value);
    const against = second.parts.find(({ criterion }) => criterion === gap?.criterion);
    expect(named(whyIt(second, first, requirements))?.value).toBe(against?.figure.value);
    // What puts one ahead is what puts the other behind, whichever of the two is asked about.
    expect(whyIt(second, first, requirements)[1]).toBe(whyIt(first, second, requirements)[1]);
    expect(whyIt(second, first, requirements)[0]).toContain(`Behind ${first.name}`);
  });
});
