import type { Plan } from '@grey-keel/model';
import { samplePlan } from '../testing/edit-samples.ts';
import { edited } from '../testing/sample-plan.ts';
import { nameAll } from './name-all.ts';
import { isFactoryName } from './source-names.ts';

describe('nameAll', () => {
  const bare: Plan = { ...samplePlan(), sources: {} };
  const namesOf = (plan: Plan): string[] => Object.values(plan.sources).map(({ name }) => name.toLowerCase());

  it('gives every source a name of its own in one go, alike units too', () => {
    const [twin] = Object.values(bare.transducers);
    const twins = { ...bare, transducers: { ...bare.transducers, twin: twin! } };
    const named = edited(twins, ...nameAll(twins));
    const names = namesOf(named);
    expect(names.length).toBeGreaterThan(2);
    expect(new Set(names).size).toBe(names.length);
    expect(names).not.toContain('');
    expect(isFactoryName(named.sources['twin']?.name ?? '')).toBeFalse();
    expect(nameAll(named)).toEqual([]);
  });

  it('leaves a name that somebody gave', () => {
    const given = edited(bare, { type: 'describeSource', id: 'a-wide', changes: { name: 'The wide one' } });
    expect(nameAll(given).map((edit) => 'id' in edit && edit.id)).not.toContain('a-wide');
  });
});
