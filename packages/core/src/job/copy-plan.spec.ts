import { planSchema } from '@grey-keel/model';
import { findings } from './findings.ts';
import { aPlan, edited, withEntered } from '../testing/sample-plan.ts';
import { copyPlan } from './copy-plan.ts';
import { stageStates } from './stage-states.ts';

describe('copyPlan', () => {
  const first = edited(withEntered(aPlan(), 'a-wide'), {
    type: 'printCard',
    id: 'card',
    card: { at: '2026-05-01T10:00:00Z', fingerprint: 'a'.repeat(64) },
  });
  const copy = copyPlan(first, 'Second Hull');

  it('takes over the boat, its gear, pages and keys under another name', () => {
    expect(copy.boat).toEqual({ ...first.boat, name: 'Second Hull' });
    for (const part of ['stations', 'waters', 'transducers', 'displays', 'pages', 'keys', 'ways'] as const)
      expect(copy[part]).toEqual(first[part]);
    expect(planSchema.safeParse(copy).success).toBeTrue();
  });

  it('takes over nothing that was measured, entered or printed: calibration starts anew', () => {
    expect([copy.depthOffsets, copy.cards]).toEqual([{}, {}]);
    const states = Object.fromEntries(stageStates(copy, findings(copy)).map(({ stage, state }) => [stage, state]));
    expect([states['calibrate'], states['handover']]).toEqual(['missing', 'missing']);
    expect(first.depthOffsets['a-wide']?.entered).not.toBeNull();
  });
});
