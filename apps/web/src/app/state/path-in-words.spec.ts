import { aTransducer } from '@grey-keel/core/testing';
import { aPlan } from '../testing/plans.ts';
import { unitSets, type UnitChoice } from '@grey-keel/core/units';
import { pathInWords, pathsInWords, valueInWords } from './path-in-words.ts';

describe('a part of the plan in words', () => {
  const plan = { ...aPlan(), transducers: { 'a-wide': aTransducer({ name: 'Wide 190' }) } };

  it('names things as they are named aboard, and fields without their unit', () => {
    expect(pathInWords(plan, ['transducers', 'a-wide', 'aboveKeelM'])).toBe('transducers, Wide 190, face above keel');
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

  it('say a value with its unit, in the units chosen, where one has to choose between two', () => {
    const say = (path: string[], value: unknown, units: UnitChoice = unitSets.metric): string =>
      valueInWords(path, value, units).replace(/\u00a0/g, ' ');
    expect(say(['boat', 'lengthM'], 9.11)).toBe('9.11 m');
    expect(say(['boat', 'lengthM'], 3.048, unitSets.feet)).toBe('10.00 ft');
    expect(say(['waters', 'a', 'temperatureC'], 9)).toContain('°C');
    expect(say(['network', 'links', 'a', 'cableM'], 4.25)).toBe('4.3 m');
    expect(say(['power', 'batteries', 'b', 'capacityLeft'], 0.8)).toBe('80 %');
    expect(say(['boat', 'notes'], 'north ramp')).toBe('north ramp');
    expect([say(['boat', 'beamM'], null), say(['waters', 'a'], undefined)]).toEqual(['nothing', 'deleted']);
    expect(say(['transducers', 'a'], { name: 'Wide 190' })).toContain('Wide 190');
  });
});
