import { aBeam, aTransducer, edited, aPlan } from '../testing/sample-plan.ts';
import { beamRangeTerms, bottomReachM } from './beam-range.ts';
import { deepestAcoustics } from './element-acoustics.ts';
import { imagingHere } from './imaging-here.ts';

/** A down fan in fresh water of 9 °C over sand, at idle, on a boat with an outboard. */
const bottomM = (frequencyHz: number, alongDeg: number, electricalPowerW: number): number => {
  const fan = aTransducer({
    kind: 'down fan',
    mounting: 'transom',
    electricalPowerW,
    beams: [aBeam({ frequencyHz, beamwidthDeg: 50, alongDeg })],
  });
  const terms = beamRangeTerms(deepestAcoustics(fan, fan.beams[0] ?? aBeam()), fan.mounting, {
    water: { temperatureC: 9, salinityPpt: 0 },
    soundSpeedMps: 1443,
    depthM: 20,
    windMps: 3,
    boatSpeedMps: 1.5,
    electricalFloorDb: 78,
    ownNoiseByDb: 0,
  });
  return bottomReachM(terms, 'sand');
};

describe('the bottom by an imaging unit', () => {
  it('is read as deep as practice reads it: about 137 m at 380 kHz, 62 m at 700 kHz, 37 m at 1 000 kHz', () => {
    for (const [frequencyHz, alongDeg, seenM] of [
      [380_000, 1.2, 137],
      [700_000, 0.9, 62],
      [1_000_000, 0.7, 37],
    ] as const)
      for (const powerW of [300, 500]) {
        const reachM = bottomM(frequencyHz, alongDeg, powerW);
        expect(reachM)
          .withContext(`${frequencyHz} Hz, ${powerW} W`)
          .toBeGreaterThan(0.85 * seenM);
        expect(reachM)
          .withContext(`${frequencyHz} Hz, ${powerW} W`)
          .toBeLessThan(1.15 * seenM);
      }
  });

  it('is sought with short pulses unless the sheet says others, which sounders are not held to', () => {
    const pulse = (changes: Parameters<typeof aTransducer>[0], frequencyHz: number): number => {
      const unit = aTransducer({ shortestPulseS: null, longestPulseS: null, ...changes });
      return deepestAcoustics(unit, aBeam({ frequencyHz, bandwidthHz: null })).pulseLengthS;
    };
    for (const kind of ['side-scan', 'down fan', 'forward-facing', 'sector'] as const)
      expect(pulse({ kind }, 380_000)).toBe(0.0001);
    expect(pulse({ kind: 'side-scan', longestPulseS: 0.0004 }, 380_000)).toBe(0.0004);
    expect(pulse({ kind: 'side-scan' }, 190_000)).toBe(0.001);
    expect(pulse({ kind: 'sounder' }, 380_000)).toBe(0.001);
  });

  it('is asked of the boat’s own floor and wind, not of usual ones', () => {
    const plan = edited(
      aPlan(),
      { type: 'describeBoat', changes: { electricalFloorDb: 91 } },
      { type: 'setScene', changes: { windMps: 9 } },
    );
    expect(imagingHere(plan, { temperatureC: 7, salinityPpt: 2 }, 25)).toEqual({
      rangeM: 25,
      temperatureC: 7,
      salinityPpt: 2,
      windSpeedMps: 9,
      electricalFloorDb: 91,
    });
  });
});
