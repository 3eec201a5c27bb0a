import type { OverTheSide } from '@grey-keel/model';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { skipN } from 'pure-rand/utils/skipN';
import { bearingOf, wrapped } from '../calibration/bearings.ts';
import { overGround, placeFrom } from '../calibration/local-metres.ts';
import { restVoltageV } from '../power/battery-curve.ts';
import { normalFrom } from './normal-from.ts';
import { type SimulatedBoat, simulatedMiddle } from './simulated-boat.ts';
import { waterTemperatureC } from './terrain.ts';

/** Where the buoy lies that marks are set over, from the middle of the water. */
const buoy = { eastM: 140, northM: 90 };
/** Its like lie so far apart all over the water: one is always near enough for eye and tape. */
const buoysApartM = 200;
/** What the simulated pack is, and what is taken from it: little at rest, more while the engine is off and all screens are on. */
const pack = { chemistry: 'lead-acid' as const, nominalV: 12, capacityAh: 80 };
const drawsA = { least: 1.5, most: 9 };
/** Its clock runs fast, so that a day fits a trial. */
const ahPerS = 0.02;
const sinkerCm = 3;

const stepped = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(6));

/** What a person reads over the side of the simulated boat at this moment, with the errors of hand and eye. */
export const overTheSide = ({ seed, errors, now, variationDeg }: SimulatedBoat): OverTheSide => {
  const boat = now();
  const random = xoroshiro128plus((Math.round(boat.timeS * 10) * 31 + seed * 17) | 0);
  skipN(random, 32);
  const normal = normalFrom(random);
  const toNearest = (awayM: number): number => awayM - buoysApartM * Math.round(awayM / buoysApartM);
  const away = { east: toNearest(buoy.eastM - boat.eastM), north: toNearest(buoy.northM - boat.northM) };
  const distanceM = Math.max(1, Math.hypot(away.east, away.north));
  const offTheBowDeg = wrapped(bearingOf(away) - boat.headingDeg);
  const heightM = Math.max(0.5, boat.depthM - errors.faceDepthM);
  const targetHeightM = Math.min(heightM, 0.5);
  const slantM = Math.hypot(distanceM / errors.rangeFactor, heightM - targetHeightM);
  const side = offTheBowDeg < 0 ? ('port' as const) : ('starboard' as const);
  const other = side === 'port' ? ('starboard' as const) : ('port' as const);
  const vector = overGround(boat.headingDeg, {
    forwardM: errors.antennaForwardM,
    starboardM: errors.antennaStarboardM,
  });
  const mark = placeFrom(simulatedMiddle, {
    east: buoy.eastM - vector.east + 0.4 * normal(),
    north: buoy.northM - vector.north + 0.4 * normal(),
  });
  const holdsAh = pack.capacityAh * errors.capacityLeft;
  // Well used, it is charged again in no time: whenever one looks, the day goes on.
  const usedAh = (boat.timeS * ahPerS) % (0.8 * holdsAh);
  // Now and then everything is on.
  const currentA = stepped(Math.floor(boat.timeS / 40) % 2 ? drawsA.most : drawsA.least, 0.1);
  const restV = restVoltageV(pack, 1 - usedAh / holdsAh);
  const sightedDeg = boat.headingDeg + 0.7 * normal();
  return {
    leadLineM: stepped(boat.depthM + 0.04 * normal(), 0.05),
    thermometerC: stepped(waterTemperatureC(errors.surfaceC, 0.5) + 0.08 * normal(), 0.1),
    salinityPpt: stepped(errors.salinityPpt, 0.5),
    headingDeg: (stepped(sightedDeg, 0.5) + 360) % 360,
    magneticDeg: (stepped(sightedDeg - variationDeg, 0.5) + 360) % 360,
    secondDepthM: stepped(Math.max(0, boat.shown.depthM - errors.stepM + 0.04 * normal()), 0.05),
    buoy: {
      offTheBowDeg: stepped(offTheBowDeg + 0.7 * normal(), 0.5),
      distanceM: stepped(distanceM * (1 + 0.01 * normal()), 0.5),
      shownOffTheBowDeg: stepped(wrapped(offTheBowDeg - errors.pointingDeg + 0.7 * normal()), 0.5),
      shownRangeM: stepped(slantM * (1 + 0.005 * normal()), 0.5),
      heightM: stepped(heightM, 0.1),
      targetHeightM: stepped(targetHeightM, 0.1),
    },
    bank: { side, shownSide: errors.sidesSwapped ? other : side },
    tiltDeg: stepped(errors.tiltDeg + 0.8 * normal(), 0.5),
    buoyMark: {
      latitudeDeg: stepped(mark.latitudeDeg, 0.000_001),
      longitudeDeg: stepped(mark.longitudeDeg, 0.000_001),
    },
    battery: {
      usedAh: stepped(usedAh, 0.1),
      currentA,
      voltsV: stepped(restV - errors.internalOhm * currentA + 0.004 * normal(), 0.01),
    },
    sinker: { sizeCm: sinkerCm, lostAtM: stepped(errors.sinkerLostM + 0.6 * normal(), 0.1) },
  };
};
