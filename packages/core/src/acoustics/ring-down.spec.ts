import { answerOf } from '../calculation/calculation.ts';
import { ringDown, ringingCyclesOf, ringingOf, usualRingingCycles } from './ring-down.ts';

describe('ring-down', () => {
  it('blanks half the way sound goes while the face sends, rings and the receiver recovers', () => {
    // 0.2 ms, 12 cycles of 200 kHz (0.06 ms) and 0.2 ms of recovery at 1500 m/s: 0.345 m.
    const it = answerOf(ringDown, {
      pulseLengthS: 0.0002,
      frequencyHz: 200_000,
      ringingCycles: 12,
      soundSpeedMps: 1500,
    });
    expect(it.blankM).toBeCloseTo(0.345, 9);
    expect(it.ringingS).toBeCloseTo(0.00006, 12);
  });

  it('of a plain ceramic is blind to about a metre at 45 kHz, and to 0.3 to 0.5 m at 190 kHz', () => {
    expect(usualRingingCycles).toBeGreaterThanOrEqual(20);
    expect(usualRingingCycles).toBeLessThanOrEqual(40);
    const at = (frequencyHz: number, pulseLengthS: number): number =>
      answerOf(ringDown, { pulseLengthS, frequencyHz, soundSpeedMps: 1450 }).blankM;
    // A pulse of 12 cycles, 35 more of ringing, 0.2 ms of recovery: what practice sees.
    expect(at(45_000, 12 / 45_000)).toBeCloseTo(0.9, 2);
    expect(at(190_000, 0.000_06)).toBeCloseTo(0.32, 2);
    expect(at(190_000, 0.0003)).toBeCloseTo(0.5, 2);
  });

  it('ends sooner the wider the band of the face: 80 dB in Q / pi nepers of cycles', () => {
    // 80 dB are 9.21 nepers; a band of a tenth of the frequency is a Q of 10.
    expect(ringingCyclesOf(10)).toBeCloseTo((9.21 * 10) / Math.PI, 1);
    expect(ringingOf(200_000, 80_000)).toBeCloseTo(ringingCyclesOf(2.5), 9);
    expect(ringingOf(200_000, null)).toBe(usualRingingCycles);
    expect(ringingOf(200_000, 2000)).toBe(usualRingingCycles);
  });

  it('is longer at a lower frequency, and the pulse alone where nothing rings and the receiver hears at once', () => {
    const at = (frequencyHz: number, ringingCycles: number): number =>
      answerOf(ringDown, { pulseLengthS: 0.0001, frequencyHz, ringingCycles, recoveryS: 0, soundSpeedMps: 1450 })
        .blankM;
    expect(at(45_000, 12)).toBeGreaterThan(at(190_000, 12));
    expect(at(45_000, 0)).toBeCloseTo(0.0725, 9);
  });
});
