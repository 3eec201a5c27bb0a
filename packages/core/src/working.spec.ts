import { calculate } from './calculation/calculation.ts';
import { calculations } from './calculations.ts';
import { expectWorkingHolds } from './testing/evaluated.ts';

const budget = {
  frequencyHz: 190_000,
  sourceLevelDb: 214,
  directivityIndexDb: 19,
  bandwidthHz: 5000,
  noiseSpectrumDb: 40,
  temperatureC: 9,
  salinityPpt: 0,
  targetStrengthDb: -36,
};

const side = {
  acousticPowerW: 300,
  directivityIndexDb: 19,
  bandwidthHz: 5000,
  noiseSpectrumDb: 40,
  targetStrengthDb: -37,
};

const threeRuns = [10, 190, 100].map((headingDeg, i) => ({
  logMps: 3,
  headingDeg,
  sogMps: 3.6 - 0.4 * i,
  cogDeg: headingDeg + 4 - 6 * i,
}));
const fourRuns = [350, 170, 80, 260].map((headingDeg, i) => ({
  headingDeg,
  sogMps: 3.2 - 0.1 * i,
  cogDeg: (headingDeg + 9 - 2 * i) % 360,
}));

const mark = (headingDeg: number, northDeg: number, eastDeg: number): object => ({
  headingDeg,
  latitudeDeg: 58.2 + northDeg,
  longitudeDeg: 5.7 + eastDeg,
});

const inputs: Record<string, object[]> = {
  'water-sound': [
    {
      samples: [
        { depthM: 0, temperatureC: 15, salinityPpt: 8 },
        { depthM: 12, temperatureC: 7, salinityPpt: 9 },
      ],
      setMps: 1500,
    },
  ],
  'paired-offset': [
    {
      unit: 'deg',
      pairs: [
        { known: 20, shown: 15 },
        { known: -40, shown: -46 },
        { known: 4, shown: 0 },
      ],
    },
  ],
  'range-scale': [
    {
      targets: [
        { knownM: 20, shownM: 21, heightM: 6, targetHeightM: 0 },
        { knownM: 35, shownM: 34, heightM: 7, targetHeightM: 1 },
      ],
    },
  ],
  'antenna-vector': [{ marks: [mark(0, 0, 0), mark(180, 0.00006, 0.00001), mark(90, 0.00003, -0.00005)] }],
  'battery-pack': [
    {
      chemistry: 'lead-acid',
      nominalV: 12,
      capacityAh: 80,
      readings: [
        { trip: 1, usedAh: 0, currentA: 0, voltsV: 12.72 },
        { trip: 1, usedAh: 10, currentA: 8, voltsV: 12.33 },
        { trip: 1, usedAh: 20, currentA: 0, voltsV: 12.3 },
        { trip: 1, usedAh: 30, currentA: 8, voltsV: 11.97 },
        { trip: 1, usedAh: 38, currentA: 1, voltsV: 11.99 },
      ],
    },
  ],
  'measured-noise': [
    {
      readings: [
        { lost: 'sinker', depthM: 38, speedMps: 0, sizeCm: 3 },
        { lost: 'lure', depthM: 50, speedMps: 0, sizeCm: 8 },
        { lost: 'bottom', depthM: 60, speedMps: 12, sizeCm: 0 },
      ],
      frequencyHz: 200_000,
      sourceLevelDb: 213,
      bandwidthHz: 4000,
      directivityIndexDb: 22,
      acrossDeg: 16,
      resolutionM: 0.2,
      absorptionDbPerM: 0.014,
    },
  ],
  'sound-speed': [{ temperatureC: 9, salinityPpt: 0, depthM: 32 }],
  absorption: [{ frequencyHz: 190_000, temperatureC: 9, salinityPpt: 18 }],
  beamwidth: [
    { shape: 'piston', apertureM: 0.05, frequencyHz: 190_000, soundSpeedMps: 1443 },
    { shape: 'line', apertureM: 0.3, frequencyHz: 430_000, soundSpeedMps: 1500, levelDb: -10 },
  ],
  'beamwidth-level': [{ beamwidthDeg: 28, fromLevelDb: -10, toLevelDb: -3 }],
  footprint: [
    { beamwidthDeg: 24, depthM: 32 },
    { beamwidthDeg: 10, depthM: 32, slopeDeg: 25 },
  ],
  'target-ring': [{ wideDeg: 24, narrowDeg: 9, depthM: 32, narrowAtM: [-2, 1.5] }],
  'target-area': [
    {
      beams: [
        { beamwidthDeg: 24, shows: 'strong' },
        { beamwidthDeg: 9, atM: [-2, 1.5], shows: 'none' },
      ],
      depthM: 32,
    },
    { beams: [{ beamwidthDeg: 24, shows: 'none' }], depthM: 32 },
  ],
  'side-scan-shadow': [{ heightM: 12, groundRangeM: 30, shadowM: 4 }],
  'forward-view': [
    { mode: 'ahead', sectorDeg: 120, thinDeg: 18, tiltDeg: 10, belowFaceM: 12, rangeM: 36 },
    { mode: 'ahead', sectorDeg: 60, thinDeg: 18, belowFaceM: 12, rangeM: 36 },
    { mode: 'down', sectorDeg: 120, thinDeg: 18, belowFaceM: 12, rangeM: 36 },
    { mode: 'flat', sectorDeg: 120, thinDeg: 18, tiltDeg: 15, belowFaceM: 12, rangeM: 36 },
  ],
  'steered-sector': [
    { beamwidthDeg: 3, sectorDeg: 120, rangeM: 60, turnRateDegPerS: 6, belowFaceM: 20 },
    { beamwidthDeg: 3, sectorDeg: 120, rangeM: 60, tiltDeg: 20, belowFaceM: 20 },
  ],
  'bottom-echoes': [
    { depthM: 5, faceDepthM: 0.3, firstSnrDb: 70, absorptionDbPerKm: 12 },
    { depthM: 5, firstSnrDb: 12, absorptionDbPerKm: 12, bottom: 'mud' },
  ],
  'ring-down': [{ pulseLengthS: 0.0002, frequencyHz: 190_000 }],
  'ground-range': [{ slantRangeM: 30, heightM: 12, targetHeightM: 2 }],
  'ping-timing': [{ rangeM: 60, soundSpeedMps: 1443, speedMps: 2, beamwidthDeg: 9, depthM: 32 }],
  'range-resolution': [
    { soundSpeedMps: 1443, pulseLengthS: 0.0002 },
    { soundSpeedMps: 1443, bandwidthHz: 30_000 },
  ],
  'source-level': [{ electricalPowerW: 600, efficiency: 0.5, directivityIndexDb: 19 }],
  'target-strength': [
    { lengthCm: 45, frequencyHz: 190_000 },
    { lengthCm: 20, frequencyHz: 38_000, model: 'foote-clupeid' },
    { lengthCm: 45, frequencyHz: 190_000, model: 'love-dorsal' },
  ],
  'bottom-area': [
    { rangeM: 60, beamwidthDeg: 24, rangeResolutionM: 0.15 },
    { rangeM: 1, beamwidthDeg: 9, rangeResolutionM: 0.15 },
  ],
  'sonar-budget': [{ ...budget, rangeM: 40 }],
  'detection-range': [
    { ...budget, requiredSnrDb: 10 },
    { ...budget, sourceLevelDb: 100, requiredSnrDb: 60 },
  ],
  reach: [
    {
      frequencyHz: 190_000,
      beamwidthDeg: 12,
      electricalPowerW: 600,
      temperatureC: 9,
      salinityPpt: 0,
      lengthCm: 45,
    },
  ],
  'dead-zone': [
    { beamwidthDeg: 24, depthM: 32, pulseLengthS: 0.0002, soundSpeedMps: 1443, slopeDeg: 8 },
    { beamwidthDeg: 9, depthM: 32, pulseLengthS: 0.0002, soundSpeedMps: 1443, slopeDeg: 20 },
  ],
  'noise-spectrum': [{ frequencyHz: 190_000, boatSpeedMps: 4, mounting: 'transom' }],
  'volume-reverberation': [
    { rangeM: 30, equivalentBeamDb: -12, rangeResolutionM: 0.1, volumeBackscatterDb: -75, targetStrengthDb: -38 },
  ],
  'budget-difference': [
    {
      first: { ...side, frequencyHz: 190_000 },
      second: { ...side, frequencyHz: 95_000, directivityIndexDb: 15, acousticPowerW: 150, processingGainDb: 9 },
      temperatureC: 9,
      salinityPpt: 0,
      rangeM: 32,
    },
  ],
  'imaging-frequency': [{ rangeM: 60, temperatureC: 10, salinityPpt: 35 }],
  legibility: [
    { heightPx: 20, screenDiagonalM: 0.307, pixelsWide: 1280, pixelsHigh: 800, viewingDistanceM: 0.95 },
    { heightPx: 40, screenDiagonalM: 0.307, pixelsWide: 1280, pixelsHigh: 800, viewingDistanceM: 0.95, light: 'night' },
  ],
  'pane-scale': [
    { view: 'side-scan', rangeM: 40, widthPx: 1280, heightPx: 400 },
    { view: 'sounder', rangeM: 40, widthPx: 640, heightPx: 400 },
  ],
  'sight-line': [
    { eyeM: 2, screenTopM: 1.6, screenAheadM: 0.9, bowM: 0.8, bowAheadM: 4, lengthM: 7.4 },
    { eyeM: 2, screenTopM: 1.98, screenAheadM: 0.9, bowM: 0.8, bowAheadM: 4, lengthM: 7.4 },
  ],
  'voltage-drop': [{ oneWayLengthM: 4.5, currentA: 8, gauge: '2.5 mm2', supplyV: 12, temperatureC: 35 }],
  ampacity: [{ gauge: 'AWG 10', engineSpace: true }],
  'backbone-voltage': [
    { lengthM: 20, ohmPerM: 0.057, devices: [{ loads: 4, dropM: 2 }, { loads: 2 }] },
    {
      lengthM: 20,
      supplyAtM: 5,
      ohmPerM: 0.057,
      devices: [
        { loads: 4, teeAtM: 1, dropM: 2 },
        { loads: 2, teeAtM: 18 },
      ],
    },
  ],
  'battery-day': [
    {
      loads: [
        { currentA: 3, hours: 6 },
        { currentA: 5, hours: 2 },
      ],
      capacityAh: 90,
      chemistry: 'lead-acid',
    },
  ],
  'start-dip': [{ restV: 12.6, internalOhm: 0.006, crankingA: 250, lossV: 0.3, lowestV: 10 }],
  'depth-offset': [
    {
      readings: [
        { leadLineM: 5.2, displayedM: 4.83 },
        { leadLineM: 8.1, displayedM: 7.69 },
        { leadLineM: 13.41, displayedM: 13.02 },
      ],
      offsetSetM: 0.1,
      soundSpeedAssumedMps: 1500,
      soundSpeedActualMps: 1443,
      keelBelowWaterlineM: 0.62,
      reference: 'keel',
    },
  ],
  'temperature-offset': [1, 3].map((count) => ({
    readings: [9.2, 14.1, 18.3].slice(0, count).map((referenceC, i) => ({ referenceC, displayedC: 8.5 + 4.5 * i })),
  })),
  'speed-factor': [{ runs: threeRuns }],
  'heading-offset': [{ runs: threeRuns.slice(0, 2).map(({ logMps: _log, ...run }) => run) }, { runs: fourRuns }],
  'heading-deviation': [
    { swing: [0, 90, 180, 270].map((compassDeg, i) => ({ compassDeg, magneticDeg: compassDeg + 10.5 - 7 * i + 12 })) },
  ],
  'magnetic-variation': [{ latitudeDeg: 47, longitudeDeg: -28, date: '2026-06-01' }],
  'nmea-decode': [{ sentence: '$SDDPT,4.1,0.3' }],
};

describe('the working of every calculation', () => {
  for (const [name, calculation] of calculations) {
    it(`${name}: each expression evaluates to the value beside it, and each step names its source`, () => {
      const cases = inputs[name] ?? [];
      expect(cases.length).toBeGreaterThan(0);
      for (const input of cases) {
        const result = calculate(calculation, input);
        expect(result.ok).toBeTrue();
        if (!result.ok) continue;
        expectWorkingHolds(result.answer.working, name);
      }
    });

    it(`${name}: what it answers obeys its own output schema`, () => {
      for (const input of inputs[name] ?? []) {
        const result = calculate(calculation, input);
        expect(result.ok).toBeTrue();
        if (!result.ok) continue;
        const { working, flags, assumed, ...answer } = result.answer;
        expect(calculation.output.safeParse(answer).error?.issues).toBeUndefined();
        expect([Array.isArray(working), Array.isArray(flags), typeof assumed]).toEqual([true, true, 'object']);
      }
    });
  }
});
