import { sonarBudget } from '../acoustics/sonar-budget.ts';
import { answerOf } from '../calculation/calculation.ts';
import { beamShape } from './element-acoustics.ts';
import { imagingFrequency } from './imaging-frequency.ts';

describe('imaging-frequency', () => {
  const snrAt = (frequencyHz: number, rangeM: number, salinityPpt: number): number => {
    const { directivityIndexDb } = beamShape(50, 0.9);
    const thermal = 10 ** ((-15 + 20 * Math.log10(frequencyHz / 1000)) / 10);
    const kHz = frequencyHz / 1000;
    const wind = 10 ** ((50 + 15 + 20 * Math.log10(kHz) - 40 * Math.log10(kHz + 0.4)) / 10);
    return answerOf(sonarBudget, {
      frequencyHz,
      sourceLevelDb: 170.8 + 10 * Math.log10(150) + directivityIndexDb,
      directivityIndexDb,
      bandwidthHz: 10_000,
      // The boat's electrics, 78 dB in 1 kHz and 20 dB a decade more over 200 kHz, as if the water had made them.
      noiseSpectrumDb:
        10 *
        Math.log10(
          thermal +
            wind +
            10 **
              ((78 + 20 * Math.log10(Math.max(1, kHz / 200)) - 30 - 10 * Math.log10(0.5) + directivityIndexDb) / 10),
        ),
      temperatureC: 10,
      salinityPpt,
      rangeM,
      targetStrengthDb: -50,
    }).snrDb;
  };

  it('just covers the range, and a little higher does not', () => {
    for (const [rangeM, salinityPpt] of [
      [40, 35],
      [60, 0],
    ] as const) {
      const { frequencyHz } = answerOf(imagingFrequency, { rangeM, temperatureC: 10, salinityPpt });
      expect(snrAt(frequencyHz ?? 0, rangeM, salinityPpt)).toBeCloseTo(3, 2);
      expect(snrAt((frequencyHz ?? 0) * 1.02, rangeM, salinityPpt)).toBeLessThan(3);
    }
  });

  it('falls with range and with salt, and says when there is none', () => {
    const of = (rangeM: number, salinityPpt: number) =>
      answerOf(imagingFrequency, { rangeM, temperatureC: 10, salinityPpt }).frequencyHz ?? 0;
    expect(of(60, 0)).toBeLessThan(of(50, 0));
    expect(of(50, 35)).toBeLessThan(of(50, 0));
    const none = answerOf(imagingFrequency, { rangeM: 1000, temperatureC: 10, salinityPpt: 35, acousticPowerW: 0.1 });
    expect([none.frequencyHz, none.atEnd, none.flags.length]).toEqual([null, 'lowest', 1]);
    expect(answerOf(imagingFrequency, { rangeM: 1, temperatureC: 10, salinityPpt: 0 }).atEnd).toBe('highest');
  });
});
