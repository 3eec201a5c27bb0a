import { type Edit, emptyPlan, type Finding, type Plan, type Water } from '@grey-keel/model';
import { stageStates, waterline } from './stage-states.ts';
import { aPlan, aWater, edited, fitted, pair, withEntered } from '../testing/sample-plan.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { everyFault, ruleCases, ruleFixtures } from '../testing/every-fault.ts';
import { findings, rules } from './findings.ts';
import type { BuiltStage } from './stages.ts';
import { expectPlaceOfPlan } from '../testing/place-of-plan.ts';

const of = (plan: Plan, rule: string): Finding[] => findings(plan).filter(({ id }) => id.split(':')[0] === rule);
const one = (plan: Plan, rule: string): Finding => {
  const found = of(plan, rule);
  expect(found.length).withContext(rule).toBe(1);
  return found[0]!;
};

describe('findings', () => {
  it('have a case for every rule, among those of its own stage', () => {
    const missing = rules.filter(({ id, stage }) => {
      const { cases, faults } = ruleFixtures[stage as BuiltStage];
      return ![...Object.keys(cases), ...Object.keys(faults)].some((name) => name.split(':')[0] === id);
    });
    expect(missing.map(({ id }) => id)).toEqual([]);
  });

  for (const [rule, { speaks, silent, value }] of Object.entries(ruleCases))
    it(`${rule} speaks where it should, with its number and a fix, and is silent a step away`, () => {
      const finding = one(speaks, rule);
      if (value !== undefined) expect(finding.figure.value).toBeCloseTo(value, 2);
      expect(finding.fix.label).not.toBe('');
      expectPlaceOfPlan(finding);
      expect(finding.reason.length).toBeGreaterThan(0);
      expect(of(silent, rule)).withContext(`${rule} silent`).toEqual([]);
    });

  it('speak of things of the plan by their ids, and of what is marked wrong in a drawing by all of them', () => {
    const keysIn = (value: unknown): string[] =>
      typeof value === 'object' && value !== null
        ? Object.entries(value).flatMap(([key, inner]) => [key, ...keysIn(inner)])
        : [];
    let pairs = 0;
    for (const [name, plan] of everyFault()) {
      const ids = new Set(keysIn(plan));
      for (const { id, of: things } of findings(plan)) {
        for (const thing of things) expect(ids.has(thing)).withContext(`${name}, ${id}: ${thing}`).toBeTrue();
        if (things.length > 1) pairs += 1;
      }
    }
    expect(pairs).toBeGreaterThan(10);
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
      const speaks = ruleCases[rule]?.speaks;
      const finding = speaks && one(speaks, rule);
      expectWorkingHolds(finding?.working ?? [], rule);
      expect(Math.abs(finding?.working.at(-1)?.value ?? 0))
        .withContext(rule)
        .toBeCloseTo(Math.abs(finding?.figure.value ?? Number.NaN), 9);
    }
    const missing = of(aPlan(), 'offset-missing')[0];
    expect(missing?.working.find(({ symbol }) => symbol === 'offset')?.value).toBe(missing?.figure.value);
    const sheet = ruleCases['cone-level']?.speaks;
    expectWorkingHolds((sheet && one(sheet, 'cone-level').working) ?? [], 'cone-level');
  });

  it('are cleared by the edits they offer', () => {
    for (const { speaks } of Object.values(ruleCases))
      for (const finding of findings(speaks)) {
        if (!finding.fix.edits) continue;
        const after = edited(speaks, ...finding.fix.edits);
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
    const tooLittle = ruleCases['offset-wrong-sign']?.speaks;
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
    const speaks = ruleCases['key-on-trailer']!.speaks;
    expect(one(speaks, 'key-on-trailer').severity).toBe('check');
    const there = edited(speaks, { type: 'showPageIn', id: 'p-troll', way: 'trailer', shown: true });
    expect(one(there, 'key-on-trailer').severity).toBe('stop');
  });

  it('never tell a face through the hull to go through the hull', () => {
    const speaks = ruleCases['bottom-on-plane']!.speaks;
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
    // Nothing is missing, so that what goes stale is seen.
    const alone = edited(aPlan(), { type: 'removeTransducer', id: 'b-narrow' });
    const plan = fitted(withEntered(alone, 'a-wide'));
    const movedTo = (water: Water): Plan =>
      edited(plan, { type: 'addWater', id: 'zz', water }, { type: 'workIn', waterId: 'zz' });
    expect(states(plan)['calibrate']).toBe('fresh');
    expect(states(movedTo(aWater({ name: 'Same Again' })))).toEqual(states(plan));
    expect(states(movedTo(aWater({ name: 'Same Again', temperatureC: 4 })))['calibrate']).toBe('stale');
  });
});
