import type { Plan } from '@grey-keel/model';
import { expectPlaceOfPlan } from '../testing/place-of-plan.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { ruleFaults } from '../testing/every-fault.ts';
import { edited, seeded } from '../testing/sample-plan.ts';
import { findingsOf } from '../findings/rule.ts';
import { soundBoat } from '../testing/sound-boat.ts';
import { rules as everyRule } from './findings.ts';
import { runCount } from '../testing/run-count.ts';

const faulty = new Set(Object.keys(ruleFaults).map((name) => name.split(':')[0]));
const rules = everyRule.filter(({ id }) => faulty.has(id));
/** A fault is named by the rule that has to speak, and what is put in where there are several. */
const speaking = (plan: Plan) => rules.flatMap((rule) => findingsOf(rule, plan));

describe('faults of fit, wires, sources and depth put into boats at random', () => {
  const random = seeded(20261126);
  const boats = Array.from({ length: runCount(200, 60) }, () => soundBoat(random));

  it('start from boats with nothing to say about them', () => {
    for (const plan of boats) expect(speaking(plan).map(({ id }) => id)).toEqual([]);
  });

  for (const [name, fault] of Object.entries(ruleFaults))
    it(`${name}: each is found, once, with its number, and its near miss is not`, () => {
      const rule = name.split(':')[0] ?? name;
      const says = (plan: Plan) => rules.filter(({ id }) => id === rule).flatMap((one) => findingsOf(one, plan));
      for (const [i, plan] of boats.entries()) {
        const { faulty, nearly } = fault(plan, random);
        const bad = edited(plan, ...faulty);
        const found = says(bad);
        expect(found.length).withContext(`boat ${i}`).toBe(1);
        expect(says(edited(plan, ...nearly)).map(({ id }) => id))
          .withContext(`boat ${i}, nearly`)
          .toEqual([]);
        const [finding] = found;
        if (!finding || i > 20) continue;
        expectPlaceOfPlan(finding);
        expect(Number.isFinite(finding.figure.value)).toBeTrue();
        if (finding.working.some(({ expression }) => expression !== null)) expectWorkingHolds(finding.working, rule);
        if (finding.fix.edits)
          expect(says(edited(bad, ...finding.fix.edits)).map(({ id }) => id)).not.toContain(finding.id);
      }
    });
});
