import type { Plan } from '@grey-keel/model';
import fc from 'fast-check';
import { answerOf, calculate } from '../calculation/calculation.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { fingerprint } from '../plan/fingerprint.ts';
import { aPlan, edited, normal, seeded, withEntered } from '../testing/sample-plan.ts';
import { measuredOffset } from './depth-offset-subject.ts';
import { depthOffset } from './depth-offset.ts';

type Pair = { leadLineM: number; displayedM: number };
const base = {
  soundSpeedAssumedMps: 1500,
  soundSpeedActualMps: 1500,
  keelBelowWaterlineM: 0.62,
  reference: 'waterline' as const,
};
const five: Pair[] = [
  { leadLineM: 5.2, displayedM: 4.83 },
  { leadLineM: 8.1, displayedM: 7.69 },
  { leadLineM: 13.41, displayedM: 13.02 },
  { leadLineM: 16.2, displayedM: 15.8 },
  { leadLineM: 10.7, displayedM: 9.87 },
];

/** A world with known truth: what a display shows whose face lies `face` below the waterline. */
const shown = (lead: number, face: number, set: number, assumed: number, actual: number): number =>
  ((lead - face) * assumed) / actual + set;

describe('readings of one transducer', () => {
  it('are brought to the draught of the brief, or to the mark its pole is used at; what is not said of it is asked', () => {
    const plan = aPlan();
    const taken = (changes: object, settings: object = {}): Plan => ({
      ...plan,
      depthOffsets: {
        'a-wide': {
          ...plan.depthOffsets['a-wide']!,
          ...settings,
          readings: { r1: { leadLineM: 9, displayedM: 8.6, leftOut: false, ...changes } },
        },
      },
    });
    const offsetOf = (changes: object, settings: object = {}): number | string => {
      const it = measuredOffset.of(taken(changes, settings), 'a-wide');
      return it?.known ? it.answer.offsetM : (it?.wanting ?? '');
    };
    const asCalibrated = offsetOf({}) as number;
    // Two hands deeper in the water with people aboard: so much of the difference is theirs.
    const draughtM = (plan.boat.draughtM ?? 0) + 0.2;
    expect(offsetOf({ draughtM })).toBeCloseTo(asCalibrated - 0.2, 9);
    expect(offsetOf({ immersionM: 0.7 }, { immersionM: 0.5 })).toBeCloseTo(asCalibrated - 0.2, 9);
    expect(offsetOf({ riseM: 0.3 })).toBeCloseTo(asCalibrated + 0.3, 9);
    expect(offsetOf({ immersionM: 0.7 })).toContain('how deep the face hangs');
  });
});

describe('an offset that was entered before readings could carry more', () => {
  it('is fresh still: what is not said of its readings is no part of what it depends on', () => {
    const now = measuredOffset.slice(aPlan(), 'a-wide')!;
    // As it was then: these parts, and of each reading these three.
    const then = {
      reference: now.reference,
      offsetSetM: now.offsetSetM,
      soundSpeedAssumedMps: now.soundSpeedAssumedMps,
      displayResolutionM: now.displayResolutionM,
      draughtM: now.draughtM,
      water: now.water,
      face: now.face,
      readings: now.readings.map(({ id, leadLineM, displayedM }) => ({ id, leadLineM, displayedM })),
    };
    expect(measuredOffset.fingerprint(now)).toBe(fingerprint(then, 3));
    const swell = { ...aPlan() };
    swell.depthOffsets = { ...swell.depthOffsets, 'a-wide': { ...swell.depthOffsets['a-wide']!, swellM: 0.4 } };
    const entered = withEntered(swell, 'a-wide');
    const calm = edited(entered, { type: 'describeDepthOffset', transducerId: 'a-wide', changes: { swellM: null } });
    expect(measuredOffset.standing(calm, 'a-wide')).toEqual({ state: 'stale', changed: ['the swell'] });
  });
});

describe('depth-offset', () => {
  it('by hand: mean, standard error and the slip named', () => {
    const answer = answerOf(depthOffset, { ...base, readings: five });
    expect(answer.offsetM).toBeCloseTo(0.48, 9);
    expect(answer.standardErrorM).toBeCloseTo(
      Math.sqrt((0.11 ** 2 + 0.07 ** 2 + 0.09 ** 2 + 0.08 ** 2 + 0.35 ** 2) / 4 / 5),
      9,
    );
    expect(answer.flagged).toEqual([4]);
    expect(answer.excluded).toEqual([]);
    const without = answerOf(depthOffset, { ...base, readings: five.slice(0, 4) });
    expect(without.offsetM).toBeCloseTo(0.3925, 9);
    expect(without.flagged).toEqual([]);
    // Student's t for three degrees of freedom, 95 %: 3.182.
    expect((without.halfInterval95M ?? 0) / (without.standardErrorM ?? 1)).toBeCloseTo(3.182, 3);
  });

  it('says how far a display is off in depth that works with another speed of sound', () => {
    const { displayDepthError, working } = answerOf(depthOffset, {
      ...base,
      readings: five,
      soundSpeedActualMps: 1440,
    });
    // 20 m of water on a display set to 1500 m/s, in water of 1440 m/s: 20 x 1500 / 1440.
    expect(20 * (1 + displayDepthError)).toBeCloseTo(shown(20, 0, 0, 1500, 1440), 9);
    expect(working.at(-1)?.value).toBe(displayDepthError);
  });

  it('finds the face again whatever was set, whichever speed was assumed, to the waterline and to the keel', () => {
    const metres = fc.double({ min: 2, max: 60, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(metres, { minLength: 2, maxLength: 12 }),
        fc.double({ min: 0.05, max: 1.5, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: 1420, max: 1540, noNaN: true }),
        (depths, face, offsetSetM, soundSpeedActualMps) => {
          const readings = depths.map((leadLineM) => ({
            leadLineM,
            displayedM: shown(leadLineM, face, offsetSetM, 1500, soundSpeedActualMps),
          }));
          fc.pre(readings.every(({ displayedM }) => displayedM > Math.max(0, offsetSetM)));
          const input = { ...base, readings, offsetSetM, soundSpeedActualMps };
          expect(answerOf(depthOffset, input).offsetM).toBeCloseTo(face, 6);
          expect(answerOf(depthOffset, { ...input, reference: 'keel' }).offsetM).toBeCloseTo(face - 0.62, 6);
        },
      ),
    );
  });

  it('takes the speed of sound into account: 1500 assumed in water of 1430 m/s', () => {
    const readings = [20, 30].map((leadLineM) => ({ leadLineM, displayedM: shown(leadLineM, 0.4, 0, 1500, 1430) }));
    const naive = readings.reduce((sum, r) => sum + r.leadLineM - r.displayedM, 0) / 2;
    expect(answerOf(depthOffset, { ...base, readings, soundSpeedActualMps: 1430 }).offsetM).toBeCloseTo(0.4, 9);
    expect(naive).toBeLessThan(-0.5);
  });

  it('goes by the water and the face of each reading: a tide that rose, a boat that lay deeper, a pole let down', () => {
    // The lead line was cast once in 9 m; the water rose under it, and the boat took people aboard.
    const rises = [0, 0.4, 0.9, 1.3];
    const deeper = [0, 0, 0.12, -0.05];
    const readings = rises.map((riseM, i) => ({
      leadLineM: 9,
      riseM,
      deeperM: deeper[i] ?? 0,
      displayedM: shown(9 + riseM, 0.4 + (deeper[i] ?? 0), 0, 1500, 1450),
    }));
    const answer = answerOf(depthOffset, { ...base, readings, soundSpeedActualMps: 1450 });
    expect(answer.offsetM).toBeCloseTo(0.4, 9);
    for (const one of answer.differencesM) expect(one).toBeCloseTo(0.4, 9);
    expectWorkingHolds(answer.working, 'depth-offset');
  });

  it('is no surer than a swell that was not waited out lets it be, s / sqrt(8 n), and says so', () => {
    const readings = [4, 9, 13].map((leadLineM) => ({ leadLineM, displayedM: leadLineM - 0.4 }));
    const flat = answerOf(depthOffset, { ...base, readings });
    const swell = answerOf(depthOffset, { ...base, readings, swellM: 0.8 });
    // A sine of 0.8 m from crest to trough has a standard deviation of 0.4 / sqrt 2.
    expect(swell.standardErrorM).toBeCloseTo(0.4 / Math.sqrt(2) / Math.sqrt(3), 9);
    expect(flat.standardErrorM).toBeLessThan(0.05);
    expect(swell.offsetM).toBeCloseTo(flat.offsetM, 12);
    expect(swell.flags.join(' ')).toContain('Wait the swell out');
    expectWorkingHolds(swell.working, 'depth-offset');
    // Readings that scatter more than the swell explains are judged by their scatter.
    const rough = readings.map((one, i) => ({ ...one, displayedM: one.displayedM + (i - 1) }));
    expect(answerOf(depthOffset, { ...base, readings: rough, swellM: 0.8 }).standardErrorM).toBeCloseTo(
      answerOf(depthOffset, { ...base, readings: rough }).standardErrorM ?? 0,
      12,
    );
  });

  it('is no surer than the lead line itself, which all its readings share, and counts two readings to a wave', () => {
    const many = Array.from({ length: 60 }, (_, i) => ({ leadLineM: 5 + i / 7, displayedM: 4.6 + i / 7 }));
    const half = (more: object): number | null =>
      answerOf(depthOffset, { ...base, readings: many, ...more }).halfInterval95M;
    expect(half({})).toBeLessThan(0.01);
    expect(half({ leadLineByM: 0.05 })).toBeCloseTo(0.05, 2);
    const rough = [0, 0.2, -0.1, 0.15, -0.2].map((m, i) => ({ leadLineM: 5 + 3 * i, displayedM: 4.6 + 3 * i + m }));
    const within = (spanS: number | null) => answerOf(depthOffset, { ...base, readings: rough, spanS });
    // Eight seconds of a wave of 8 s hold two readings: five say as much as two, by the root of 5 / 2.
    expect((within(8).halfInterval95M ?? 0) / (within(null).halfInterval95M ?? 1)).toBeCloseTo(Math.sqrt(2.5), 2);
    expect(within(3).halfInterval95M).toBeNull();
    expect(within(3).flags.join()).toContain('half a wave');
    // The plan counts a marked line in the hand as off by a hand's width, unless it says otherwise.
    const sure = measuredOffset.of(aPlan(), 'a-wide');
    const exact = edited(aPlan(), { type: 'describeDepthOffset', transducerId: 'a-wide', changes: { leadLineByM: 0 } });
    const surer = measuredOffset.of(exact, 'a-wide');
    const [usual, without] = [sure, surer].map((one) => (one?.known ? (one.answer.halfInterval95M ?? 0) : 0));
    expect(Math.sqrt((usual ?? 0) ** 2 - (without ?? 0) ** 2)).toBeCloseTo(0.05, 9);
  });

  it('names a reading that stands apart and never leaves it out, however many there are', () => {
    const clean = [4, 6, 8, 10, 12, 14, 16].map((leadLineM, i) => ({
      leadLineM,
      displayedM: leadLineM - 0.4 + 0.01 * ((i % 3) - 1),
    }));
    const slip = { leadLineM: 11, displayedM: 9.6 };
    const eight = answerOf(depthOffset, { ...base, readings: [...clean, slip] });
    expect(eight.flagged).toEqual([7]);
    expect(eight.excluded).toEqual([]);
    expect(eight.readingsUsed).toBe(8);
    // The mean of all eight differences: seven of 0.4 and -0.01, 0, 0.01 in turn, and one of 1.4.
    expect(eight.offsetM).toBeCloseTo((7 * 0.4 + 0.01 + 1.4) / 8, 9);
  });

  it('does not flag what only the rounding of a coarse display sets apart', () => {
    const readings = [5, 7, 9, 11].map((leadLineM) => ({ leadLineM, displayedM: leadLineM - 0.4 }));
    const rounded = [...readings, { leadLineM: 13, displayedM: 12.5 }];
    expect(answerOf(depthOffset, { ...base, readings: rounded, displayResolutionM: 0.1 }).flagged).toEqual([]);
    expect(answerOf(depthOffset, { ...base, readings: rounded, displayResolutionM: 0.001 }).flagged).toEqual([4]);
    expect(answerOf(depthOffset, { ...base, readings: rounded }).displayResolutionM).toBe(0.1);
    expect(answerOf(depthOffset, { ...base, readings: five }).displayResolutionM).toBe(0.01);
  });

  it('finds a scale of its own only when depths spread far enough and it is significant', () => {
    const uniform = seeded(3);
    const at = (depths: number[], scale: number): Pair[] =>
      depths.map((leadLineM) => ({ leadLineM, displayedM: (leadLineM - 0.4) / scale + 0.02 * (uniform() - 0.5) }));
    const wide = [3, 6, 10, 15, 20, 30];
    const answer = answerOf(depthOffset, { ...base, readings: at(wide, 1.05) });
    expect(answer.scaleJustified).toBeTrue();
    expect(answer.scale).toBeCloseTo(1.05, 2);
    expect(answer.scaledOffsetM).toBeCloseTo(0.4, 1);
    expect(answer.flags.length).toBe(1);
    expect(answerOf(depthOffset, { ...base, readings: at(wide, 1) }).scaleJustified).toBeFalse();
    expect(answerOf(depthOffset, { ...base, readings: at([20, 21, 22, 23, 24, 25], 1.05) }).scaleJustified).toBeFalse();
    expect(answerOf(depthOffset, { ...base, readings: at([3, 10, 20, 30], 1.05) }).scaleJustified).toBeFalse();
  });

  it('covers the truth in 95 of 100 series with its 95 % interval', () => {
    const uniform = seeded(21);
    const series = 2000;
    let covered = 0;
    for (let i = 0; i < series; i++) {
      const readings = [6, 9, 12, 15, 18].map((leadLineM) => ({
        leadLineM,
        displayedM: leadLineM - 0.4 + 0.05 * normal(uniform),
      }));
      const { offsetM, halfInterval95M } = answerOf(depthOffset, { ...base, readings, displayResolutionM: 0.01 });
      if (Math.abs(offsetM - 0.4) <= (halfInterval95M ?? 0)) covered += 1;
    }
    expect(covered / series).toBeGreaterThan(0.935);
    expect(covered / series).toBeLessThan(0.965);
  });

  describe('with a display that rounds', () => {
    const step = 0.1;
    const round = (value: number): number => Math.round(value / step) * step;
    /** Share of series whose interval holds the true 0.4 m, with noise on the lead line and a display of a tenth. */
    const coverage = (depthsOf: (uniform: () => number) => number[], noiseM: number): number => {
      const uniform = seeded(77);
      const series = 1500;
      let covered = 0;
      for (let i = 0; i < series; i++) {
        const readings = depthsOf(uniform).map((trueM) => ({
          leadLineM: trueM + noiseM * normal(uniform),
          displayedM: round(trueM - 0.4),
        }));
        const { offsetM, halfInterval95M } = answerOf(depthOffset, { ...base, readings, displayResolutionM: step });
        if (Math.abs(offsetM - 0.4) <= (halfInterval95M ?? 0)) covered += 1;
      }
      return covered / series;
    };
    const spread =
      (n: number) =>
      (uniform: () => number): number[] =>
        Array.from({ length: n }, () => 3 + 15 * uniform());
    const atOne =
      (n: number) =>
      (uniform: () => number): number[] => {
        const depth = 3 + 15 * uniform();
        return Array.from({ length: n }, () => depth);
      };

    it('covers the truth at different depths and at one', () => {
      for (const n of [3, 5, 7])
        for (const depths of [spread(n), atOne(n)]) {
          for (const noise of [0, 0.02, 0.05, 0.1, 0.2])
            expect(coverage(depths, noise)).withContext(`${n} readings, ${noise} m`).toBeGreaterThanOrEqual(0.93);
          for (const noise of [0.05, 0.1, 0.2])
            expect(coverage(depths, noise)).withContext(`${n} readings, ${noise} m`).toBeLessThanOrEqual(0.975);
        }
    });

    it('never leaves an error of nothing: readings that all agree still hold the rounding', () => {
      const alike = [5.4, 7.4, 9.4, 11.4].map((leadLineM) => ({ leadLineM, displayedM: leadLineM - 0.4 }));
      const different = answerOf(depthOffset, { ...base, readings: alike, displayResolutionM: step });
      // Line and display are both read in tenths: each reading is off by two roundings.
      expect(different.standardErrorM).toBeCloseTo((step * Math.SQRT2) / Math.sqrt(12 * 4), 9);
      const same = [1, 2, 3, 4].map(() => ({ leadLineM: 5.4, displayedM: 5 }));
      const one = answerOf(depthOffset, { ...base, readings: same, displayResolutionM: step });
      expect(one.standardErrorM).toBeCloseTo((step * Math.SQRT2) / Math.sqrt(12), 9);
      for (const { working } of [different, one]) expectWorkingHolds(working, 'rounded');
    });
  });

  it('knows no standard error from one reading, and warns below three', () => {
    const one = answerOf(depthOffset, { ...base, readings: five.slice(0, 1) });
    expect(one.standardErrorM).toBeNull();
    expect(one.halfInterval95M).toBeNull();
    expect(one.flags.length).toBe(1);
    expect(answerOf(depthOffset, { ...base, readings: five.slice(0, 3) }).flags).toEqual([]);
  });

  it('names the reading that leaves no water under the face', () => {
    const result = calculate(depthOffset, {
      ...base,
      readings: [five[0], { leadLineM: 3, displayedM: 0.4 }],
      offsetSetM: 0.5,
    });
    expect(result).toEqual({ ok: false, errors: [jasmine.objectContaining({ field: 'readings[1].displayedM' })] });
    const half = calculate(depthOffset, { ...base, readings: [{ leadLineM: 3 }] });
    expect(half).toEqual({
      ok: false,
      errors: [
        jasmine.objectContaining({
          field: 'readings[0].displayedM',
          message: '"readings[0].displayedM" is missing.',
          range: '0 to 500',
        }),
      ],
    });
  });
});
