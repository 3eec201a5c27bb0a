import type { Plan } from '@grey-keel/model';
import { expectPlaceOfPlan } from '../testing/place-of-plan.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { depthFaults } from '../testing/depth-faults.ts';
import { placeFaults } from '../testing/place-faults.ts';
import { fitFaults } from '../testing/fit-faults.ts';
import { edited, seeded } from '../testing/sample-plan.ts';
import { findingsOf } from '../findings/rule.ts';
import {
  offsetAboveWater,
  offsetScale,
  offsetUnsafe,
  offsetWrongSign,
} from '../stages/calibrate/rules/offset-errors.ts';
import { offsetFew, offsetGeometry } from '../stages/calibrate/rules/offset-readings.ts';
import { offsetMissing } from '../stages/calibrate/rules/offset-standing.ts';
import { fitRules } from '../stages/fit/rules/fit.ts';
import { networkRules } from '../stages/fit/rules/network.ts';
import { orderOfValues } from '../stages/brief/rules/order-of-values.ts';
import { placeRules } from '../stages/fit/rules/places.ts';
import { transmitsForNothing } from '../stages/beams/rules/transmits-for-nothing.ts';
import { powerRules } from '../stages/fit/rules/power.ts';
import { sameBand } from '../stages/beams/rules/same-band.ts';
import { sourceRules } from '../stages/sources/rules/sources.ts';
import { soundBoat } from '../testing/sound-boat.ts';

const depthRules = [
  offsetWrongSign,
  offsetUnsafe,
  offsetAboveWater,
  offsetScale,
  offsetFew,
  offsetMissing,
  offsetGeometry,
  orderOfValues,
];
const rules = [
  ...fitRules,
  ...powerRules,
  ...networkRules,
  ...sourceRules,
  ...depthRules,
  ...placeRules,
  sameBand,
  transmitsForNothing,
];
/** A fault is named by the rule that has to speak, and what is put in where there are several. */
const faults = { ...fitFaults, ...depthFaults, ...placeFaults };
const speaking = (plan: Plan) => rules.flatMap((rule) => findingsOf(rule, plan));

describe('faults of fit, wires, sources and depth put into 200 boats at random', () => {
  const random = seeded(20261126);
  const boats = Array.from({ length: 200 }, () => soundBoat(random));

  it('start from boats with nothing to say about them', () => {
    for (const plan of boats) expect(speaking(plan).map(({ id }) => id)).toEqual([]);
  });

  it('cover every rule of the two stages and of depth', () => {
    const covered = new Set(Object.keys(faults).map((name) => name.split(':')[0]));
    expect([...covered].sort()).toEqual(rules.map(({ id }) => id).sort());
  });

  for (const [name, fault] of Object.entries(faults))
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
        if (finding.wayOut.edits)
          expect(says(edited(bad, ...finding.wayOut.edits)).map(({ id }) => id)).not.toContain(finding.id);
      }
    });
});
