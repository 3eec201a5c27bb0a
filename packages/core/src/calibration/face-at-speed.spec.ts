import type { Boat } from '@grey-keel/model';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { aPlan, aTransducer, edited } from '../testing/sample-plan.ts';
import { depthAtSpeed, faceSinksM } from './face-at-speed.ts';

const boat = (forwardM: number, changes: Partial<Boat> = {}) =>
  edited(
    aPlan(),
    {
      type: 'describeBoat',
      changes: { lengthM: 10, hullForm: 'displacement', runningTrimDeg: 3, cruiseSpeedMps: 4, ...changes },
    },
    { type: 'placeTransducer', id: 'z-face', transducer: aTransducer({ forwardM }) },
  );
const words = (plan: ReturnType<typeof boat>): string =>
  (depthAtSpeed(plan, 'z-face') ?? [])
    .map((part) => (typeof part === 'string' ? part : part.value.toFixed(2)))
    .join('');

describe('a depth that was calibrated at rest', () => {
  it('is shown too small astern and too large ahead when the bow comes up: by hand 4.5 m at 3°', () => {
    const astern = faceSinksM(boat(0), 'z-face');
    expect(astern?.value).toBeCloseTo(4.5 * 0.052336, 6);
    expectWorkingHolds(astern ? [astern] : [], 'astern');
    expect(words(boat(0))).toContain('0.24 with the bow up: the display shows that much less water');
    expect(words(boat(9))).toContain('more water than there is');
    expect(words(boat(4.5))).toBe('');
  });

  it('has to be measured on plane, and asks for the trim of a hull that stays in the water', () => {
    expect(words(boat(0, { hullForm: 'planing monohull' }))).toContain('On plane the hull lifts');
    expect(words(boat(0, { runningTrimDeg: null }))).toContain('Give how far the bow rises');
    expect(words(boat(0, { cruiseSpeedMps: null }))).toBe('');
  });
});
