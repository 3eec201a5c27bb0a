import { applyEdits, checkSheet, findings, stageStates, waterline } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import { shippedCatalogue } from '../catalogue/shipped.ts';
import { demoFleet, oldMarlCommissionedAt } from './demo-fleet.ts';

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
        'number-small',
        'key-place',
      ]),
    );
  });

  it('has Pewter Skua with her brief and no transducer', () => {
    expect(rulesOf(planOf('pewter-skua'))).toEqual(['no-transducer', 'page-missing']);
    const plan = planOf('pewter-skua');
    expect(waterline(stageStates(plan, findings(plan)))?.stage).toBe('beams');
  });

  it('has Old Marl without a finding when commissioned, and stale since her transducer was replaced', () => {
    const then = planOf('old-marl', oldMarlCommissionedAt);
    expect(findings(then)).toEqual([]);
    expect(stageStates(then, []).every(({ state }) => state === 'fresh')).toBeTrue();
    const now = planOf('old-marl');
    expect(rulesOf(now)).toEqual(['offset-stale', 'card-stale']);
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
});
