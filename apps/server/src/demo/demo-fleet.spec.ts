import { readFileSync } from 'node:fs';
import {
  applyEdits,
  calibrationRows,
  checkSheet,
  interferenceIn,
  interferesDb,
  findings,
  otherBeamCost,
  quietPlan,
  stageStates,
  standbyCost,
  waterline,
} from '@grey-keel/core';
import type { Edit, Plan, Way } from '@grey-keel/model';
import { shippedCatalogue } from '../catalogue/shipped.ts';
import { demoFleet, oldMarlCommissionedAt } from './demo-fleet.ts';

/** As version 12 of the plan worked them out. */
const entered = JSON.parse(readFileSync(new URL('./calibration-fingerprints.json', import.meta.url), 'utf8')) as Record<
  string,
  string
>;
const boats = demoFleet(new Date('2026-06-01T08:00:00Z'));
const planOf = (id: string, upTo = Number.POSITIVE_INFINITY): Plan => {
  const boat = boats.find((one) => one.id === id);
  if (!boat) throw new Error(id);
  return boat.revisions.slice(0, upTo).reduce((plan, { edits }) => {
    const applied = applyEdits(plan, edits);
    if (!applied.ok) throw new Error(JSON.stringify(applied.errors));
    return applied.plan;
  }, boat.start);
};
const rulesOf = (plan: Plan): string[] => [...new Set(findings(plan).map(({ id }) => id.split(':')[0] ?? ''))];

describe('the demo fleet', () => {
  it('has the planted faults of Sable Wren found, the wrong sign as a stop', () => {
    const found = findings(planOf('sable-wren'));
    expect(found.filter(({ severity }) => severity === 'stop').map(({ id }) => id)).toEqual([
      'offset-wrong-sign:b-narrow',
    ]);
    expect(rulesOf(planOf('sable-wren'))).toEqual(
      jasmine.arrayWithExactContents([
        'same-band',
        'source-twice',
        'feed-poor',
        'offset-wrong-sign',
        'offset-stale',
        'offset-missing',
        'offset-flagged',
        'offset-uncertain',
        'calibration-missing',
        'number-small',
        'key-place',
      ]),
    );
  });

  it('has each planted fault cleared by following its fix, and no other put in its place', () => {
    let plan = planOf('sable-wren');
    const planted = ['same-band', 'source-twice', 'feed-poor', 'offset-wrong-sign', 'number-small', 'key-place'];
    const before = new Set(findings(plan).map(({ id }) => id));
    for (const rule of planted) {
      const found = findings(plan).filter(({ id }) => id.split(':')[0] === rule);
      expect(found.length).withContext(rule).toBe(1);
      const edits = found[0]?.fix.edits;
      if (!edits) continue;
      const applied = applyEdits(plan, edits);
      if (!applied.ok) throw new Error(JSON.stringify(applied.errors));
      plan = applied.plan;
      expect(findings(plan).map(({ id }) => id))
        .withContext(rule)
        .not.toContain(found[0]?.id ?? '');
    }
    expect(rulesOf(plan)).not.toContain('same-band');
    for (const { id } of findings(plan)) expect(before).withContext(id).toContain(id);
  });

  it('is quieted by the least change there is, by brute force over beams and standby', () => {
    for (const { id } of boats) {
      const plan = planOf(id);
      const units = Object.entries(plan.transducers).sort(([a], [b]) => (a < b ? -1 : 1));
      const ways = (Object.keys(plan.ways) as Way[]).filter((way) => way !== 'trailer');
      const after = (edits: readonly Edit[]): Plan => {
        const applied = edits.length ? applyEdits(plan, edits) : { ok: true as const, plan };
        if (!applied.ok) throw new Error(JSON.stringify(applied.errors));
        return applied.plan;
      };
      const beams = units.reduce<Edit[][]>(
        (made, [unit, { beams: own, workingBeam }]) =>
          made.flatMap((chosen) =>
            own.map((_, beam): Edit[] =>
              beam === workingBeam
                ? chosen
                : [...chosen, { type: 'describeTransducer', id: unit, changes: { workingBeam: beam } }],
            ),
          ),
        [[]],
      );
      const least = Math.min(
        ...beams.map((chosen) => {
          const standby = ways.map((way) => {
            const on = units.filter(([, { transmitsIn }]) => transmitsIn[way]).map(([unit]) => unit);
            const sets = Array.from({ length: 2 ** on.length }, (_, set) => on.filter((_unit, i) => set & (1 << i)));
            return Math.min(
              ...sets
                .filter((off) => {
                  const quiet = after([
                    ...chosen,
                    ...off.map((unit): Edit => ({ type: 'transmitIn', id: unit, way, transmits: false })),
                  ]);
                  return interferenceIn(quiet, way).every(({ overNoiseDb }) => overNoiseDb <= interferesDb);
                })
                .map((off) => off.reduce((sum, unit) => sum + standbyCost(plan, unit, way), 0)),
            );
          });
          return otherBeamCost * chosen.length + standby.reduce((sum, cost) => sum + cost, 0);
        }),
      );
      expect(quietPlan(plan)?.cost ?? 0)
        .withContext(id)
        .toBe(least);
    }
  });

  it('has Pewter Skua with its brief and no transducer', () => {
    expect(rulesOf(planOf('pewter-skua'))).toEqual(['no-transducer', 'propeller-unknown', 'page-missing']);
    const plan = planOf('pewter-skua');
    expect(waterline(stageStates(plan, findings(plan)))?.stage).toBe('beams');
  });

  it('has Old Marl without a finding when commissioned, and stale since its transducer was replaced', () => {
    const then = planOf('old-marl', oldMarlCommissionedAt);
    expect(findings(then)).toEqual([]);
    expect(stageStates(then, []).every(({ state }) => state === 'fresh')).toBeTrue();
    const now = planOf('old-marl');
    expect(rulesOf(now)).toEqual(['offset-stale', 'calibration-stale', 'card-stale']);
  });
});

describe('the shipped catalogue', () => {
  it('has faces and cones that agree within a twentieth', () => {
    let checked = 0;
    for (const { id, item } of shippedCatalogue) {
      if (item.type !== 'transducer') continue;
      for (const beam of item.element.beams) {
        const check = checkSheet(item.element, beam, 1500);
        if (!check) continue;
        checked += 1;
        expect(check.departureAsQuoted).withContext(`${id} ${beam.frequencyHz}`).toBeLessThan(0.05);
        expect(check.likelyLevelDb).withContext(id).toBe(beam.levelDb);
      }
    }
    expect(checked).toBeGreaterThan(18);
  });

  it('names each entry once', () => {
    expect(new Set(shippedCatalogue.map(({ id }) => id)).size).toBe(shippedCatalogue.length);
  });

  it('has the fingerprints it had when they were entered: nothing goes stale by how a calibration is defined', () => {
    const now = boats.flatMap(({ id }) => {
      const plan = planOf(id);
      return Object.values(calibrationRows).flatMap(({ kind, result }) =>
        result.keys(plan).map((key) => {
          const slice = result.slice(plan, key);
          return [`${id} ${kind} ${key}`, slice ? result.fingerprint(slice as never) : ''] as const;
        }),
      );
    });
    expect(Object.fromEntries(now)).toEqual(entered);
  });
});
