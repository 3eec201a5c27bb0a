import fc from 'fast-check';
import { answerOf, calculate } from '../calculation/calculation.ts';
import { pingTiming } from './ping-timing.ts';
import { rangeResolution } from './range-resolution.ts';

describe('range-resolution', () => {
  it('is 0.75 m for a millisecond and 3.75 cm for a band of 20 kHz at 1500 m/s', () => {
    expect(answerOf(rangeResolution, { soundSpeedMps: 1500, pulseLengthS: 0.001 }).resolutionM).toBeCloseTo(0.75, 9);
    expect(answerOf(rangeResolution, { soundSpeedMps: 1500, bandwidthHz: 20_000 }).resolutionM).toBeCloseTo(0.0375, 9);
  });

  it('is the same for a pulse and for the band that is its inverse', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-5, max: 0.01, noNaN: true }), (pulseLengthS) => {
        const pulse = answerOf(rangeResolution, { soundSpeedMps: 1480, pulseLengthS });
        const chirp = answerOf(rangeResolution, { soundSpeedMps: 1480, bandwidthHz: 1 / pulseLengthS });
        expect(pulse.resolutionM).toBeCloseTo(chirp.resolutionM, 9);
      }),
    );
  });

  it('wants one of pulse length and bandwidth', () => {
    expect(calculate(rangeResolution, { soundSpeedMps: 1500 }).ok).toBeFalse();
    expect(calculate(rangeResolution, { soundSpeedMps: 1500, pulseLengthS: 0.001, bandwidthHz: 1000 }).ok).toBeFalse();
  });
});

describe('ping-timing', () => {
  const input = { rangeM: 75, soundSpeedMps: 1500, speedMps: 5, beamwidthDeg: 90, depthM: 10 };

  it('pings ten times a second to 75 m, half a metre apart at 5 m/s, on footprints of 20 m', () => {
    const answer = answerOf(pingTiming, input);
    expect(answer.maxPingRateHz).toBeCloseTo(10, 9);
    expect(answer.spacingM).toBeCloseTo(0.5, 9);
    expect(answer.footprintOverlap).toBeCloseTo(1 - 0.5 / 20, 9);
  });

  it('overlaps wholly at rest and not at all when it outruns its footprint', () => {
    expect(answerOf(pingTiming, { ...input, speedMps: 0 }).footprintOverlap).toBe(1);
    const fast = answerOf(pingTiming, { ...input, rangeM: 3000, speedMps: 15, beamwidthDeg: 10 });
    expect(fast.footprintOverlap).toBe(0);
    expect(fast.flags.length).toBe(1);
  });
});
