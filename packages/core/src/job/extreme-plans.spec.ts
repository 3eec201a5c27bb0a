import type { Plan } from '@grey-keel/model';
import { cardOf } from '../handover/card.ts';
import { stageStates } from './stage-states.ts';
import { extremePlan } from '../testing/extreme-plans.ts';
import { seeded } from '../testing/sample-plan.ts';
import { findings, rules } from './findings.ts';
import { findingsOf } from '../findings/rule.ts';
import { runCount } from '../testing/run-count.ts';

/** Every number and text in what was said of a plan. */
const leaves = (data: unknown): unknown[] =>
  typeof data === 'object' && data !== null ? Object.values(data).flatMap(leaves) : [data];

const believable = (leaf: unknown): boolean =>
  typeof leaf === 'number' ? Number.isFinite(leaf) : typeof leaf !== 'string' || !/Infinity|NaN|undefined/.test(leaf);

describe('plans at the bounds of the schema', () => {
  const random = seeded(13);
  const plans: readonly Plan[] = Array.from({ length: runCount(2000, 300) }, () => extremePlan(random));

  it('are judged by every rule without a throw, and without a number nobody could read', () => {
    for (const [i, plan] of plans.entries())
      for (const rule of rules) {
        const context = `${rule.id}, plan ${i}`;
        try {
          rule.find(plan);
          for (const finding of findingsOf(rule, plan)) {
            const odd = leaves(finding).filter((leaf) => !believable(leaf));
            if (odd.length) fail(`${context}: ${JSON.stringify(finding.reason)} ${String(odd[0])}`);
          }
        } catch (error) {
          fail(`${context}: ${error instanceof Error ? (error.stack ?? '').slice(0, 600) : String(error)}`);
        }
      }
    expect(plans.length).toBeGreaterThanOrEqual(300);
  });

  it('have a standing and a card', () => {
    for (const plan of plans.slice(0, runCount(300, 100))) {
      expect(stageStates(plan, findings(plan)).length).toBeGreaterThan(5);
      expect(leaves(cardOf(plan)).every(believable)).toBeTrue();
    }
  });
});
