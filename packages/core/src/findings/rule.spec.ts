import { emptyPlan, type Plan } from '@grey-keel/model';
import { findingsOf, figure, type Rule } from './rule.ts';

const plan: Plan = emptyPlan('Test Hull');

describe('a rule that fails on a plan', () => {
  const failing: Rule = {
    id: 'some-check',
    stage: 'fit',
    severity: 'stop',
    find: () => {
      throw new RangeError('a bearing of no circle');
    },
  };

  it('is said as not checked, at its own severity and stage, and tells nothing of its insides', () => {
    const [finding, ...more] = findingsOf(failing, plan);
    expect(more).toEqual([]);
    expect([finding?.id, finding?.severity, finding?.stage]).toEqual(['some-check:not-checked', 'stop', 'fit']);
    expect(finding?.title).toBe('Could not be checked: some check');
    expect(JSON.stringify(finding)).not.toContain('bearing');
  });

  it('is no matter of a rule that finds something', () => {
    const found = findingsOf(
      {
        ...failing,
        find: () => [
          { title: 'So', reason: [], figure: figure(2, 'count'), fix: { label: 'Go', target: { path: ['boat'] } } },
        ],
      },
      plan,
    );
    expect(found.map(({ id, title }) => [id, title])).toEqual([['some-check', 'So']]);
  });
});
