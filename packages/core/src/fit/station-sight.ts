import type { Plan } from '@grey-keel/model';
import { silhouetteOf } from '../beams/silhouette.ts';
import { answerOf, type Answer } from '../calculation.ts';
import { sightLine } from './sight-line.ts';

/** The bow's rise when running, where the boat's own has not been measured. */
export const usualTrimDeg = 4;

/** Whether who runs the boat from a station sees the water over the screen and the bow; null while something is not known. */
export const stationSight = (plan: Plan, stationId: string): Answer<ReturnType<typeof sightLine.run>> | null => {
  const station = plan.stations[stationId];
  const display = plan.displays[stationId];
  const { lengthM, draughtM, runningTrimDeg } = plan.boat;
  const eye = station?.eyeAboveKeelM;
  if (!station?.place || !display || eye == null || lengthM === null || draughtM === null) return null;
  const away = station.viewingDistanceM;
  if (away === null || eye <= draughtM + 0.2) return null;
  const { screenDiagonalM: diagonal, pixelsHigh: high, pixelsWide: wide } = display;
  const bow = silhouetteOf(plan.boat).side[0]?.reduce((best, point) => (point.x > best.x ? point : best));
  const eyeForwardM = station.place.forwardM - away;
  return answerOf(sightLine, {
    eyeM: eye - draughtM,
    screenTopM: station.place.aboveKeelM + (diagonal * high) / Math.hypot(high, wide) / 2 - draughtM,
    screenAheadM: away,
    bowM: Math.max(0, bow?.y ?? 0),
    bowAheadM: Math.max(0.1, (bow?.x ?? lengthM) - eyeForwardM),
    trimDeg: runningTrimDeg ?? usualTrimDeg,
    lengthM,
  });
};
