import { aPlan, aTransducer } from '../testing/plans.ts';
import { pathInWords, pathsInWords } from './path-in-words.ts';

describe('a part of the plan in words', () => {
  const plan = { ...aPlan(), transducers: { 'a-wide': aTransducer({ name: 'Wide 190' }) } };

  it('names things as they are named aboard, and fields without their unit', () => {
    expect(pathInWords(plan, ['transducers', 'a-wide', 'aboveKeelM'])).toBe('transducers, Wide 190, above keel');
    expect(pathInWords(plan, ['boat', 'lengthM'])).toBe(`${plan.boat.name}, length`);
    expect(pathInWords(plan, ['transducers', 'b-gone'])).toBe('transducers');
  });

  it('says each once, and counts what it does not say', () => {
    const fields = ['lengthM', 'draughtM', 'lengthM', 'cruiseKn', 'topKn', 'beamM'];
    const words = pathsInWords(
      plan,
      fields.map((field) => ['boat', field]),
    );
    expect(words.split('; ').length).toBe(3);
    expect(words).toContain('and 2 more');
  });
});
