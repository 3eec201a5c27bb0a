import { emptyPlan } from '@grey-keel/model';
import { calibrateCases } from '../stages/calibrate/testing/cases.ts';
import { aPlan } from '../testing/sample-plan.ts';
import { findings } from './findings.ts';
import { nextStep } from './next-step.ts';
import { stageStates } from './stage-states.ts';
import { builtStages } from './stages.ts';

describe('nextStep', () => {
  it('begins with what the brief waits for', () => {
    const plan = emptyPlan('New');
    expect(nextStep(plan, findings(plan))).toEqual({
      stage: 'brief',
      what: builtStages[0]?.waitsFor(plan)[0]?.what ?? '',
    });
  });

  it('names what clears a stop before anything that stage waits for', () => {
    const plan = calibrateCases['offset-wrong-sign']?.speaks ?? aPlan();
    const found = findings(plan).filter(({ stage }) => stage === 'calibrate');
    const first = stageStates(plan, found).find(({ state }) => state !== 'fresh')?.stage;
    const next = nextStep(plan, found);
    expect(next?.stage).toBe(first);
    if (first === 'calibrate') expect(next?.what).toBe('Enter the measured offset');
  });

  it('is nothing where every stage is done', () => {
    const plan = aPlan();
    const done = stageStates(plan, []).every(({ state }) => state === 'fresh');
    expect(nextStep(plan, []) === null).toBe(done);
  });
});
