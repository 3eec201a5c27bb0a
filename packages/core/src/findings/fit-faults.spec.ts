import type { Plan } from '@grey-keel/model';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { fitFaults, soundBoat } from '../testing/fit-faults.ts';
import { edited, seeded } from '../testing/sample-plan.ts';
import { findingsOf } from './rule.ts';
import { fitRules } from './rules/fit.ts';
import { networkRules } from './rules/network.ts';
import { powerRules } from './rules/power.ts';
import { sourceRules } from './rules/sources.ts';

const rules = [...fitRules, ...powerRules, ...networkRules, ...sourceRules];
const speaking = (plan: Plan) => rules.flatMap((rule) => findingsOf(rule, plan));

describe('faults of fit, wires and sources put into 200 boats at random', () => {
  const random = seeded(20261126);
  const boats = Array.from({ length: 200 }, () => soundBoat(random));

  it('start from boats with nothing to say about them', () => {
    for (const plan of boats) expect(speaking(plan).map(({ id }) => id)).toEqual([]);
  });

  it('cover every rule of the two stages', () => {
    expect(Object.keys(fitFaults).sort()).toEqual(rules.map(({ id }) => id).sort());
  });

  for (const [rule, fault] of Object.entries(fitFaults))
    it(`${rule}: each is found, once, with its number, and its near miss is not`, () => {
      for (const [i, plan] of boats.entries()) {
        const { faulty, nearly } = fault(plan, random);
        const bad = edited(plan, ...faulty);
        const found = speaking(bad).filter(({ id }) => id.split(':')[0] === rule);
        expect(found.length).withContext(`boat ${i}`).toBe(1);
        expect(
          speaking(edited(plan, ...nearly))
            .map(({ id }) => id.split(':')[0])
            .filter((id) => id === rule),
        )
          .withContext(`boat ${i}, nearly`)
          .toEqual([]);
        const [finding] = found;
        if (!finding || i > 20) continue;
        expect(Number.isFinite(finding.figure.value)).toBeTrue();
        if (finding.working.some(({ expression }) => expression !== null)) expectWorkingHolds(finding.working, rule);
        if (finding.wayOut.edits)
          expect(speaking(edited(bad, ...finding.wayOut.edits)).map(({ id }) => id)).not.toContain(finding.id);
      }
    });
});
