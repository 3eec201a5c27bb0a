import { isTracked } from '../plan/tracked-plan.ts';
import { everyFault } from '../testing/every-fault.ts';
import { findingsForgotten } from '../testing/findings-law.ts';
import { findings } from './findings.ts';
import { runCount } from '../testing/run-count.ts';

const holdsNoPlan = (data: unknown): boolean =>
  typeof data !== 'object' || data === null || (!isTracked(data) && Object.values(data).every(holdsNoPlan));

describe('findings as they are remembered', () => {
  it('equal those of a plan never seen before, over edits at random, forth and back', () => {
    expect(findingsForgotten(runCount(300, 100), 20261127)).toBeNull();
  });

  it('are data, with no plan in them', () => {
    for (const [name, plan] of everyFault())
      expect(holdsNoPlan(findings(plan)))
        .withContext(name)
        .toBeTrue();
  });
});
