import * as z from 'zod';
import { electricalInBandDb, usualFloorDb, usualReceiveEfficiency } from '../acoustics/electrical-floor.ts';
import { thermalNoiseDb, together, windNoiseDb } from '../acoustics/noise.ts';
import { noiseInBandDb } from '../acoustics/sonar-equation.ts';
import { sourceLevelDb } from '../acoustics/source-level.ts';
import { answerOf, defineCalculation } from '../calculation/calculation.ts';
import { absorption } from '../water/absorption.ts';
import { given } from '../calculation/working-step.ts';
import { beamShape } from './element-acoustics.ts';

const lowestHz = 30_000;
const highestHz = 3_000_000;

/**
 * The highest frequency whose image still covers a range: the fan, the power and the pulse stay as they are, so the
 * absorption and the noise of the water decide. Lower frequencies reach further and draw bolder, coarser marks.
 * Source: sonar equation, Urick 1983, ch. 2; bisection, since the signal only falls with frequency where thermal noise rules.
 */
export const imagingFrequency = defineCalculation({
  name: 'imaging-frequency',
  purpose: 'Highest frequency at which a fan still images a range',
  version: 3,
  input: z.strictObject({
    rangeM: z.number().min(1).max(1000),
    temperatureC: z.number().min(0).max(40),
    salinityPpt: z.number().min(0).max(40),
    acrossDeg: z.number().min(1).max(170).default(50),
    alongDeg: z.number().min(0.1).max(90).default(0.9),
    acousticPowerW: z.number().min(0.1).max(10_000).default(150),
    pulseLengthS: z.number().min(1e-6).max(0.1).default(0.0001),
    windSpeedMps: z.number().min(0).max(40).default(4),
    /** What the boat's electrics put into the receiver, dB re 1 µPa in 1 kHz. */
    electricalFloorDb: z.number().min(0).max(140).default(usualFloorDb),
    receiveEfficiency: z.number().min(0.01).max(1).default(usualReceiveEfficiency),
    /** What is imaged: a square decimetre of gravel at a low angle sends back about this. */
    targetStrengthDb: z.number().min(-120).max(40).default(-50),
    /** A texture that goes on from ping to ping shows from little over the noise. */
    requiredSnrDb: z.number().min(-30).max(80).default(3),
  }),
  output: z.strictObject({ frequencyHz: z.number().nullable(), atEnd: z.enum(['none', 'lowest', 'highest']) }),
  run: (input) => {
    const { rangeM, temperatureC, salinityPpt, requiredSnrDb } = input;
    const { directivityIndexDb } = beamShape(input.acrossDeg, input.alongDeg);
    const sourceLevel = sourceLevelDb(input.acousticPowerW, directivityIndexDb);
    const snrDb = (frequencyHz: number): number => {
      const { absorptionDbPerKm } = answerOf(absorption, { frequencyHz, temperatureC, salinityPpt });
      const noise = together(thermalNoiseDb(frequencyHz), windNoiseDb(frequencyHz, input.windSpeedMps));
      return (
        sourceLevel -
        40 * Math.log10(rangeM) -
        (2 * absorptionDbPerKm * rangeM) / 1000 +
        input.targetStrengthDb -
        together(
          noiseInBandDb(noise, 1 / input.pulseLengthS, directivityIndexDb),
          electricalInBandDb(input.electricalFloorDb, {
            frequencyHz,
            bandwidthHz: 1 / input.pulseLengthS,
            receiveEfficiency: input.receiveEfficiency,
          }),
        )
      );
    };
    const steps = 400;
    const at = (i: number): number => lowestHz * (highestHz / lowestHz) ** (i / steps);
    let i = steps;
    while (i >= 0 && snrDb(at(i)) < requiredSnrDb) i--;
    let frequencyHz: number | null = i < 0 ? null : at(i);
    if (frequencyHz !== null && i < steps) {
      let [low, high] = [at(i), at(i + 1)];
      while (high - low > 1) {
        const middle = (low + high) / 2;
        if (snrDb(middle) >= requiredSnrDb) low = middle;
        else high = middle;
      }
      frequencyHz = low;
    }
    return {
      frequencyHz,
      atEnd: i < 0 ? ('lowest' as const) : i === steps ? ('highest' as const) : ('none' as const),
      flags:
        i < 0
          ? [`No imaging frequency from ${lowestHz / 1000} kHz up covers ${rangeM} m in this water with that power.`]
          : [],
      working:
        frequencyHz === null
          ? []
          : [
              {
                says: 'Highest frequency that still covers the range',
                symbol: 'f',
                value: frequencyHz,
                unit: 'Hz',
                expression: null,
                method:
                  'the highest root of SL - 40 log10(r) - 2 alpha(f) r + TS - NL(f) = required, by scan and bisection',
                inputs: [
                  given('SL', sourceLevel, 'dB', 'source level'),
                  given('r', rangeM, 'm', 'range'),
                  given('TS', input.targetStrengthDb, 'dB', 'target strength'),
                  given('required', requiredSnrDb, 'dB', 'signal over noise that is required'),
                ],
                source: 'sonar equation, Urick 1983, ch. 2; absorption by Francois and Garrison 1982',
              },
            ],
    };
  },
});
