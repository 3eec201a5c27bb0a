import fc from 'fast-check';
import { answerOf } from '../calculation/calculation.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { sightLine } from './sight-line.ts';

const boat = { eyeM: 2, screenTopM: 1.5, screenAheadM: 0.9, bowM: 0.8, bowAheadM: 4, trimDeg: 0, lengthM: 7.4 };

describe('sight-line', () => {
  it('is a similar triangle over what stands highest in the way: the bow here, then a screen that is raised', () => {
    // 1.2 m down over 4 m: 2 m down over 6.67 m.
    const low = answerOf(sightLine, boat);
    expect(low.hiddenBy).toBe('bow');
    expect(low.seenFromM).toBeCloseTo((2 * 4) / 1.2, 9);
    const raised = answerOf(sightLine, { ...boat, screenTopM: 1.9 });
    expect(raised.hiddenBy).toBe('screen');
    expect(raised.seenFromM).toBeCloseTo((2 * 0.9) / 0.1, 9);
  });

  it('limits it to four lengths, and to 50 m for a long boat; nothing is seen over a bow that is up too far', () => {
    expect(answerOf(sightLine, boat).limitM).toBeCloseTo(29.6, 9);
    expect(answerOf(sightLine, { ...boat, lengthM: 20 }).limitM).toBe(50);
    const up = answerOf(sightLine, { ...boat, screenTopM: 1.97, trimDeg: 4 });
    expect(up.seenFromM).toBeNull();
    expect(up.seen).toBeFalse();
    expect(up.flags.length).toBe(1);
  });

  it('never comes nearer when the bow rises or the screen stands higher', () => {
    const seen = (more: Partial<typeof boat>): number =>
      answerOf(sightLine, { ...boat, ...more }).seenFromM ?? Number.POSITIVE_INFINITY;
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.double({ min: 0.5, max: 2.2, noNaN: true }),
        (trimDeg, screenTopM) => {
          expect(seen({ trimDeg: trimDeg + 0.5, screenTopM })).toBeGreaterThanOrEqual(seen({ trimDeg, screenTopM }));
          expect(seen({ trimDeg, screenTopM: screenTopM + 0.05 })).toBeGreaterThanOrEqual(
            seen({ trimDeg, screenTopM }),
          );
          expectWorkingHolds(answerOf(sightLine, { ...boat, trimDeg, screenTopM }).working, 'sight-line');
        },
      ),
    );
  });
});
