import type { ForwardSetting } from '@grey-keel/model';
import { answerOf, type Answer } from '../calculation/calculation.ts';
import { forwardView } from './forward-view.ts';
import type { Point } from './silhouette.ts';
import { steeredSector } from './steered-sector.ts';

const radian = Math.PI / 180;

/** A unit that looks ahead: its fan at half power, and the depth of its face. */
export interface AheadUnit {
  readonly kind: 'forward-facing' | 'sector';
  readonly acrossDeg: number;
  readonly alongDeg: number;
  readonly faceM: number;
}

/** A forward-facing fan as it leaves the box: upright, level, a quarter further ahead than the water is deep. */
export const usualForward = (depthM: number): ForwardSetting => ({
  mode: 'ahead',
  tiltDeg: 0,
  rangeM: Math.min(500, Math.max(5, Math.round(1.25 * depthM))),
});

const bounded = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));
const least = 0.1;

/** What a unit covers as it is set; one that turns lies flat whatever the mode says. Depths from the surface, in metres. */
export const coveredAhead = (
  { kind, acrossDeg, alongDeg, faceM }: AheadUnit,
  { mode, tiltDeg, rangeM }: ForwardSetting,
  depthM: number,
): Answer<ReturnType<typeof forwardView.run>> =>
  answerOf(forwardView, {
    mode: kind === 'sector' ? 'flat' : mode,
    sectorDeg: bounded(acrossDeg, 5, 170),
    thinDeg: bounded(alongDeg, 0.5, 60),
    tiltDeg,
    belowFaceM: Math.max(least, depthM - faceM),
    rangeM,
  });

/** One sweep of a unit that turns, over water of a depth, while the boat turns under it. */
export const sweptAhead = (
  { alongDeg, faceM }: AheadUnit,
  { tiltDeg, rangeM }: ForwardSetting,
  depthM: number,
  turnRateDegPerS: number,
): Answer<ReturnType<typeof steeredSector.run>> =>
  answerOf(steeredSector, {
    beamwidthDeg: bounded(alongDeg, 0.5, 60),
    sectorDeg: 360,
    rangeM,
    turnRateDegPerS,
    tiltDeg,
    faceDepthM: Math.min(20, faceM),
    belowFaceM: Math.max(least, depthM - faceM),
  });

/**
 * Outline of the fan from starboard, bow to the right, in metres from where it hangs: x forward, y depth below the
 * surface. It ends at the range, the bottom or the surface, whichever comes first.
 */
export const outlineAhead = (
  unit: AheadUnit,
  setting: ForwardSetting,
  depthM: number,
  forwardM: number,
): readonly Point[] => {
  const { fromDownDeg, toDownDeg } = coveredAhead(unit, setting, depthM);
  const { faceM } = unit;
  const ray = (deg: number): Point => {
    const cosine = Math.cos(deg * radian);
    const end =
      cosine > 1e-6
        ? Math.max(least, depthM - faceM) / cosine
        : cosine < -1e-6
          ? faceM / -cosine
          : Number.POSITIVE_INFINITY;
    const range = Math.min(setting.rangeM, end);
    return { x: forwardM + range * Math.sin(deg * radian), y: faceM + range * cosine };
  };
  const steps = 40;
  return [
    { x: forwardM, y: faceM },
    ...Array.from({ length: steps + 1 }, (_, i) => ray(fromDownDeg + ((toDownDeg - fromDownDeg) * i) / steps)),
  ];
};
