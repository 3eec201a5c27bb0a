import { between } from '../drill/exercise.ts';
import { eastNorth } from '../calibration/bearings.ts';
import type { RandomGenerator } from 'pure-rand/types/RandomGenerator';

/** What the instruments of a simulated boat are off by, and the water it is in: what a procedure is to find out. */
export interface HiddenErrors {
  /** Added to what the compass shows it gives the true heading, deviation apart. */
  readonly headingOffsetDeg: number;
  /** Deviation by compass heading, coefficients B to E. */
  readonly deviationDeg: readonly [b: number, c: number, d: number, e: number];
  /** True speed through the water for one the log shows. */
  readonly logFactor: number;
  /** Added to what the sensor shows it gives the water's temperature. */
  readonly temperatureOffsetC: number;
  /** Of the face under the water: what the sounder does not measure. */
  readonly faceDepthM: number;
  readonly current: { readonly east: number; readonly north: number };
  readonly surfaceC: number;
  readonly salinityPpt: number;
  /** Added to what the unit that looks ahead shows it gives the bearing off the bow; true range for one shown. */
  readonly pointingDeg: number;
  readonly rangeFactor: number;
  /** Its side-scan has port on its right. */
  readonly sidesSwapped: boolean;
  /** Of the pole, bow up. */
  readonly tiltDeg: number;
  /** From the antenna to the face. */
  readonly antennaForwardM: number;
  readonly antennaStarboardM: number;
  /** Added to what the second unit shows it gives what the first one shows. */
  readonly stepM: number;
  /** Of the battery's capacity when new, and its inner resistance. */
  readonly capacityLeft: number;
  readonly internalOhm: number;
  readonly sinkerLostM: number;
}

type Further = Exclude<keyof HiddenErrors, keyof ReturnType<typeof hiddenErrors>>;

/** Lags of the instruments, seconds: after so long 63 of 100 parts of a change are shown. */
export const instrumentLagsS = { position: 3, compass: 3, log: 10, temperature: 60 } as const;

/** Errors of a size that boats have, the same for the same random numbers. */
export const hiddenErrors = (random: RandomGenerator) => ({
  headingOffsetDeg: between(random, -9, 9),
  deviationDeg: [
    between(random, -4, 4),
    between(random, -4, 4),
    between(random, -1.5, 1.5),
    between(random, -0.5, 0.5),
  ] as const,
  logFactor: between(random, 0.88, 1.14),
  temperatureOffsetC: between(random, -1.2, 1.2),
  faceDepthM: between(random, 0.25, 0.7),
  current: eastNorth(between(random, 0, 360), between(random, 0.1, 0.9)),
  surfaceC: between(random, 8, 17),
});

/** What sonar, antenna and battery are off by; from numbers of their own, so that the boat's motion stays as it is. */
export const furtherErrors = (random: RandomGenerator): Pick<HiddenErrors, Further> => ({
  salinityPpt: between(random, 0, 30),
  pointingDeg: between(random, -8, 8),
  rangeFactor: between(random, 0.92, 1.08),
  sidesSwapped: between(random, 0, 1) < 0.5,
  tiltDeg: between(random, -6, 6),
  antennaForwardM: between(random, -4, 4),
  antennaStarboardM: between(random, -1, 1),
  stepM: between(random, -0.6, 0.6),
  capacityLeft: between(random, 0.6, 0.95),
  internalOhm: between(random, 0.008, 0.03),
  sinkerLostM: between(random, 18, 55),
});
