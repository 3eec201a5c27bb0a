import {
  type Beam,
  type DepthPair,
  type Edit,
  emptyPlan,
  type FittedDisplay,
  type Page,
  type PageNumber,
  type Plan,
  type Transducer,
  type Water,
} from '@grey-keel/model';
import { applyEdits } from '../job/apply-edits.ts';
import { offsetKeyedIn } from '../calibration/keyed-in.ts';
import { calls, enters } from './set-at.ts';
import { measuredOffset } from '../calibration/depth-offset-subject.ts';

/** Test data builders of the core: a small boat that is complete enough for every stage. */
export const aWater = (changes: Partial<Water> = {}): Water => ({
  name: 'Testing Pool',
  kind: 'fresh',
  salinityPpt: 0,
  temperatureC: 9,
  coldestC: 4,
  warmestC: 16,
  shallowestM: 4,
  usualDeepestM: 45,
  greatestM: 140,
  clarity: 'clear',
  ...changes,
});

export const aBeam = (changes: Partial<Beam> = {}): Beam => ({
  frequencyHz: 190_000,
  bandwidthHz: null,
  beamwidthDeg: 24,
  levelDb: -3,
  alongDeg: null,
  ...changes,
});

export const aTransducer = (changes: Partial<Transducer> = {}): Transducer => ({
  name: 'Wide 190',
  kind: 'sounder',
  beams: [aBeam()],
  apertureM: null,
  constantBeamwidth: false,
  electricalPowerW: 600,
  catalogue: null,
  mounting: 'through-hull',
  forwardM: 2,
  starboardM: -0.8,
  aboveKeelM: 0.1,
  workingBeam: 0,
  transmitsIn: { trolling: true },
  ...changes,
});

/** A 12.1 inch screen of 1280 x 800: one pixel is 0.2036 mm. */
export const aDisplay = (changes: Partial<FittedDisplay> = {}): FittedDisplay => ({
  name: 'Display 12',
  screenDiagonalM: 0.30734,
  pixelsWide: 1280,
  pixelsHigh: 800,
  keys: 4,
  pressesPerKey: 2,
  keysBindTo: 'page',
  panesPerPage: 3,
  catalogue: null,
  seatedDistanceM: null,
  readAtNight: false,
  ...changes,
});

export const aNumber = (changes: Partial<PageNumber> = {}): PageNumber => ({
  shows: 'depth',
  heightPx: 40,
  x: 0.4,
  y: 0.05,
  ...changes,
});

/** A chart beside a sounder, the depth over it. */
export const aPage = (changes: Partial<Page> = {}): Page => ({
  stationId: 'helm',
  name: 'Troll',
  place: 1,
  shownIn: { trolling: true },
  layout: {
    bandsLie: 'columns',
    bands: [
      { share: 0.4, panes: [{ share: 1, view: 'chart', rangeM: null }] },
      { share: 0.6, panes: [{ share: 1, view: 'sounder', rangeM: null }] },
    ],
  },
  numbers: { depth: aNumber() },
  ...changes,
});

export const pair = (leadLineM: number | null, displayedM: number | null, leftOut = false): DepthPair => ({
  leadLineM,
  displayedM,
  leftOut,
});

/** Readings in fresh water of 9 °C on a display that works with the water's own speed of sound: 0.39 m is missed. */
export const waterSpeedMps = 1443.6;

export const aPlan = (): Plan => ({
  ...emptyPlan('Test Hull'),
  boat: {
    ...emptyPlan('Test Hull').boat,
    lengthM: 7.4,
    beamM: 2.5,
    draughtM: 0.5,
    topSpeedMps: 17,
    cruiseSpeedMps: 12,
  },
  stations: { helm: { name: 'Helm', viewingDistanceM: 0.9, posture: 'standing' } },
  waters: { pool: aWater() },
  sought: { char: { name: 'char', lengthCm: 45, shallowestM: 18, deepestM: 45, over: ['ledges'] } },
  ways: { trolling: true, trailer: true },
  working: { waterId: 'pool', depthM: 32 },
  transducers: {
    'a-wide': aTransducer(),
    'b-narrow': aTransducer({
      name: 'Narrow 95',
      beams: [{ frequencyHz: 95_000, bandwidthHz: null, beamwidthDeg: 9, levelDb: -3, alongDeg: null }],
      starboardM: 0.9,
      forwardM: 0,
    }),
  },
  displays: { helm: aDisplay() },
  pages: { 'p-troll': aPage() },
  keys: { helm: { '1-short': { does: 'page', pageId: 'p-troll', place: null } } },
  depthOffsets: {
    'a-wide': {
      reference: 'waterline',
      offsetSetM: 0,
      soundSpeedAssumedMps: waterSpeedMps,
      toleranceM: 0.1,
      displayResolutionM: 0.01,
      readings: { r1: pair(5.2, 4.83), r2: pair(8.1, 7.69), r3: pair(13.41, 13.02), r4: pair(16.2, 15.8) },
    },
  },
});

/** Applies edits that are known to be good. */
export const edited = (plan: Plan, ...edits: Edit[]): Plan => {
  const applied = applyEdits(plan, edits);
  if (!applied.ok) throw new Error(JSON.stringify(applied.errors));
  return applied.plan;
};

/** The plan with its screen in place, wired and fed, and its sources named and selected. */
export const fitted = (plan: Plan): Plan =>
  edited(
    plan,
    { type: 'describeStation', id: 'helm', changes: { place: { forwardM: 3, starboardM: 0.4, aboveKeelM: 1.8 } } },
    {
      type: 'addBattery',
      id: 'house',
      battery: {
        name: 'House',
        chemistry: 'lithium',
        nominalV: 12,
        capacityAh: 100,
        capacityLeft: 1,
        peukert: 1.05,
        internalOhm: 0.005,
        crankingA: 0,
        chargingV: 14.4,
      },
    },
    {
      type: 'addCircuit',
      id: 'helm',
      circuit: {
        name: 'Helm',
        batteryId: 'house',
        oneWayLengthM: 3,
        gauge: '6 mm2',
        conductor: 'stranded-tinned',
        temperatureC: 25,
        fuseA: 10,
        fuseFromPostM: 0.1,
        loads: {
          screen: {
            name: 'Screen',
            deviceId: 'helm',
            currentA: 3,
            lowestV: 10,
            highestV: 17,
            runsIn: { trolling: true },
          },
        },
      },
    },
    { type: 'describeDevice', id: 'helm', changes: { sockets: Object.keys(plan.transducers).map(() => 'round') } },
    ...Object.keys(plan.transducers).map((transducerId): Edit => ({
      type: 'connect',
      transducerId,
      link: { to: 'helm', plug: 'round', adapterDisables: null, cableM: 4 },
    })),
    ...Object.keys(plan.transducers).map((id): Edit => ({
      type: 'describeSource',
      id,
      changes: { name: `Hull ${id}`, tag: `Type ${id}` },
    })),
    {
      type: 'feed',
      stationId: 'helm',
      quantity: 'depth',
      feed: { sourceId: Object.keys(plan.transducers)[0] ?? '', fallbackId: null },
    },
    enters('helm', 'sound', { waterType: 'fresh' }),
    enters('helm', 'depth-display', { unit: 'm', step: 0.1 }),
    enters('helm', 'north', 'true'),
    ...calls('helm', { shallowM: 1.5 }),
    ...Object.keys(plan.transducers).flatMap((id) => [
      enters('helm', 'type', `Type ${id}`, id),
      enters('helm', 'sides', 'right', id),
    ]),
  );

/** The plan with a transducer's offset worked out and entered. */
export const withEntered = (plan: Plan, transducerId: string): Plan => {
  const result = measuredOffset.of(plan, transducerId);
  const entry = result?.known
    ? offsetKeyedIn(plan, transducerId, result.answer.offsetM, { at: '2026-05-01T09:30:00Z', by: null, reason: null })
    : null;
  if (!entry) throw new Error('There is no result to enter.');
  return edited(plan, entry);
};

/** A seeded generator of uniform numbers (mulberry32), so that simulations in tests repeat exactly. */
export const seeded = (seed: number): (() => number) => {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
};

/** Normal numbers from uniform ones (Box and Muller). */
export const normal = (uniform: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
