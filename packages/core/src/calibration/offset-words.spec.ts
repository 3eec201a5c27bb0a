import { formatSentence } from '../units/format-sentence.ts';
import { unitSets } from '../units/display-units.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { aPlan, edited } from '../testing/sample-plan.ts';
import { agroundBy } from './aground.ts';
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
    const plan = edited(aPlan(), { type: 'describeBoat', changes: { draughtM: 0.62 } });
    expect(said(agroundInWords(agroundBy(plan, 'waterline')))).toBe(
      'The keel is 0.62 m down, so 0.62 m on the display is aground.',
    );
    expect(said(agroundInWords(agroundBy(plan, 'keel')))).toBe('0.00 m on the display is aground.');
    const unknown = edited(plan, { type: 'describeBoat', changes: { draughtM: null } });
    expect(said(agroundInWords(agroundBy(unknown, 'waterline')))).toContain('draught is missing');
  });

  it('says which part strikes, what is shown then, and in how much water when loaded', () => {
    const plan = edited(
      aPlan(),
      { type: 'describeBoat', changes: { draughtM: 0.5 } },
      {
        type: 'placeEquipment',
        id: 'blades',
        equipment: {
          name: 'Propeller',
          kind: 'propeller',
          forwardM: -0.5,
          starboardM: 0,
          aboveKeelM: -0.25,
          propellerDiameterM: 0.36,
          skegBelowBladesM: 0,
        },
      },
    );
    expect(said(agroundInWords(agroundBy(plan, 'waterline')))).toBe(
      'Propeller reaches 0.43 m below the keel and strikes when the display shows 0.93 m.',
    );
    expect(said(agroundInWords(agroundBy(plan, 'keel')))).toContain('when the display shows 0.43 m.');
    const full = edited(plan, { type: 'putLoading', id: 'full', loading: { name: 'four aboard', draughtM: 0.6 } });
    expect(said(agroundInWords(agroundBy(full, 'waterline')))).toContain(
      'shows 0.93 m. Loaded "four aboard" that is in 1.03 m of water.',
    );
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
