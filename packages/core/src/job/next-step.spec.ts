import { emptyPlan } from '@grey-keel/model';
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
    const plan = emptyPlan('New');
    const [found] = findings(plan);
    if (!found) throw new Error('Something is to be said of an empty plan.');
    const stop = { ...found, stage: 'brief' as const, severity: 'stop' as const };
    expect(nextStep(plan, [stop])).toEqual({ stage: stop.fix.stage, what: stop.fix.label });
    // A check does not come before what is waited for.
    expect(nextStep(plan, [{ ...stop, severity: 'check' }])?.what).toBe(builtStages[0]?.waitsFor(plan)[0]?.what ?? '');
  });

  it('is of the first stage that is not done, and says where what it waits for is done', () => {
    const plan = aPlan();
    const first = stageStates(plan, []).find(({ state }) => state !== 'fresh');
    const [wait] = builtStages.find(({ stage }) => stage === first?.stage)?.waitsFor(plan) ?? [];
    expect(wait).toBeDefined();
    const next = nextStep(plan, []);
    expect(next?.stage).toBe(wait?.stage ?? first?.stage ?? 'brief');
    expect(wait?.what.startsWith(next?.what ?? '?')).toBeTrue();
    // Where it is done is said by the stage, not twice.
    expect(next?.what).not.toMatch(/, on [A-Z]/);
  });
});
