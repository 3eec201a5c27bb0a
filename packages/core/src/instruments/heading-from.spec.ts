import { unitSets } from '../units/display-units.ts';
import { formatSentence } from '../units/format-sentence.ts';
import { compassFrom, headingFrom } from './heading-from.ts';

const at = (...values: number[]) => values.map((value, atS) => ({ atS, value }));
const valuesOf = (found: ReturnType<typeof headingFrom>) =>
  'samples' in found ? found.samples.map(({ value }) => value) : formatSentence(found.why, unitSets.metric);

describe('headings from the north they are shown from', () => {
  it('are turned by the variation that comes with them: magnetic and easterly variation make true', () => {
    const both = { trueDeg: [], magneticDeg: at(350, 356), variationDeg: at(3, 7) };
    expect(valuesOf(headingFrom('true', both))).toEqual([357, 3]);
    expect(valuesOf(headingFrom('magnetic', both))).toEqual([350, 356]);
    expect(valuesOf(headingFrom('magnetic', { trueDeg: at(3), magneticDeg: [], variationDeg: at(7) }))).toEqual([356]);
    expect(valuesOf(headingFrom('true', { trueDeg: at(90), magneticDeg: at(80), variationDeg: at(7) }))).toEqual([90]);
  });

  it('are refused without it, since the variation would be taken for an error of the compass', () => {
    const magnetic = { trueDeg: [], magneticDeg: at(80), variationDeg: [] };
    expect(valuesOf(headingFrom('true', magnetic))).toContain('give the variation');
    expect(valuesOf(headingFrom('magnetic', { trueDeg: at(80), magneticDeg: [], variationDeg: [] }))).toContain(
      'true north',
    );
    expect(valuesOf(headingFrom('true', { trueDeg: [], magneticDeg: [], variationDeg: [] }))).toEqual([]);
  });
});

describe('what a swing is recorded from', () => {
  it('is the compass itself, whatever true headings come in beside it', () => {
    expect(valuesOf(compassFrom({ compassDeg: at(355, 1), trueDeg: at(8, 14) }))).toEqual([355, 1]);
    expect(valuesOf(compassFrom({ compassDeg: [], trueDeg: [] }))).toEqual([]);
  });

  it('is never a true heading turned back', () => {
    expect(valuesOf(compassFrom({ compassDeg: [], trueDeg: at(8) }))).toContain('no compass');
  });
});
