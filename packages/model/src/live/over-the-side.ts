import * as z from 'zod';
import { boatSides } from '../readings/sonar-readings.ts';

/** What a person aboard the simulated boat reads with their own eyes and tools, beside what its displays show. */
export const overTheSideSchema = z.strictObject({
  /** By lead line, surface to bottom. */
  leadLineM: z.number(),
  /** By a thermometer at the sensor's depth, and by a strip for salt. */
  thermometerC: z.number(),
  salinityPpt: z.number(),
  /** By a mark far off: where the boat really points, from true and from magnetic north. */
  headingDeg: z.number(),
  magneticDeg: z.number(),
  /** What a second unit shows of the same bottom. */
  secondDepthM: z.number(),
  /** A buoy ahead or aside: by eye and tape, and as the unit that looks ahead has it. */
  buoy: z.strictObject({
    offTheBowDeg: z.number(),
    distanceM: z.number(),
    shownOffTheBowDeg: z.number(),
    shownRangeM: z.number(),
    heightM: z.number(),
    targetHeightM: z.number(),
  }),
  /** A bank on one side, and where side-scan has it. */
  bank: z.strictObject({ side: z.enum(boatSides), shownSide: z.enum(boatSides) }),
  /** By a plumb line on the pole, bow up. */
  tiltDeg: z.number(),
  /** The mark that is set with a buoy straight over the face, on the heading the boat has. */
  buoyMark: z.strictObject({ latitudeDeg: z.number(), longitudeDeg: z.number() }),
  /** Taken from the battery since it was full, the current now, and the voltage. */
  battery: z.strictObject({ usedAh: z.number(), currentA: z.number(), voltsV: z.number() }),
  /** A sinker of so many centimetres was lost from the picture so far under the face. */
  sinker: z.strictObject({ sizeCm: z.number(), lostAtM: z.number() }),
});
export type OverTheSide = z.output<typeof overTheSideSchema>;
