import { answerOf } from '../calculation/calculation.ts';
import { aBeam, aTransducer } from '../testing/sample-plan.ts';
import { beamwidth } from './beamwidth.ts';
import { beamShape, elementAcoustics, impliedEfficiency, offAxisDb, resolutionOf } from './element-acoustics.ts';

const element = (changes = {}, beam = {}) => aTransducer({ beams: [aBeam(beam)], ...changes });

describe('a beam by its width alone', () => {
  it('has the directivity of the disc that gives the width', () => {
    // ka sin(half) = 1.6163: an aperture of ka / pi wavelengths.
    const apertureM = ((1.6163399 / Math.sin((12 * Math.PI) / 180)) * 1500) / 190_000 / Math.PI;
    const disc = answerOf(beamwidth, { shape: 'piston', apertureM, frequencyHz: 190_000, soundSpeedMps: 1500 });
    expect(disc.beamwidthDeg).toBeCloseTo(24, 3);
    expect(beamShape(24, 24).directivityIndexDb).toBeCloseTo(disc.directivityIndexDb, 2);
  });

  it('has the two-way equivalent beam of a disc: 5.78 / (ka)² steradians', () => {
    // Simmonds and MacLennan 2005, ch. 3.
    const ka = 1.6163399 / Math.sin((4.5 * Math.PI) / 180);
    expect(beamShape(9, 9).equivalentBeamDb).toBeCloseTo(10 * Math.log10(5.78 / ka ** 2), 1);
  });

  it('as a fan, has about the directivity of a rectangle that size: 4 pi over the product of the widths', () => {
    // For a line of n wavelengths the half-power width is 0.886 / n and its share of directivity 1 / n.
    const [across, along] = [12, 1].map((deg) => (deg * Math.PI) / 180) as [number, number];
    const rectangle = 10 * Math.log10((4 * Math.PI * 0.886 ** 2) / (across * along));
    expect(beamShape(12, 1).directivityIndexDb).toBeCloseTo(rectangle, 0);
  });

  it('is half the power down at the edge of its width, and 17.6 dB at the first side lobe of a disc', () => {
    expect(offAxisDb(beamShape(24, 24), 12)).toBeCloseTo(-3.0103, 2);
    expect(offAxisDb(beamShape(24, 24), 0)).toBeCloseTo(0, 6);
    const ka = 1.6163399 / Math.sin((12 * Math.PI) / 180);
    expect(offAxisDb(beamShape(24, 24), (Math.asin(5.1356 / ka) * 180) / Math.PI)).toBeCloseTo(-17.57, 1);
  });
});

describe('an element as the sonar equation takes it', () => {
  it('names what its sheet does not say', () => {
    const bare = element({ electricalPowerW: null });
    expect(elementAcoustics(bare, aBeam(), 32).derived).toEqual([
      'source level',
      'efficiency',
      'power',
      'pulse lengths',
    ]);
    const whole = element({ efficiency: 0.6, shortestPulseS: 1e-4, longestPulseS: 1e-3 }, { sourceLevelDb: 214 });
    expect(elementAcoustics(whole, whole.beams[0] ?? aBeam(), 32).derived).toEqual([]);
  });

  it('has the efficiency that its source level implies', () => {
    const derived = elementAcoustics(element({ efficiency: 0.4 }), aBeam(), 32).sourceLevelDb;
    const quoted = element({}, { sourceLevelDb: derived });
    expect(impliedEfficiency(quoted, quoted.beams[0] ?? aBeam())).toBeCloseTo(0.4, 9);
    expect(impliedEfficiency(element(), aBeam())).toBeNull();
  });

  it('pulses longer in deep water, within its sheet, and a chirp resolves by its band', () => {
    const pulse = (depthM: number, changes = {}): number =>
      elementAcoustics(element(changes), aBeam(), depthM).pulseLengthS;
    expect(pulse(100)).toBeCloseTo(0.0005, 9);
    expect(pulse(1)).toBeCloseTo(12 / 190_000, 9);
    expect(pulse(1, { shortestPulseS: 0.0002 })).toBe(0.0002);
    expect(pulse(900, { longestPulseS: 0.002 })).toBe(0.002);
    const chirp = elementAcoustics(element(), aBeam({ bandwidthHz: 50_000 }), 100);
    expect(resolutionOf(chirp, 1500)).toBeCloseTo(0.015, 9);
    expect(chirp.processingGainDb).toBeCloseTo(10 * Math.log10(50_000 * 0.0005), 9);
  });
});
