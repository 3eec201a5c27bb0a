import { findings, stageStates } from '@grey-keel/core';
import { aPlan, withHelm } from '../testing/plans.ts';
import { selectCard, selectFindings, selectStages } from './plan.selectors.ts';

describe('what is read off the open plan', () => {
  it('is nothing while no boat is open', () => {
    expect(selectFindings.projector(null)).toEqual([]);
    expect(selectStages.projector(null, [])).toEqual([]);
    expect(selectCard.projector(null)).toBeNull();
  });

  it('is what the core says of that plan', () => {
    const plan = aPlan();
    const found = selectFindings.projector(plan);
    expect(found.length).toBeGreaterThan(0);
    expect(found).toEqual(findings(plan));
    const stages = selectStages.projector(plan, found);
    expect(stages).toEqual(stageStates(plan, found));
  });

  it('has a card with the stations of the boat', () => {
    expect(JSON.stringify(selectCard.projector(withHelm()))).toContain('Helm');
  });
});
