import { answerOf } from '../calculation.ts';
import { ringDown } from './ring-down.ts';

describe('ring-down', () => {
  it('blanks half the way sound goes while the face sends and rings', () => {
    // 0.2 ms and 12 cycles of 200 kHz (0.06 ms) at 1500 m/s: 0.195 m.
    const it = answerOf(ringDown, { pulseLengthS: 0.0002, frequencyHz: 200_000, soundSpeedMps: 1500 });
    expect(it.blankM).toBeCloseTo(0.195, 9);
    expect(it.ringingS).toBeCloseTo(0.00006, 12);
  });

  it('is longer at a lower frequency, and the pulse alone where nothing rings', () => {
    const at = (frequencyHz: number, ringingCycles: number): number =>
      answerOf(ringDown, { pulseLengthS: 0.0001, frequencyHz, ringingCycles, soundSpeedMps: 1450 }).blankM;
    expect(at(45_000, 12)).toBeGreaterThan(at(190_000, 12));
    expect(at(45_000, 0)).toBeCloseTo(0.0725, 9);
  });
});
