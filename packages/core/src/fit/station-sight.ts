import type { Plan } from '@grey-keel/model';
import { answerOf, type Answer } from '../calculation/calculation.ts';
import { bowHeightM, runningTrimDeg } from './bow-guess.ts';
import { sightLine } from './sight-line.ts';

/** The sight line of a station, with what of it was not measured. */
export type StationSight = Answer<ReturnType<typeof sightLine.run>> & { readonly guesses: readonly string[] };

/** Whether who runs the boat from a station sees the water over the screen and the bow; null while something is not known. */
export const stationSight = (plan: Plan, stationId: string): StationSight | null => {
  const station = plan.stations[stationId];
  const display = plan.displays[stationId];
  const { lengthM, draughtM } = plan.boat;
  const eye = station?.eyeAboveKeelM;
  if (!station?.place || !display || eye == null || lengthM === null || draughtM === null) return null;
  const away = station.viewingDistanceM;
  if (away === null || eye <= draughtM + 0.2) return null;
  const { screenDiagonalM: diagonal, pixelsHigh: high, pixelsWide: wide } = display;
  const bow = bowHeightM(plan.boat);
  const trim = runningTrimDeg(plan.boat);
  const eyeForwardM = station.place.forwardM - away;
  const guesses = [...(bow.guessed ? ['the height of the bow'] : []), ...(trim.guessed ? ['how far it rises'] : [])];
  const sight = answerOf(sightLine, {
    eyeM: eye - draughtM,
    screenTopM: station.place.aboveKeelM + (diagonal * high) / Math.hypot(high, wide) / 2 - draughtM,
    screenAheadM: away,
    bowM: bow.value,
    bowAheadM: Math.max(0.1, lengthM - eyeForwardM),
    trimDeg: trim.value,
    lengthM,
  });
  return { ...sight, guesses };
};
