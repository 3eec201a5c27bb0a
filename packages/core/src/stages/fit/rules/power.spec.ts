import type { Circuit } from '@grey-keel/model';
import { findingsOf } from '../../../findings/rule.ts';
import { helm } from '../../../testing/fault-edits.ts';
import { edited, seeded } from '../../../testing/sample-plan.ts';
import { soundBoat } from '../../../testing/sound-boat.ts';
import { fuseOverWire } from './power.ts';

describe('a fuse that its wire does not bear with every insulation', () => {
  // ISO 10133: 8.4 mm2 counts as 6 mm2, 60 A with insulation for 105 degrees and 40 A for 60.
  const severity = (insulationC: Circuit['insulationC']): string | undefined => {
    const plan = edited(
      soundBoat(seeded(3)),
      helm({ gauge: 'AWG 8', temperatureC: 20, fuseA: 50, ...(insulationC === undefined ? {} : { insulationC }) }),
    );
    return findingsOf(fuseOverWire, plan)[0]?.severity;
  };

  it('is a question while nobody said which it is, and a stop once it is said to be too weak', () => {
    expect(severity(undefined)).toBe('check');
    expect(severity(60)).toBe('stop');
    expect(severity(105)).toBeUndefined();
  });
});
