import { noiseSpectrum } from './noise.ts';
import { answerOf } from '../calculation/calculation.ts';

describe('noise-spectrum', () => {
  it('has the published levels of water and wind, added as powers', () => {
    // Mellen: 31 dB at 200 kHz; Coates at 10 kHz and 5 m/s: 50 + 16.77 + 20 - 40 log 10.4.
    const answer = answerOf(noiseSpectrum, { frequencyHz: 200_000, windSpeedMps: 0 });
    expect(answer.thermalDb).toBeCloseTo(31.02, 2);
    expect(answerOf(noiseSpectrum, { frequencyHz: 10_000, windSpeedMps: 5 }).windDb).toBeCloseTo(46.09, 1);
    const powers = [answer.thermalDb, answer.windDb, answer.ownShipDb].map((level) => 10 ** (level / 10));
    expect(10 ** (answer.noiseSpectrumDb / 10)).toBeCloseTo(
      powers.reduce((sum, one) => sum + one),
      3,
    );
  });

  it('rises by 18 dB when the speed doubles, and says which noise is the loudest', () => {
    const own = (boatSpeedMps: number): number =>
      answerOf(noiseSpectrum, { frequencyHz: 200_000, boatSpeedMps, mounting: 'transom' }).ownShipDb;
    expect(own(10) - own(5)).toBeCloseTo(18.06, 2);
    const loudest = (input: object): string => answerOf(noiseSpectrum, { frequencyHz: 50_000, ...input }).loudest;
    expect(loudest({ boatSpeedMps: 10 })).toBe('own boat');
    expect(loudest({ windSpeedMps: 20, frequencyHz: 10_000 })).toBe('wind');
    expect(loudest({ frequencyHz: 1_000_000, windSpeedMps: 0 })).toBe('thermal');
  });
});
