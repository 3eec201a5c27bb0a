import type { Plan, Water } from '@grey-keel/model';
import { headingEdits, typedEdits } from './demo-calibrations.ts';
import { boatOf, day, knots, type DemoBoat } from './demo-boat.ts';
import { fromCatalogue } from './demo-parts.ts';
import { after, enter, readingEdits } from './demo-readings.ts';
import { wrenFit } from './wren-fit.ts';
import { wrenScreens } from './wren-screens.ts';

const lakeOstrel: Water = {
  name: 'Lake Ostrel',
  kind: 'fresh',
  salinityPpt: 0,
  temperatureC: 9,
  coldestC: 4,
  warmestC: 16,
  shallowestM: 4,
  usualDeepestM: 45,
  greatestM: 140,
  clarity: 'clear',
};

/** Half commissioned: the boat the demo opens on, with faults planted for the findings to name. */
export const sableWren = (now: Date): DemoBoat => {
  const at = (daysAgo: number): string => new Date(now.getTime() - daysAgo * day).toISOString();
  const start: Plan = {
    ...boatOf({
      name: 'Sable Wren',
      lengthM: 7.4,
      beamM: 2.55,
      draughtM: 0.62,
      hullForm: 'catamaran',
      hullMaterial: 'aluminium',
      propulsion: 'twin outboards',
      cruiseSpeedMps: knots(24),
      topSpeedMps: knots(33),
      systemVoltageV: 12,
      bowMotor: true,
      notes: 'Guided trips for char along ledges, jigging over schools. Electric bow motor.',
    }),
    stations: {
      'a-helm-port': {
        name: 'Helm, port',
        viewingDistanceM: 0.95,
        posture: 'standing',
        place: { forwardM: 3.3, starboardM: 0.2, aboveKeelM: 1.9 },
        eyeAboveKeelM: 2.75,
        mount: 'fixed',
      },
      'b-helm-starboard': {
        name: 'Helm, starboard',
        viewingDistanceM: 0.95,
        posture: 'standing',
        place: { forwardM: 3.3, starboardM: 0.65, aboveKeelM: 1.9 },
      },
      'c-bow': {
        name: 'Bow',
        viewingDistanceM: 1.4,
        posture: 'standing',
        place: { forwardM: 6.6, starboardM: -0.3, aboveKeelM: 1.4 },
      },
    },
    waters: { 'a-ostrel': lakeOstrel },
    sought: { char: { name: 'Char', lengthCm: 45, shallowestM: 18, deepestM: 45, over: ['ledges'] } },
    ways: { running: true, searching: true, trolling: true, 'on the spot': true, trailer: true },
    working: { waterId: 'a-ostrel', depthM: 32 },
    // Jigging over schools the unit at the bow looks straight down: there it hears what the side-scan sends.
    scene: {
      slopeDeg: 0,
      thermocline: null,
      windMps: 4,
      rollDeg: 0,
      forward: { mode: 'down', tiltDeg: 0, rangeM: 40 },
    },
    transducers: {
      'a-wide': fromCatalogue(
        'through-hull-wide-190',
        { mounting: 'through-hull', forwardM: 2.1, starboardM: -0.85, aboveKeelM: 0.12, workingBeam: 0 },
        { running: true, searching: true, trolling: true },
      ),
      'b-narrow': fromCatalogue(
        'transom-narrow-95-210',
        { mounting: 'transom', forwardM: -0.1, starboardM: 0.95, aboveKeelM: 0.23, workingBeam: 1 },
        { trolling: true, 'on the spot': true },
      ),
      'c-sides': fromCatalogue(
        'side-scan-380-700',
        { mounting: 'transom', forwardM: -0.1, starboardM: -0.6, aboveKeelM: 0.2, workingBeam: 1 },
        { searching: true },
      ),
      'd-ahead': fromCatalogue(
        'forward-facing-700',
        { mounting: 'bow motor', forwardM: 7.2, starboardM: 0.3, aboveKeelM: 0.1, workingBeam: 0 },
        { searching: true, 'on the spot': true },
      ),
    },
    ...wrenScreens(),
    ...wrenFit(),
  };
  const wide = readingEdits({
    transducerId: 'a-wide',
    displayId: 'a-helm-port',
    water: lakeOstrel,
    assumedMps: 1443,
    setM: 0,
    pairs: [
      [5.2, 0.49],
      [8.1, 0.52],
      [13.4, 0.5],
      [16.2, 0.51],
    ],
  });
  const measured = after(start, wide);
  const narrow = readingEdits({
    transducerId: 'b-narrow',
    displayId: 'a-helm-port',
    water: lakeOstrel,
    assumedMps: 1443,
    setM: -0.39,
    pairs: [
      [5.2, 0.37],
      [8.1, 0.41],
      [13.41, 0.39],
      [16.2, 0.4],
      [10.7, 0.83],
    ],
  });
  return {
    id: 'sable-wren',
    start,
    madeAt: at(12),
    revisions: [
      { edits: wide, at: at(9) },
      { edits: [enter(measured, 'a-wide', at(9))], at: at(9) },
      { edits: [{ type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.2 } }], at: at(3) },
      { edits: narrow, at: at(1) },
      {
        edits: headingEdits('e-compass', {
          headingsDeg: [40, 220, 130, 310, 85, 265],
          throughMps: knots(7),
          current: { eastMps: -0.2, northMps: 0.45 },
          factor: 1,
          offsetDeg: -6,
          strayDeg: [0, 1, 0, 0, -1, 0],
        }),
        at: at(1),
      },
      { edits: pictures, at: at(1) },
    ],
  };
};

/** A pile ahead and a pier aside, a buoy passed on four headings, and the starting battery through a day. */
const pictures = [
  ...typedEdits('sides', 'c-sides', [
    { known: 'port', shown: 'port' },
    { known: 'starboard', shown: 'starboard' },
  ]),
  ...typedEdits('pointing', 'd-ahead', [
    { knownDeg: -20, shownDeg: -24.5 },
    { knownDeg: 0, shownDeg: -4 },
    { knownDeg: 25, shownDeg: 21 },
    { knownDeg: 40, shownDeg: 35 },
  ]),
  ...typedEdits('range', 'c-sides', [
    { knownM: 12, shownM: 14, heightM: 7, targetHeightM: 0.5 },
    { knownM: 20, shownM: 21.5, heightM: 7.2, targetHeightM: 0.5 },
    { knownM: 30, shownM: 31, heightM: 8, targetHeightM: 0.5 },
  ]),
  // This display takes its depth from the unit at the bow, five metres ahead of the antenna.
  ...typedEdits('antenna', 'b-helm-starboard', [
    { headingDeg: 10, latitudeDeg: 47.009_953, longitudeDeg: -28.020_013 },
    { headingDeg: 190, latitudeDeg: 47.010_047, longitudeDeg: -28.019_986 },
    { headingDeg: 100, latitudeDeg: 47.010_012, longitudeDeg: -28.020_066 },
    { headingDeg: 280, latitudeDeg: 47.009_988, longitudeDeg: -28.019_936 },
  ]),
  ...typedEdits('battery', 'a-start', [
    { trip: 1, usedAh: 0, currentA: 0.4, voltsV: 12.71 },
    { trip: 1, usedAh: 9, currentA: 6.2, voltsV: 12.47 },
    { trip: 1, usedAh: 18, currentA: 0.4, voltsV: 12.43 },
    { trip: 1, usedAh: 27, currentA: 6.2, voltsV: 12.23 },
    { trip: 1, usedAh: 36, currentA: 0.4, voltsV: 12.24 },
    { trip: 1, usedAh: 44, currentA: 6.2, voltsV: 12.05 },
  ]),
];
