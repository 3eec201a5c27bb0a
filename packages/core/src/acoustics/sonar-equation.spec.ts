import fc from 'fast-check';
import { answerOf, calculate } from '../calculation/calculation.ts';
import { bottomArea } from './bottom-area.ts';
import { detectionRange } from './detection-range.ts';
import { sonarBudget } from './sonar-budget.ts';
import { sourceLevel } from './source-level.ts';
import { targetStrength } from './target-strength.ts';

const rad = Math.PI / 180;

describe('source-level', () => {
  it('is 170.8 dB for one acoustic watt, and rises by directivity and by ten logarithms of power', () => {
    const one = { electricalPowerW: 1, efficiency: 1, directivityIndexDb: 0 };
    expect(answerOf(sourceLevel, one).sourceLevelDb).toBe(170.8);
    expect(
      answerOf(sourceLevel, { electricalPowerW: 1000, efficiency: 0.5, directivityIndexDb: 20 }).sourceLevelDb,
    ).toBeCloseTo(170.8 + 26.9897 + 20, 4);
    expect(calculate(sourceLevel, { ...one, efficiency: 1.2 }).ok).toBeFalse();
  });
});

describe('target-strength', () => {
  it('agrees with the published fits for a fish of 30 cm', () => {
    const of = (model: 'foote-physoclist' | 'foote-clupeid' | 'love-dorsal', frequencyHz: number) =>
      answerOf(targetStrength, { lengthCm: 30, frequencyHz, model });
    // Foote 1987: 20 log L - 67.5 and - 71.9; Love 1971: 19.1 log L - 0.9 log f - 62.0 (cm, kHz).
    expect(of('foote-physoclist', 38_000).targetStrengthDb).toBeCloseTo(-37.9576, 4);
    expect(of('foote-clupeid', 38_000).targetStrengthDb).toBeCloseTo(-42.3576, 4);
    expect(of('love-dorsal', 190_000).targetStrengthDb).toBeCloseTo(28.2132 - 2.0509 - 62, 3);
  });

  it('says by how much it may be wrong, and more where the fit is carried over', () => {
    const near = answerOf(targetStrength, { lengthCm: 30, frequencyHz: 38_000 });
    const far = answerOf(targetStrength, { lengthCm: 30, frequencyHz: 880_000 });
    expect([near.flags.length, far.flags.length]).toEqual([0, 1]);
    expect(far.uncertaintyDb).toBeGreaterThan(near.uncertaintyDb);
    // 0.7 to 90 wavelengths: at 38 kHz a fish of 2 cm is half a wavelength, at 880 kHz one of 30 cm is 177.
    expect(answerOf(targetStrength, { lengthCm: 2, frequencyHz: 38_000, model: 'love-dorsal' }).flags.length).toBe(1);
    expect(answerOf(targetStrength, { lengthCm: 30, frequencyHz: 880_000, model: 'love-dorsal' }).flags.length).toBe(1);
    expect(answerOf(targetStrength, { lengthCm: 30, frequencyHz: 190_000, model: 'love-dorsal' }).flags.length).toBe(0);
  });
});

describe('bottom-area', () => {
  it('is what counting the bottom in small squares finds', () => {
    const cases = [
      { rangeM: 60, beamwidthDeg: 24, rangeResolutionM: 0.15 },
      { rangeM: 4, beamwidthDeg: 9, rangeResolutionM: 0.5 },
    ];
    for (const { rangeM, beamwidthDeg, rangeResolutionM } of cases) {
      const widest = rangeM * Math.tan((beamwidthDeg / 2) * rad) * 1.01;
      const step = widest / 400;
      let counted = 0;
      for (let x = -widest; x < widest; x += step)
        for (let y = -widest; y < widest; y += step) {
          const slant = Math.hypot(x, y, rangeM);
          const angle = Math.acos(rangeM / slant);
          if (angle <= (beamwidthDeg / 2) * rad && slant <= rangeM + rangeResolutionM) counted += step * step;
        }
      const { areaM2 } = answerOf(bottomArea, { rangeM, beamwidthDeg, rangeResolutionM });
      expect(areaM2 / counted).toBeCloseTo(1, 2);
    }
  });

  it('changes from beam to pulse where both give the same area', () => {
    const { pulseLimitsFromM } = answerOf(bottomArea, { rangeM: 10, beamwidthDeg: 12, rangeResolutionM: 0.2 });
    expect(pulseLimitsFromM).toBeCloseTo(0.2 / (1 / Math.cos(6 * rad) - 1), 9);
    const at = (rangeM: number) => answerOf(bottomArea, { rangeM, beamwidthDeg: 12, rangeResolutionM: 0.2 });
    const [before, after] = [at(pulseLimitsFromM * 0.9999), at(pulseLimitsFromM * 1.0001)];
    expect([before.limitedBy, after.limitedBy]).toEqual(['beam', 'pulse']);
    expect(after.areaM2 / before.areaM2).toBeCloseTo(1, 3);
  });

  it('assumed to be the beam at 60 m, overstates the echo by more than ten dB', () => {
    const { areaM2 } = answerOf(bottomArea, { rangeM: 60, beamwidthDeg: 24, rangeResolutionM: 0.08 });
    const beam = Math.PI * (60 * Math.tan(12 * rad)) ** 2;
    expect(10 * Math.log10(beam / areaM2)).toBeGreaterThan(10);
  });
});

const terms = {
  frequencyHz: 200_000,
  sourceLevelDb: 214,
  directivityIndexDb: 20,
  bandwidthHz: 5000,
  noiseSpectrumDb: 40,
  temperatureC: 10,
  salinityPpt: 0,
  targetStrengthDb: -36,
};

describe('sonar-budget', () => {
  it('adds up, with the published absorption of fresh water at 200 kHz', () => {
    const answer = answerOf(sonarBudget, { ...terms, rangeM: 100 });
    // Francois and Garrison 1982: 12.4 dB/km. 40 log 100 = 80.
    expect(answer.transmissionLossTwoWayDb).toBeCloseTo(80 + 2 * 12.4 * 0.1, 2);
    expect(answer.echoLevelDb).toBeCloseTo(214 - 82.48 - 36, 2);
    expect(answer.noiseLevelDb).toBeCloseTo(40 + 36.9897 - 20, 4);
    expect(answer.snrDb).toBeCloseTo(answer.echoLevelDb - answer.noiseLevelDb, 9);
    expect(answerOf(sonarBudget, { ...terms, rangeM: 100, processingGainDb: 7 }).snrDb).toBeCloseTo(
      answer.snrDb + 7,
      9,
    );
  });
});

describe('detection-range', () => {
  const budgets = fc.record({
    frequencyHz: fc.integer({ min: 30_000, max: 1_000_000 }),
    sourceLevelDb: fc.double({ min: 170, max: 235, noNaN: true }),
    directivityIndexDb: fc.double({ min: 5, max: 35, noNaN: true }),
    bandwidthHz: fc.integer({ min: 500, max: 50_000 }),
    noiseSpectrumDb: fc.double({ min: 20, max: 80, noNaN: true }),
    temperatureC: fc.double({ min: 0, max: 30, noNaN: true }),
    salinityPpt: fc.constantFrom(0, 35),
    targetStrengthDb: fc.double({ min: -60, max: -20, noNaN: true }),
  });

  it('satisfies its own equation to a centimetre', () => {
    fc.assert(
      fc.property(budgets, (budget) => {
        const { rangeM } = answerOf(detectionRange, { ...budget, requiredSnrDb: 10 });
        if (rangeM === null) return;
        const at = (r: number): number => answerOf(sonarBudget, { ...budget, rangeM: r }).snrDb;
        expect(at(rangeM - 0.01)).toBeGreaterThan(10);
        expect(at(rangeM + 0.01)).toBeLessThan(10);
      }),
    );
  });

  it('is never shortened by more power, nor lengthened by saltier water or a weaker target', () => {
    fc.assert(
      fc.property(budgets, fc.double({ min: 0, max: 20, noNaN: true }), (budget, more) => {
        const reach = (changes: object): number =>
          answerOf(detectionRange, { ...budget, ...changes, requiredSnrDb: 10 }).rangeM ?? 0;
        const before = reach({});
        expect(reach({ sourceLevelDb: budget.sourceLevelDb + more })).toBeGreaterThanOrEqual(before);
        expect(reach({ targetStrengthDb: budget.targetStrengthDb - more })).toBeLessThanOrEqual(before);
        expect(reach({ salinityPpt: 35 })).toBeLessThanOrEqual(reach({ salinityPpt: 0 }));
      }),
    );
  });

  it('says which loss is the larger, and that there is no answer where there is none', () => {
    expect(answerOf(detectionRange, { ...terms, requiredSnrDb: 10 }).limitedBy).toBe('spreading');
    const high = { ...terms, frequencyHz: 1_150_000, salinityPpt: 35, targetStrengthDb: 20, sourceLevelDb: 240 };
    expect(answerOf(detectionRange, { ...high, requiredSnrDb: 10 }).limitedBy).toBe('absorption');
    const none = answerOf(detectionRange, { ...terms, sourceLevelDb: 100, requiredSnrDb: 60 });
    expect([none.rangeM, none.limitedBy]).toEqual([null, null]);
    expect(none.flags.join(' ')).toContain('Not even at 1 m');
  });
});
