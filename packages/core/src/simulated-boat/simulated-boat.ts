import type { HelmState } from '@grey-keel/model';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { RandomGenerator } from 'pure-rand/types/RandomGenerator';
import { skipN } from 'pure-rand/utils/skipN';
import { answerOf } from '../calculation/calculation.ts';
import { magneticVariation, variationModel } from '../calibration/magnetic-variation.ts';
import { bearingOf, eastNorth, wrapped } from '../calibration/bearings.ts';
import { furtherErrors, hiddenErrors, type HiddenErrors, instrumentLagsS } from './hidden-errors.ts';
import { normalFrom } from './normal-from.ts';
import { terrainDepthM, waterTemperatureC } from './terrain.ts';

/** The boat as it truly is, and what its instruments have come to show. */
export interface BoatMoment {
  readonly timeS: number;
  readonly eastM: number;
  readonly northM: number;
  readonly headingDeg: number;
  readonly turnDegPerS: number;
  readonly throughMps: number;
  readonly depthM: number;
  readonly batteryV: number;
  readonly shown: {
    readonly compassDeg: number;
    readonly logMps: number;
    readonly over: { readonly east: number; readonly north: number };
    readonly eastM: number;
    readonly northM: number;
    readonly depthM: number;
    readonly temperatureC: number;
  };
}

/** What moves the boat. */
export type Steering = Omit<HelmState, 'entered'>;

export interface SimulatedBoat {
  readonly seed: number;
  /** Of its water, east positive: true heading less magnetic. */
  readonly variationDeg: number;
  readonly errors: HiddenErrors;
  /** The boat at this moment. */
  readonly now: () => BoatMoment;
  /** So many seconds on, in steps of a tenth. */
  readonly step: (seconds: number, helm: Steering) => BoatMoment;
}

/** Out at sea, where no name is: the water of the simulated boat is nowhere. */
export const simulatedMiddle = { latitudeDeg: 47, longitudeDeg: -28 };
const usualDay = '2026-07-01';

/** Variation of its water on a day, degrees, east positive; on a day the model does not reach, that of its nearest. */
const variationOn = (day: string): number => {
  const { from, to } = variationModel;
  const date = day < from ? from : day > to ? to : day;
  return answerOf(magneticVariation, { ...simulatedMiddle, date }).variationDeg;
};

const stepS = 0.1;
const topMps = 9;
/** How the boat answers: to the throttle within seconds, to the wheel the more the faster. */
const gathersS = 4;
const mostTurnDegPerS = 14;
/** How far waves and the helm throw it about. */
const yawDeg = 1.2;
const restingV = 12.7;
const chargingV = 14.1;

/** Deviation by compass heading, degrees, east positive. */
const deviationAt = ([b, c, d, e]: HiddenErrors['deviationDeg'], compassDeg: number): number => {
  const theta = (compassDeg * Math.PI) / 180;
  return b * Math.sin(theta) + c * Math.cos(theta) + d * Math.sin(2 * theta) + e * Math.cos(2 * theta);
};

/** What the compass shows on a magnetic heading: the heading it shows, with offset and deviation, is the magnetic one. */
export const compassShows = (errors: HiddenErrors, magneticDeg: number): number => {
  let shown = magneticDeg - errors.headingOffsetDeg;
  // The curve rests on what is shown; deviations are small, so that a few rounds settle it.
  for (let round = 0; round < 6; round++)
    shown = magneticDeg - errors.headingOffsetDeg - deviationAt(errors.deviationDeg, shown);
  return ((shown % 360) + 360) % 360;
};

const toward = (value: number, target: number, lagS: number): number =>
  target + (value - target) * Math.exp(-stepS / lagS);
const clamped = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

/**
 * A boat to practise on: motion in a steady current, and instruments with hidden errors, noise and lag. Position and
 * compass follow within 3 s, the log within 10 s, temperature within 60 s, as simple first-order lags. The same whole-number
 * seed and the same helm give the same boat. Its compass errs against magnetic north; `day` is that of the variation.
 */
export const simulatedBoat = (
  seed: number,
  { withDeviation = true, noise = 1, day = usualDay }: { withDeviation?: boolean; noise?: number; day?: string } = {},
): SimulatedBoat => {
  const variationDeg = variationOn(day);
  const random: RandomGenerator = xoroshiro128plus(seed | 0);
  skipN(random, 32);
  const apart: RandomGenerator = xoroshiro128plus((seed + 40_503) | 0);
  skipN(apart, 32);
  const drawn = { ...hiddenErrors(random), ...furtherErrors(apart) };
  const errors: HiddenErrors = withDeviation ? drawn : { ...drawn, deviationDeg: [0, 0, 0, 0] };
  const normal = normalFrom(random);
  /** Noise that lasts for a while, of a standard deviation: waves, and the wander of a position. */
  const wandering = (sd: number, lastsS: number) => {
    const stays = Math.exp(-stepS / lastsS);
    let value = noise * sd * normal();
    return (): number => (value = value * stays + noise * sd * Math.sqrt(1 - stays ** 2) * normal());
  };
  const yaw = wandering(yawDeg, 2);
  const surge = wandering(0.08, 3);
  const [eastWander, northWander] = [wandering(0.8, 20), wandering(0.8, 20)];
  const heave = wandering(0.05, 1.5);
  const [eastDoppler, northDoppler] = [wandering(0.05, 8), wandering(0.05, 8)];

  const surface = { depthM: terrainDepthM(0, 0), temperatureC: waterTemperatureC(errors.surfaceC, 0.5) };
  let at: BoatMoment = {
    timeS: 0,
    eastM: 0,
    northM: 0,
    headingDeg: 0,
    turnDegPerS: 0,
    throughMps: 0,
    depthM: surface.depthM,
    batteryV: restingV,
    shown: {
      compassDeg: compassShows(errors, -variationDeg),
      logMps: 0,
      over: errors.current,
      eastM: 0,
      northM: 0,
      depthM: surface.depthM - errors.faceDepthM,
      temperatureC: surface.temperatureC - errors.temperatureOffsetC,
    },
  };
  let engineWasOn = false;
  let crankingS = 0;

  const once = ({ wheel, throttle, steerDeg, engineOn }: Steering): void => {
    if (engineOn && !engineWasOn) crankingS = 1.2;
    engineWasOn = engineOn;
    crankingS = Math.max(0, crankingS - stepS);
    const wanted = engineOn ? topMps * clamped(throttle, 0, 1) : 0;
    const throughMps = toward(at.throughMps, wanted, gathersS);
    const bite = clamped(throughMps / 3, 0.15, 1);
    const helm = steerDeg === null ? wheel : clamped(wrapped(steerDeg - at.headingDeg) / 18, -1, 1);
    const turnDegPerS = toward(at.turnDegPerS, mostTurnDegPerS * clamped(helm, -1, 1) * bite, 0.8);
    const headingDeg = (((at.headingDeg + turnDegPerS * stepS) % 360) + 360) % 360;
    const pointed = headingDeg + yaw();
    const way = eastNorth(pointed, Math.max(0, throughMps + (throughMps > 0.2 ? surge() : 0)));
    const over = { east: way.east + errors.current.east, north: way.north + errors.current.north };
    const [eastM, northM] = [at.eastM + over.east * stepS, at.northM + over.north * stepS];
    const depthM = terrainDepthM(eastM, northM);
    const compassDeg = at.shown.compassDeg;
    const follows =
      wrapped(compassShows(errors, pointed - variationDeg) - compassDeg) *
      (1 - Math.exp(-stepS / instrumentLagsS.compass));
    at = {
      timeS: at.timeS + stepS,
      eastM,
      northM,
      headingDeg,
      turnDegPerS,
      throughMps,
      depthM,
      batteryV: crankingS > 0 ? 9.9 : toward(at.batteryV, engineOn ? chargingV : restingV, engineOn ? 2 : 8),
      shown: {
        compassDeg: (((compassDeg + follows) % 360) + 360) % 360,
        logMps: toward(at.shown.logMps, Math.hypot(way.east, way.north) / errors.logFactor, instrumentLagsS.log),
        over: {
          east: toward(at.shown.over.east, over.east + eastDoppler(), instrumentLagsS.position),
          north: toward(at.shown.over.north, over.north + northDoppler(), instrumentLagsS.position),
        },
        eastM: eastM + eastWander(),
        northM: northM + northWander(),
        depthM: Math.max(0, depthM - errors.faceDepthM + heave()),
        temperatureC: toward(
          at.shown.temperatureC,
          waterTemperatureC(errors.surfaceC, 0.5) - errors.temperatureOffsetC,
          instrumentLagsS.temperature,
        ),
      },
    };
  };
  return {
    seed,
    variationDeg,
    errors,
    now: () => at,
    step: (seconds, helm) => {
      for (let done = 0; done < Math.round(seconds / stepS); done++) once(helm);
      return at;
    },
  };
};

/** Course and speed over ground as the position receiver shows them. */
export const shownOverGround = ({ shown }: BoatMoment): { readonly sogMps: number; readonly cogDeg: number } => ({
  sogMps: Math.hypot(shown.over.east, shown.over.north),
  cogDeg: bearingOf(shown.over),
});
