import type { Edit, Plan, Sentence } from '@grey-keel/model';
import { aPlan, edited, pair, waterSpeedMps } from '../testing/sample-plan.ts';
import { enters } from '../testing/set-at.ts';
import { type DepthOffsetAnswer, measuredOffset } from './depth-offset-subject.ts';
import { entryDoubts } from './entry-doubts.ts';
import { offsetAtGrounding } from './offset-at-grounding.ts';

const text = (sentence: Sentence): string =>
  sentence.map((part) => (typeof part === 'string' ? part : part.value.toFixed(2))).join('');
const answerFor = (plan: Plan): DepthOffsetAnswer => {
  const result = measuredOffset.of(plan, 'a-wide');
  if (!result?.known) throw new Error('The readings give no answer.');
  return result.answer;
};
const doubts = (plan: Plan, offsetM?: number): string[] =>
  entryDoubts(plan, 'a-wide', answerFor(plan), offsetM).map(text);
/** A face 0.4 m down, on a display whose ranges are `scale` of the true ones. */
const withReadings = (leadsM: readonly number[], scale = 1, slipM = 0): Plan =>
  edited(
    aPlan(),
    ...['r1', 'r2', 'r3', 'r4'].map((readingId): Edit => ({
      type: 'removeReading',
      transducerId: 'a-wide',
      readingId,
    })),
    { type: 'describeDepthOffset', transducerId: 'a-wide', changes: { soundSpeedAssumedMps: waterSpeedMps } },
    ...leadsM.map((leadM, i): Edit => {
      const shownM = (leadM - 0.4) * scale + (i === 0 ? slipM : 0) + 0.005 * (i % 2);
      return {
        type: 'recordReading',
        transducerId: 'a-wide',
        readingId: `z${i}`,
        reading: pair(leadM, Math.round(1000 * shownM) / 1000),
      };
    }),
  );
const eight = [2, 3, 4, 5, 7, 9, 10, 12];

describe('what speaks against entering an offset', () => {
  it('is nothing where the readings agree', () => {
    expect(doubts(withReadings(eight))).toEqual([]);
  });

  it('is a display left at another speed of sound than the water, by more than a hundredth', () => {
    const set = (soundSpeedMps: number): Plan =>
      edited(withReadings(eight), enters('helm', 'sound', { soundSpeedMps }));
    expect(doubts(set(1500)).join(' ')).toContain('Set its water first');
    expect(doubts(set(waterSpeedMps * 1.009))).toEqual([]);
    // Where nobody looked at the unit, what it was set to when it was read counts.
    const read = edited(withReadings(eight), {
      type: 'describeDepthOffset',
      transducerId: 'a-wide',
      changes: { soundSpeedAssumedMps: waterSpeedMps * 0.985 },
    });
    expect(doubts(read).join(' ')).toContain('too shallow');
  });

  it('is an interval over what grounds a boat, however wide the tolerance', () => {
    const wide = edited(withReadings([2, 9], 1, 0.6), {
      type: 'describeDepthOffset',
      transducerId: 'a-wide',
      changes: { toleranceM: 5 },
    });
    expect(doubts(wide).join(' ')).toContain('against the most a boat can bear, 0.30');
  });

  it('is that one reading knows nothing of its own uncertainty', () => {
    expect(doubts(withReadings([5])).some((one) => one.startsWith('One reading'))).toBeTrue();
  });

  it('is a reading that stands apart, until it is left out', () => {
    const slipped = withReadings(eight.slice(0, 5), 1, 0.6);
    expect(doubts(slipped)).toContain('A reading that stands apart is in it.');
    const left = edited(slipped, {
      type: 'correctReading',
      transducerId: 'a-wide',
      readingId: 'z0',
      changes: { leftOut: true },
    });
    expect(doubts(left)).toEqual([]);
  });

  it('is that a scale puts too much water where the boat touches, unless the offset that holds there is entered', () => {
    // Ranges shown too short: the mean of the differences grows with depth, and is too much in shallow water.
    const scaled = withReadings(eight, 0.96);
    expect(doubts(scaled).some((one) => one.includes('too much water'))).toBeTrue();
    const holds = offsetAtGrounding(scaled, 'a-wide', answerFor(scaled))?.value ?? NaN;
    // At 0.5 m of water the range is 0.1 m, of which 4 % is missed: 0.4 + 0.004.
    expect(holds).toBeCloseTo(0.404, 1);
    expect(doubts(scaled, holds).some((one) => one.includes('too much water'))).toBeFalse();
    expect(offsetAtGrounding(withReadings(eight), 'a-wide', answerFor(withReadings(eight)))).toBeNull();
  });

  it('is that a face would stand above the water', () => {
    expect(doubts(withReadings(eight), -0.1)).toContain('Its face would stand 0.10 above the water.');
    const toKeel = edited(withReadings(eight), {
      type: 'describeDepthOffset',
      transducerId: 'a-wide',
      changes: { reference: 'keel' },
    });
    expect(doubts(toKeel, -0.1).some((one) => one.includes('above the water'))).toBeFalse();
  });
});
