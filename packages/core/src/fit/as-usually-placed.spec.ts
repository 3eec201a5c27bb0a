import { hullForms, mountings, sonarKinds, type Plan } from '@grey-keel/model';
import { findings } from '../job/findings.ts';
import { aPlan, aTransducer, edited } from '../testing/sample-plan.ts';
import { asUsuallyPlaced } from './as-usually-placed.ts';

describe('a transducer as it usually goes on a boat', () => {
  const speaks = /^(outside-hull|same-place|mounting-place|transmits-for-nothing):/;

  it('breaks no rule of places or of ways, four of a mounting on any hull', () => {
    for (const hullForm of hullForms)
      for (const mounting of mountings) {
        const bare: Plan = { ...aPlan(), transducers: {}, ways: { running: true, trolling: true, searching: true } };
        const hull: Plan = { ...bare, boat: { ...bare.boat, hullForm, bowMotor: true } };
        const plan = ['a', 'b', 'c', 'd'].reduce((before, id, i) => {
          const { mounting: _mounting, transmitsIn: _sends, catalogue: _from, ...rest } = aTransducer();
          const { forwardM: _f, starboardM: _s, aboveKeelM: _k, workingBeam: _b, ...element } = rest;
          const transducer = asUsuallyPlaced(before, { ...element, kind: sonarKinds[i] ?? 'sounder' }, mounting, null);
          return edited(before, { type: 'placeTransducer', id, transducer });
        }, hull);
        expect(findings(plan).flatMap(({ id }) => (speaks.test(id) ? [id] : [])))
          .withContext(`${mounting} on a ${hullForm}`)
          .toEqual([]);
      }
  });
});
