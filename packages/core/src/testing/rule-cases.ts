import type { Edit, KeyAction, Plan, View } from '@grey-keel/model';
import { aBeam, aPage, aPlan, aTransducer, edited, pair, withEntered } from './sample-plan.ts';

/** A plan for each rule that makes it speak, and one a step away that keeps it silent. */
export const ruleCases: Readonly<Record<string, { speaks: Plan; silent: Plan; value?: number }>> = (() => {
  const plan = aPlan();
  const narrow = (changes: Parameters<typeof aTransducer>[0]): Edit => ({
    type: 'describeTransducer',
    id: 'b-narrow',
    changes: changes ?? {},
  });
  const offset = (changes: object): Edit => ({ type: 'describeDepthOffset', transducerId: 'a-wide', changes });
  const slip = (leadLineM: number, displayedM: number): Edit => ({
    type: 'recordReading',
    transducerId: 'a-wide',
    readingId: 'r5',
    reading: pair(leadLineM, displayedM),
  });
  const entered = withEntered(plan, 'a-wide');
  const turned = edited(
    plan,
    offset({ offsetSetM: -0.39 }),
    ...['r1', 'r2', 'r3', 'r4'].map((readingId): Edit => ({
      type: 'correctReading',
      transducerId: 'a-wide',
      readingId,
      changes: { displayedM: (plan.depthOffsets['a-wide']?.readings[readingId]?.displayedM ?? 0) - 0.39 },
    })),
  );
  const deep = (usualDeepestM: number): Edit => ({
    type: 'describeWater',
    id: 'pool',
    changes: { usualDeepestM, greatestM: usualDeepestM },
  });
  const digits = (heightPx: number): Edit => ({
    type: 'describeNumber',
    pageId: 'p-troll',
    id: 'depth',
    changes: { heightPx },
  });
  const showing = (view: View): Edit => ({
    type: 'describePage',
    id: 'p-troll',
    changes: { layout: { bandsLie: 'rows', bands: [{ share: 1, panes: [{ share: 1, view, rangeM: null }] }] } },
  });
  const quiet = (id: string): Edit => ({ type: 'transmitIn', id, way: 'trolling', transmits: false });
  const key = (slot: string, action: KeyAction): Edit => ({ type: 'bindKey', stationId: 'helm', slot, action });
  const placed = edited(
    plan,
    { type: 'describeDisplay', stationId: 'helm', changes: { keysBindTo: 'place' } },
    key('1-short', { does: 'page', pageId: 'p-troll', place: 1 }),
  );
  const second = (place: number): Edit => ({
    type: 'addPage',
    id: 'p-other',
    page: aPage({ name: 'Other', place, shownIn: {}, numbers: {} }),
  });
  const sheet = (levelDb: number): Edit =>
    narrow({
      apertureM: 0.0513,
      beams: [{ frequencyHz: 210_000, bandwidthHz: null, beamwidthDeg: 13.4, levelDb, alongDeg: null }],
    });
  return {
    'bottom-on-plane': {
      speaks: edited(
        plan,
        { type: 'useWay', way: 'running', used: true },
        { type: 'describeBoat', changes: { topSpeedMps: 22 } },
        ...['a-wide', 'b-narrow'].map((id): Edit => ({
          type: 'describeTransducer',
          id,
          changes: { mounting: 'transom' },
        })),
      ),
      silent: edited(
        plan,
        { type: 'useWay', way: 'running', used: true },
        { type: 'describeBoat', changes: { topSpeedMps: 12 } },
        ...['a-wide', 'b-narrow'].map((id): Edit => ({
          type: 'describeTransducer',
          id,
          changes: { mounting: 'transom' },
        })),
      ),
    },
    'sheet-efficiency': {
      speaks: edited(plan, narrow({ beams: [aBeam({ sourceLevelDb: 220 })] })),
      silent: edited(plan, narrow({ beams: [aBeam({ sourceLevelDb: 215 })] })),
    },
    'brief-missing': {
      speaks: edited(plan, { type: 'describeBoat', changes: { draughtM: null } }),
      silent: plan,
      value: 1,
    },
    'salinity-kind': {
      speaks: edited(plan, { type: 'describeWater', id: 'pool', changes: { salinityPpt: 18 } }),
      silent: plan,
      value: 18,
    },
    'order-of-values': {
      speaks: edited(plan, { type: 'describeBoat', changes: { cruiseSpeedMps: 20 } }),
      silent: plan,
      value: 3,
    },
    'no-transducer': { speaks: { ...plan, transducers: {} }, silent: plan, value: 0 },
    'face-above-water': {
      speaks: edited(plan, narrow({ aboveKeelM: 0.6 })),
      silent: edited(plan, narrow({ aboveKeelM: 0.45 })),
      value: 0.1,
    },
    'transmits-on-trailer': {
      speaks: edited(plan, { type: 'transmitIn', id: 'b-narrow', way: 'trailer', transmits: true }),
      silent: plan,
      value: 95_000,
    },
    'cone-level': { speaks: edited(plan, sheet(-3)), silent: edited(plan, sheet(-10)), value: 13.4 },
    'same-band': {
      speaks: edited(
        plan,
        narrow({
          beams: [{ frequencyHz: 200_000, bandwidthHz: 30_000, beamwidthDeg: 9, levelDb: -3, alongDeg: null }],
        }),
      ),
      silent: edited(
        plan,
        narrow({
          beams: [{ frequencyHz: 260_000, bandwidthHz: 30_000, beamwidthDeg: 9, levelDb: -3, alongDeg: null }],
        }),
      ),
    },
    'same-name': { speaks: edited(plan, narrow({ name: 'Wide 190' })), silent: plan, value: 2 },
    'absorption-heavy': { speaks: edited(plan, deep(1000)), silent: edited(plan, deep(700)) },
    'brackish-absorption': {
      speaks: edited(plan, { type: 'describeWater', id: 'pool', changes: { salinityPpt: 18, kind: 'brackish' } }),
      silent: plan,
    },
    'narrow-outside-wide': { speaks: edited(plan, { type: 'workAtDepth', depthM: 4 }), silent: plan },
    'offset-wrong-sign': { speaks: turned, silent: plan, value: 0.78 },
    'offset-stale': {
      speaks: edited(entered, { type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.18 } }),
      silent: entered,
      value: 0.3925,
    },
    'offset-flagged': { speaks: edited(plan, slip(10.7, 9.87)), silent: edited(plan, slip(10.7, 10.31)), value: 0.83 },
    'reading-half': {
      speaks: edited(plan, { type: 'recordReading', transducerId: 'a-wide', readingId: 'r5', reading: pair(9, null) }),
      silent: plan,
      value: 9,
    },
    'offset-uncertain': { speaks: edited(plan, offset({ toleranceM: 0.02 })), silent: plan },
    'offset-geometry': {
      speaks: edited(plan, { type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.4 } }),
      silent: plan,
      value: 0.2925,
    },
    'display-missing': {
      speaks: edited(plan, { type: 'removeDisplay', stationId: 'helm' }),
      silent: plan,
      value: 0,
    },
    'page-missing': {
      speaks: edited(plan, { type: 'useWay', way: 'running', used: true }),
      silent: edited(
        plan,
        { type: 'useWay', way: 'running', used: true },
        { type: 'showPageIn', id: 'p-troll', way: 'running', shown: true },
        { type: 'transmitIn', id: 'a-wide', way: 'running', transmits: true },
      ),
      value: 1,
    },
    // 20 px of 0.2036 mm at 0.9 m fill 15.6 minutes of arc, 21 px 16.3.
    'number-small': { speaks: edited(plan, digits(20)), silent: edited(plan, digits(21)), value: 15.56 },
    'panes-too-many': {
      speaks: edited(plan, { type: 'describeDisplay', stationId: 'helm', changes: { panesPerPage: 1 } }),
      silent: edited(plan, { type: 'describeDisplay', stationId: 'helm', changes: { panesPerPage: 2 } }),
      value: 2,
    },
    'view-without-transducer': { speaks: edited(plan, showing('side-scan')), silent: plan, value: 0 },
    'view-quiet': {
      speaks: edited(plan, quiet('a-wide'), quiet('b-narrow')),
      silent: edited(plan, quiet('a-wide')),
      value: 2,
    },
    'key-on-trailer': {
      speaks: edited(plan, key('3-long', { does: 'start transmitting' })),
      silent: edited(
        plan,
        { type: 'useWay', way: 'trailer', used: false },
        key('3-long', { does: 'start transmitting' }),
      ),
      value: 2,
    },
    'key-lost': {
      speaks: edited(plan, { type: 'removePage', id: 'p-troll' }),
      silent: edited(plan, { type: 'describeDisplay', stationId: 'helm', changes: { keys: 1 } }),
      value: 0,
    },
    'key-place': { speaks: edited(placed, second(1)), silent: edited(placed, second(2)), value: 1 },
    'key-twice': {
      speaks: edited(
        plan,
        key('2-short', { does: 'mark', mark: 'seen' }),
        key('4-long', { does: 'mark', mark: 'seen' }),
      ),
      silent: edited(
        plan,
        key('2-short', { does: 'mark', mark: 'seen' }),
        key('4-long', { does: 'mark', mark: 'hazard' }),
      ),
      value: 2,
    },
    'key-slip': {
      speaks: edited(plan, key('2-short', { does: 'hold position' })),
      silent: edited(plan, key('2-long', { does: 'hold position' })),
      value: 1,
    },
    'page-without-key': {
      speaks: edited(plan, key('1-short', { does: 'stop transmitting' })),
      silent: edited(
        plan,
        key('1-short', { does: 'stop transmitting' }),
        key('4-long', { does: 'page', pageId: 'p-troll', place: null }),
      ),
      value: 1,
    },
    'card-stale': {
      speaks: edited(plan, {
        type: 'printCard',
        id: 'k',
        card: { at: '2026-05-01T10:00:00Z', fingerprint: 'a'.repeat(64) },
      }),
      silent: plan,
      value: 1,
    },
  };
})();
