import { formatSentence } from '../units/format-sentence.ts';
import { unitSets } from '../units/display-units.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { agroundInWords, changeOnEntering, signInWords } from './offset-words.ts';

const said = (sentence: ReturnType<typeof signInWords>): string =>
  formatSentence(sentence, unitSets.metric).replace(/\u00a0/g, ' ');

describe('the offset in words', () => {
  it('says what the display will show more or less than now, by the offset it already has', () => {
    const spoken = (offsetM: number, offsetSetM: number): string =>
      said(signInWords({ offsetM, offsetSetM, reference: 'waterline' }));
    expect(spoken(0.39, 0)).toBe('The display will then show 0.39 m more than now: depth from the surface.');
    expect(spoken(-0.23, 0)).toBe('The display will then show 0.23 m less than now: depth from the surface.');
    expect(spoken(0.39, -0.39)).toContain('0.78 m more');
    expect(spoken(0.39, 0.6)).toContain('0.21 m less');
    expect(spoken(0.391, 0.39)).toContain('what it shows now');
    expect(said(signInWords({ offsetM: 1, offsetSetM: 0, reference: 'keel' }))).toContain('below the keel');
  });

  it('says what is aground: the draught from the surface, nothing under the keel', () => {
    expect(said(agroundInWords({ reference: 'waterline', draughtM: 0.62 }))).toBe(
      'The keel is 0.62 m down, so 0.62 m on the display is aground.',
    );
    expect(said(agroundInWords({ reference: 'keel', draughtM: 0.62 }))).toBe('0.00 m on the display is aground.');
    expect(said(agroundInWords({ reference: 'waterline', draughtM: null }))).toContain('draught is missing');
  });
});

describe('changeOnEntering', () => {
  it('is positive when the display will show more, and can be evaluated again', () => {
    const step = changeOnEntering({ offsetM: 0.48, offsetSetM: -0.39 });
    expect(step.value).toBeCloseTo(0.87, 9);
    expectWorkingHolds([step], 'change');
    expect(changeOnEntering({ offsetM: -0.2, offsetSetM: 0.1 }).value).toBeLessThan(0);
  });
});
