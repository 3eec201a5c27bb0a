import type { RuleCases } from '../../../testing/rule-case.ts';
import { aPlan, edited } from '../../../testing/sample-plan.ts';

const plan = aPlan();

/** A plan for each rule that makes it speak, and one a step away that keeps it silent. */
export const handoverCases: RuleCases = {
  'card-stale': {
    speaks: edited(plan, {
      type: 'printCard',
      id: 'k',
      card: { at: '2026-05-01T10:00:00Z', fingerprint: 'a'.repeat(64) },
    }),
    silent: plan,
    value: 1,
  },
};
