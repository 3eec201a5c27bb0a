import { noCalibrations, planSchema } from '@grey-keel/model';
import { newSource } from '../edits/new-parts.ts';
import { findings } from './findings.ts';
import { whoseBoat } from '../handover/whose-boat.ts';
import { aPlan, edited, seeded, withEntered } from '../testing/sample-plan.ts';
import { soundBoat } from '../testing/sound-boat.ts';
import { enteredResult } from '../plan/held-by.ts';
import { enters } from '../testing/set-at.ts';
import { copyPlan } from './copy-plan.ts';
import { stageStates } from './stage-states.ts';

describe('copyPlan', () => {
  const at = '2026-05-01T10:00:00Z';
  const first = edited(
    withEntered(aPlan(), 'a-wide'),
    { type: 'printCard', id: 'card', card: { at, fingerprint: 'a'.repeat(64) } },
    { type: 'describeSource', id: 'a-wide', changes: { name: 'Wide', tag: 'T 1', appearsAfterS: 4 } },
    enters('helm', 'sound', { waterType: 'salt' }),
    { type: 'chooseSetting', kind: 'north', line: null, value: 'true' },
    { type: 'chooseSetting', kind: 'shallow-alarm', line: { deviceId: 'helm', ofId: 'helm' }, value: 2 },
  );
  const copy = copyPlan(first, 'Second Hull');

  it('takes over the boat, its gear, pages and keys under another name', () => {
    expect(copy.boat).toEqual({ ...first.boat, name: 'Second Hull' });
    for (const part of ['stations', 'waters', 'transducers', 'displays', 'pages', 'keys', 'ways'] as const)
      expect(copy[part]).toEqual(first[part]);
    expect(planSchema.safeParse(copy).success).toBeTrue();
  });

  it('takes over nothing that was measured, entered or printed: calibration starts anew', () => {
    expect([copy.depthOffsets, copy.cards, copy.calibrations, copy.held]).toEqual([{}, {}, noCalibrations(), {}]);
    expect(copy.chosen).toEqual({ boat: { north: 'true' }, devices: {} });
    expect(copy.sources['a-wide']).toEqual({ ...newSource(), name: 'Wide', appearsAfterS: 4 });
    const states = Object.fromEntries(stageStates(copy, findings(copy)).map(({ stage, state }) => [stage, state]));
    expect([states['calibrate'], states['handover']]).toEqual(['missing', 'missing']);
    expect(enteredResult(first, 'depth', 'a-wide')).not.toBeNull();
  });

  it('takes over neither what was measured on the first boat nor whose it is, to a practice copy as little', () => {
    const random = seeded(30);
    for (let i = 0; i < 100; i++) {
      // Figures and words that stand nowhere else, so that they are known again wherever they might have gone.
      const [floor, louder, left] = [60 + 40 * random(), 30 * random() - 15, 0.3 + 0.6 * random()];
      const boat = edited(
        soundBoat(random),
        {
          type: 'describeBoat',
          changes: {
            electricalFloorDb: floor,
            ownNoiseByDb: louder,
            owner: 'Somebody Quite Else',
            contact: 'harbour 17',
            hullNumber: 'GK-FIRST-001',
          },
        },
        { type: 'describeBattery', id: 'house', changes: { capacityLeft: left } },
      );
      for (const use of ['boat', 'practice'] as const) {
        const another = copyPlan(boat, 'Second Hull', use);
        expect(planSchema.safeParse(another).success).toBeTrue();
        const text = JSON.stringify(another);
        for (const own of [floor, louder, left, 'Somebody Quite Else', 'harbour 17', 'GK-FIRST-001'])
          expect(text).not.toContain(String(own));
        expect(another.power.batteries['house']?.capacityLeft).toBe(1);
        expect(whoseBoat(another.boat)).not.toContain('GK-FIRST-001');
        // The rest of the battery and of the boat stays.
        expect(another.power.batteries['house']).toEqual({ ...boat.power.batteries['house']!, capacityLeft: 1 });
        expect(another.boat.propulsion).toBe(boat.boat.propulsion);
      }
    }
  });
});
