import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';

/** How far a face has to fall silent before near water is heard, dB. */
const silentDb = 80;
/** Cycles a face of a quality rings for: its amplitude falls by e in Q / pi cycles. Source: a damped resonance. */
export const ringingCyclesOf = (quality: number): number =>
  (silentDb / (20 * Math.log10(Math.E))) * (quality / Math.PI);
/** Quality of a plain ceramic, which a single frequency is sent with. */
const plainQuality = 12;
export const usualRingingCycles = Math.round(ringingCyclesOf(plainQuality));
/** What a face rings for that fills a band: the wider, the sooner it is silent. */
export const ringingOf = (frequencyHz: number, bandwidthHz: number | null): number =>
  Math.min(usualRingingCycles, ringingCyclesOf(bandwidthHz === null ? plainQuality : frequencyHz / bandwidthHz));

/** A receiver is deaf for so long after its own pulse, s: a round figure of ours. */
export const usualRecoveryS = 0.0002;

/** The water in which nothing is seen, m: there and back in the time of pulse, ringing and recovery. */
export const blankingM = ({
  pulseLengthS,
  ringingS,
  recoveryS = usualRecoveryS,
  soundSpeedMps,
}: {
  readonly pulseLengthS: number;
  readonly ringingS: number;
  readonly recoveryS?: number;
  readonly soundSpeedMps: number;
}): number => (soundSpeedMps * (pulseLengthS + ringingS + recoveryS)) / 2;

/**
 * The water right below the face in which nothing is seen: the transducer still sends and then rings before it can
 * listen, and the receiver has to recover from its own sending. Pulse, recovery in seconds, ringing in cycles of the
 * frequency, distance in metres below the face.
 * Source: two-way travel in the time of the pulse and of its ringing, Urick 1983, ch. 1.
 */
export const ringDown = defineCalculation({
  name: 'ring-down',
  purpose: 'Blanking zone below the face from pulse length and ringing',
  version: 3,
  input: z.strictObject({
    pulseLengthS: z.number().min(1e-6).max(0.1),
    frequencyHz: z.number().min(10_000).max(3_000_000),
    /** Cycles until the ringing has died away under the echoes of near water: 20 to 40 for a single frequency. */
    ringingCycles: z.number().min(0).max(500).default(usualRingingCycles),
    /** Until the receiver hears again after its own pulse. */
    recoveryS: z.number().min(0).max(0.1).default(usualRecoveryS),
    soundSpeedMps: z.number().min(1300).max(1700).default(1500),
  }),
  output: z.strictObject({ blankM: z.number(), ringingS: z.number() }),
  run: ({ pulseLengthS, frequencyHz, ringingCycles, recoveryS, soundSpeedMps }) => {
    const ringingS = ringingCycles / frequencyHz;
    const blankM = blankingM({ pulseLengthS, ringingS, recoveryS, soundSpeedMps });
    const source = 'two-way travel, Urick 1983, ch. 1';
    return {
      blankM,
      ringingS,
      flags: [],
      working: [
        calculated(
          { says: 'Time it rings', symbol: 't', value: ringingS, unit: 's', expression: 'n / f', source },
          given('n', ringingCycles, '', 'cycles it rings for'),
          given('f', frequencyHz, 'Hz', 'frequency'),
        ),
        calculated(
          { says: 'Blanking zone', symbol: 'b', value: blankM, unit: 'm', expression: 'c * (T + t + r) / 2', source },
          given('c', soundSpeedMps, 'm/s', 'speed of sound'),
          given('T', pulseLengthS, 's', 'length of the pulse'),
          given('t', ringingS, 's', 'time it rings'),
          given('r', recoveryS, 's', 'until the receiver hears again'),
        ),
      ],
    };
  },
});
