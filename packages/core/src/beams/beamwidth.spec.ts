import besselj1 from '@stdlib/math-base-special-besselj1';
import fc from 'fast-check';
import { answerOf, calculate } from '../calculation/calculation.ts';
import { beamwidthLevel } from './beamwidth-level.ts';
import { beamwidth } from './beamwidth.ts';
import { argumentAtLevel, halfPowerDb } from './directivity.ts';

const piston = { shape: 'piston', apertureM: 0.05, frequencyHz: 200_000, soundSpeedMps: 1500 } as const;
const kaOf = (apertureM: number, frequencyHz: number): number => (Math.PI * apertureM * frequencyHz) / 1500;

describe('beamwidth', () => {
  it('of a disc follows ka sin(θ/2) = 1.6163 at half power, exactly and not by the small angle', () => {
    expect(argumentAtLevel('piston', halfPowerDb)).toBeCloseTo(1.6163, 4);
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.3, noNaN: true }),
        fc.integer({ min: 80_000, max: 1_000_000 }),
        (apertureM, frequencyHz) => {
          const { beamwidthDeg } = answerOf(beamwidth, { ...piston, apertureM, frequencyHz });
          const sine = Math.sin((beamwidthDeg / 2) * (Math.PI / 180));
          expect(kaOf(apertureM, frequencyHz) * sine).toBeCloseTo(1.6163, 3);
        },
      ),
    );
  });

  it('has the side lobes of the textbook: -17.6 dB for a disc, -13.3 dB for a line', () => {
    expect(answerOf(beamwidth, piston).firstSidelobeDb).toBeCloseTo(-17.57, 2);
    expect(answerOf(beamwidth, { ...piston, shape: 'line' }).firstSidelobeDb).toBeCloseTo(-13.26, 2);
    expect(answerOf(beamwidth, { ...piston, apertureM: 0.005 }).firstSidelobeDb).toBeNull();
  });

  it('has the half-power width of a line, 50.8° wavelengths per length (small angles)', () => {
    const { beamwidthDeg } = answerOf(beamwidth, { ...piston, shape: 'line', apertureM: 1 });
    expect(beamwidthDeg).toBeCloseTo(50.76 * 0.0075, 3);
  });

  it('integrates the directivity of a baffled disc to its closed form (ka)² / (1 - J1(2ka)/ka)', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.004, max: 0.2, noNaN: true }), (apertureM) => {
        const ka = kaOf(apertureM, 200_000);
        fc.pre(ka > 1.62);
        const closed = 10 * Math.log10(ka ** 2 / (1 - besselj1(2 * ka) / ka));
        expect(answerOf(beamwidth, { ...piston, apertureM }).directivityIndexDb).toBeCloseTo(closed, 4);
      }),
    );
  });

  it('tends to 20 log10(ka) for a large disc and to 10 log10(2L/λ) for a long line', () => {
    const apertureM = 0.2;
    expect(answerOf(beamwidth, { ...piston, apertureM }).directivityIndexDb).toBeCloseTo(
      20 * Math.log10(kaOf(apertureM, 200_000)),
      1,
    );
    const line = answerOf(beamwidth, { ...piston, shape: 'line', apertureM: 0.75 });
    expect(line.directivityIndexDb).toBeCloseTo(10 * Math.log10((2 * 0.75) / 0.0075), 1);
  });

  it('puts the near field at aperture squared over wavelength', () => {
    expect(answerOf(beamwidth, piston).nearFieldM).toBeCloseTo(0.05 ** 2 / 0.0075, 9);
  });

  it('refuses an aperture too small to have a beamwidth and says from where on there is one', () => {
    const result = calculate(beamwidth, { ...piston, apertureM: 0.003 });
    expect(result.ok).toBeFalse();
    if (!result.ok) {
      expect(result.errors[0]?.field).toBe('apertureM');
      const least = Number.parseFloat(result.errors[0]?.range ?? '');
      expect(calculate(beamwidth, { ...piston, apertureM: least * 1.01 }).ok).toBeTrue();
    }
  });
});

describe('beamwidth-level', () => {
  it('turns 28° and 50° at -10 dB into 16.4° and 28.9° at -3 dB', () => {
    const at3 = (beamwidthDeg: number): number =>
      answerOf(beamwidthLevel, { beamwidthDeg, fromLevelDb: -10, toLevelDb: -3 }).beamwidthDeg;
    expect(at3(28)).toBeCloseTo(16.4, 1);
    expect(at3(50)).toBeCloseTo(28.9, 1);
  });

  it('comes back where it began, and agrees with the width worked out from the face', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.double({ min: -15, max: -3, noNaN: true }),
        (deg, level) => {
          const there = answerOf(beamwidthLevel, { beamwidthDeg: deg, fromLevelDb: -3, toLevelDb: level }).beamwidthDeg;
          const back = answerOf(beamwidthLevel, {
            beamwidthDeg: there,
            fromLevelDb: level,
            toLevelDb: -3,
          }).beamwidthDeg;
          expect(back).toBeCloseTo(deg, 9);
          expect(there).toBeGreaterThanOrEqual(deg - 1e-9);
        },
      ),
    );
    const at3 = answerOf(beamwidth, { ...piston, levelDb: -3 }).beamwidthDeg;
    const at10 = answerOf(beamwidth, { ...piston, levelDb: -10 }).beamwidthDeg;
    expect(answerOf(beamwidthLevel, { beamwidthDeg: at3, fromLevelDb: -3, toLevelDb: -10 }).beamwidthDeg).toBeCloseTo(
      at10,
      9,
    );
  });

  it('refuses a disc so wide that it never falls to the level', () => {
    const result = calculate(beamwidthLevel, { beamwidthDeg: 150, fromLevelDb: -3, toLevelDb: -10 });
    expect(result).toEqual({ ok: false, errors: [jasmine.objectContaining({ field: 'beamwidthDeg' })] });
  });
});
