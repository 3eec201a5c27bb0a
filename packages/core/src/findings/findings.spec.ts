import type { Edit, Finding, KeyAction, Plan, View } from '@grey-keel/model';
import { emptyPlan } from '@grey-keel/model';
import { stageStates, waterline } from '../plan/stage-state.ts';
import { aBeam, aPage, aPlan, aTransducer, aWater, edited, fitted, pair, withEntered } from '../testing/sample-plan.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { depthFaults } from '../testing/depth-faults.ts';
import { placeFaults } from '../testing/place-faults.ts';
import { fitFaults } from '../testing/fit-faults.ts';
import { findings, rules } from './findings.ts';

const of = (plan: Plan, rule: string): Finding[] => findings(plan).filter(({ id }) => id.split(':')[0] === rule);
const one = (plan: Plan, rule: string): Finding => {
  const found = of(plan, rule);
  expect(found.length).withContext(rule).toBe(1);
  return found[0]!;
};

/** A plan for each rule that makes it speak, and one a step away that keeps it silent. */
const cases: Record<string, { speaks: Plan; silent: Plan; value?: number }> = (() => {
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

describe('findings', () => {
  it('have a case for every rule', () => {
    const covered = new Set([
      ...Object.keys(cases),
      ...Object.keys({ ...fitFaults, ...depthFaults, ...placeFaults }).map((name) => name.split(':')[0]),
    ]);
    expect(rules.map(({ id }) => id).filter((id) => !covered.has(id))).toEqual([]);
  });

  for (const [rule, { speaks, silent, value }] of Object.entries(cases))
    it(`${rule} speaks where it should, with its number and a way out, and is silent a step away`, () => {
      const finding = one(speaks, rule);
      if (value !== undefined) expect(finding.figure.value).toBeCloseTo(value, 2);
      expect(finding.wayOut.label).not.toBe('');
      expect(finding.wayOut.target).not.toBe('');
      expect(finding.reason.length).toBeGreaterThan(0);
      expect(of(silent, rule)).withContext(`${rule} silent`).toEqual([]);
    });

  it('carry the working of a number that was worked out, ending in that number', () => {
    const workedOut = [
      'face-above-water',
      'number-small',
      'same-band',
      'absorption-heavy',
      'brackish-absorption',
      'narrow-outside-wide',
      'offset-wrong-sign',
      'offset-flagged',
      'offset-uncertain',
      'offset-geometry',
    ];
    for (const rule of workedOut) {
      const speaks = cases[rule]?.speaks;
      const finding = speaks && one(speaks, rule);
      expectWorkingHolds(finding?.working ?? [], rule);
      expect(Math.abs(finding?.working.at(-1)?.value ?? 0))
        .withContext(rule)
        .toBeCloseTo(Math.abs(finding?.figure.value ?? Number.NaN), 9);
    }
    const missing = of(aPlan(), 'offset-missing')[0];
    expect(missing?.working.find(({ symbol }) => symbol === 'offset')?.value).toBe(missing?.figure.value);
    const sheet = cases['cone-level']?.speaks;
    expectWorkingHolds((sheet && one(sheet, 'cone-level').working) ?? [], 'cone-level');
  });

  it('are cleared by the edits they offer', () => {
    for (const { speaks } of Object.values(cases))
      for (const finding of findings(speaks)) {
        if (!finding.wayOut.edits) continue;
        const after = edited(speaks, ...finding.wayOut.edits);
        expect(findings(after).map(({ id }) => id))
          .withContext(finding.id)
          .not.toContain(finding.id);
      }
  });

  it('stand in the order of the stages, the gravest first', () => {
    const plan = edited(
      aPlan(),
      { type: 'transmitIn', id: 'a-wide', way: 'trailer', transmits: true },
      { type: 'describeBoat', changes: { draughtM: null } },
    );
    const list = findings(plan);
    expect(list[0]?.stage).toBe('brief');
    expect(list[1]?.severity).toBe('stop');
  });

  it('tell an unentered offset with its figure, and one never measured', () => {
    const found = of(aPlan(), 'offset-missing');
    expect(found.map(({ figure }) => figure.value)).toEqual([jasmine.any(Number), 0]);
    expect(found[0]?.figure.value).toBeCloseTo(0.3925, 2);
    expect(of(withEntered(aPlan(), 'a-wide'), 'offset-missing').length).toBe(1);
  });

  it('say whether a wrong sign shows too much water or too little', () => {
    const last = (plan: Plan): unknown => one(plan, 'offset-wrong-sign').reason.at(-1);
    const tooLittle = cases['offset-wrong-sign']?.speaks;
    expect(tooLittle && last(tooLittle)).toBe(' too little.');
    // The same readings turned about: the face stands as if above the water, and the display is set deeper.
    const plan = edited(aPlan(), { type: 'describeDepthOffset', transducerId: 'a-wide', changes: { offsetSetM: 0.4 } });
    const above = edited(
      plan,
      ...['r1', 'r2', 'r3', 'r4'].map((readingId): Edit => {
        const lead = plan.depthOffsets['a-wide']?.readings[readingId]?.leadLineM ?? 0;
        return { type: 'correctReading', transducerId: 'a-wide', readingId, changes: { displayedM: lead + 0.8 } };
      }),
    );
    expect(last(above)).toBe(' too much water.');
  });

  it('ask for a wrong sign only where turning it explains the difference', () => {
    const small = edited(aPlan(), {
      type: 'describeDepthOffset',
      transducerId: 'a-wide',
      changes: { toleranceM: 0.5 },
    });
    expect(of(small, 'offset-wrong-sign')).toEqual([]);
  });

  it('stop at a key that transmits only where its display has a page for the trailer', () => {
    const speaks = cases['key-on-trailer']!.speaks;
    expect(one(speaks, 'key-on-trailer').severity).toBe('check');
    const there = edited(speaks, { type: 'showPageIn', id: 'p-troll', way: 'trailer', shown: true });
    expect(one(there, 'key-on-trailer').severity).toBe('stop');
  });

  it('never tell a face through the hull to go through the hull', () => {
    const speaks = cases['bottom-on-plane']!.speaks;
    const last = (plan: Plan): string =>
      one(plan, 'bottom-on-plane')
        .reason.filter((part) => typeof part === 'string')
        .join(' ');
    expect(last(speaks)).toContain('A face through the hull hears less');
    const through = edited(
      speaks,
      { type: 'describeBoat', changes: { topSpeedMps: 30, cruiseSpeedMps: 6 } },
      { type: 'workAtDepth', depthM: 130 },
      ...['a-wide', 'b-narrow'].map((id): Edit => ({
        type: 'describeTransducer',
        id,
        changes: { mounting: 'through-hull' },
      })),
    );
    expect(last(through)).not.toContain('A face through');
    expect(last(through)).toContain('slow down');
  });

  it('judge a face that agrees with its sheet at no level', () => {
    const plan = edited(aPlan(), {
      type: 'describeTransducer',
      id: 'b-narrow',
      changes: {
        apertureM: 0.2,
        beams: [{ frequencyHz: 210_000, bandwidthHz: null, beamwidthDeg: 12, levelDb: -3, alongDeg: null }],
      },
    });
    expect(one(plan, 'cone-level').title).toBe('Cone and face disagree');
    const constant = edited(plan, { type: 'describeTransducer', id: 'b-narrow', changes: { constantBeamwidth: true } });
    expect(of(constant, 'cone-level')).toEqual([]);
  });
});

describe('stage states', () => {
  const states = (plan: Plan): Record<string, string> =>
    Object.fromEntries(stageStates(plan, findings(plan)).map(({ stage, state }) => [stage, state]));

  it('of a boat of which only the name is known are all missing, and the waterline stands at the first', () => {
    const plan = emptyPlan('Bare');
    expect(new Set(Object.values(states(plan)))).toEqual(new Set(['missing']));
    expect(Object.keys(states(plan))).toEqual([
      'brief',
      'beams',
      'fit',
      'sources',
      'calibrate',
      'pages',
      'keys',
      'handover',
    ]);
    expect(waterline(stageStates(plan, findings(plan)))?.number).toBe(1);
  });

  it('let the waterline fall past what is fresh and rise again when a result becomes stale', () => {
    const narrowToo = edited(
      withEntered(aPlan(), 'a-wide'),
      { type: 'describeDepthOffset', transducerId: 'b-narrow', changes: { soundSpeedAssumedMps: 1443.6 } },
      ...[6, 9, 12].map((lead): Edit => ({
        type: 'recordReading',
        transducerId: 'b-narrow',
        readingId: `r${lead}`,
        reading: pair(lead, lead - 0.4),
      })),
    );
    const done = withEntered(narrowToo, 'b-narrow');
    expect(waterline(stageStates(done, findings(done)))?.stage).toBe('fit');
    const whole = fitted(done);
    expect(states(whole)).toEqual({
      brief: 'fresh',
      beams: 'fresh',
      fit: 'fresh',
      sources: 'fresh',
      calibrate: 'fresh',
      pages: 'fresh',
      keys: 'fresh',
      handover: 'missing',
    });
    expect(waterline(stageStates(whole, findings(whole)))?.stage).toBe('handover');
    const colder = edited(whole, { type: 'describeWater', id: 'pool', changes: { temperatureC: 4 } });
    expect(states(colder)['calibrate']).toBe('stale');
    expect(waterline(stageStates(colder, findings(colder)))?.number).toBe(5);
  });

  it('stop a stage with a stop finding', () => {
    const plan = edited(aPlan(), { type: 'transmitIn', id: 'a-wide', way: 'trailer', transmits: true });
    expect(states(plan)['beams']).toBe('stop');
  });

  it('are the same for the same water under another name', () => {
    const plan = withEntered(aPlan(), 'a-wide');
    const renamed = edited(
      plan,
      { type: 'addWater', id: 'zz', water: aWater({ name: 'Same Again' }) },
      { type: 'workIn', waterId: 'zz' },
    );
    expect(states(renamed)).toEqual(states(plan));
  });
});
