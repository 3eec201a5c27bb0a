import { pingTiming } from './acoustics/ping-timing.ts';
import { rangeResolution } from './acoustics/range-resolution.ts';
import { beamwidthLevel } from './beams/beamwidth-level.ts';
import { beamwidth } from './beams/beamwidth.ts';
import { footprint } from './beams/footprint.ts';
import { groundRange } from './beams/ground-range.ts';
import { targetRing } from './beams/target-ring.ts';
import type { Calculation } from './calculation.ts';
import { depthOffset } from './calibration/depth-offset.ts';
import { legibility } from './pages/legibility.ts';
import { paneScale } from './pages/pane-scale.ts';
import { absorption } from './water/absorption.ts';
import { soundSpeed } from './water/sound-speed.ts';

/** Every calculation by its public name. */
export const calculations: ReadonlyMap<string, Calculation> = new Map(
  [
    soundSpeed,
    absorption,
    beamwidth,
    beamwidthLevel,
    footprint,
    targetRing,
    groundRange,
    pingTiming,
    rangeResolution,
    depthOffset,
    legibility,
    paneScale,
  ].map((calculation) => [calculation.name, calculation as unknown as Calculation]),
);
