import { noiseSpectrum } from './acoustics/noise.ts';
import { volumeReverberation } from './acoustics/reverberation.ts';
import { budgetDifference } from './beams/budget-difference.ts';
import { imagingFrequency } from './beams/imaging-frequency.ts';
import { bottomEchoes } from './acoustics/bottom-echoes.ts';
import { bottomArea } from './acoustics/bottom-area.ts';
import { detectionRange } from './acoustics/detection-range.ts';
import { pingTiming } from './acoustics/ping-timing.ts';
import { rangeResolution } from './acoustics/range-resolution.ts';
import { beamRange } from './beams/beam-range-calculation.ts';
import { ringDown } from './acoustics/ring-down.ts';
import { sonarBudget } from './acoustics/sonar-budget.ts';
import { sourceLevel } from './acoustics/source-level.ts';
import { targetStrength } from './acoustics/target-strength.ts';
import { beamwidthLevel } from './beams/beamwidth-level.ts';
import { beamwidth } from './beams/beamwidth.ts';
import { deadZone } from './beams/dead-zone.ts';
import { footprint } from './beams/footprint.ts';
import { forwardView } from './beams/forward-view.ts';
import { groundRange } from './beams/ground-range.ts';
import { sideScanShadow } from './beams/side-scan-shadow.ts';
import { steeredSector } from './beams/steered-sector.ts';
import { targetArea } from './beams/target-area.ts';
import { targetRing } from './beams/target-ring.ts';
import type { Calculation } from './calculation/calculation.ts';
import { antennaVector } from './calibration/antenna-vector.ts';
import { batteryPack } from './calibration/battery-pack.ts';
import { depthOffset } from './calibration/depth-offset.ts';
import { headingDeviation } from './calibration/heading-deviation.ts';
import { magneticVariation } from './calibration/magnetic-variation.ts';
import { headingOffset } from './calibration/heading-offset.ts';
import { measuredNoise } from './calibration/measured-noise.ts';
import { pairedOffset } from './calibration/paired-offset.ts';
import { rangeScale } from './calibration/range-scale.ts';
import { speedFactor } from './calibration/speed-factor.ts';
import { temperatureOffset } from './calibration/temperature-offset.ts';
import { waterSound } from './calibration/water-sound.ts';
import { nmeaDecode } from './instruments/nmea-decode.ts';
import { legibility } from './pages/legibility.ts';
import { paneScale } from './pages/pane-scale.ts';
import { sightLine } from './fit/sight-line.ts';
import { ampacity } from './power/ampacity.ts';
import { backboneVoltage } from './network/backbone-voltage.ts';
import { batteryDay } from './power/battery-day.ts';
import { startDip } from './power/start-dip.ts';
import { voltageDrop } from './power/voltage-drop.ts';
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
    targetArea,
    groundRange,
    sideScanShadow,
    forwardView,
    steeredSector,
    pingTiming,
    rangeResolution,
    sourceLevel,
    targetStrength,
    bottomArea,
    bottomEchoes,
    ringDown,
    sonarBudget,
    detectionRange,
    beamRange,
    deadZone,
    noiseSpectrum,
    volumeReverberation,
    budgetDifference,
    imagingFrequency,
    depthOffset,
    temperatureOffset,
    speedFactor,
    headingOffset,
    headingDeviation,
    magneticVariation,
    waterSound,
    pairedOffset,
    rangeScale,
    antennaVector,
    batteryPack,
    measuredNoise,
    nmeaDecode,
    legibility,
    paneScale,
    sightLine,
    voltageDrop,
    ampacity,
    backboneVoltage,
    batteryDay,
    startDip,
  ].map((calculation) => [calculation.name, calculation as unknown as Calculation]),
);
