import { boatTemplates, emptyPlan, planSchema, type Plan } from '@grey-keel/model';
import { findings } from '../job/findings.ts';
import { assumedPlaces } from '../plan/assumed.ts';
import { missingFacts } from '../stages/brief/rules/brief-missing.ts';
import { edited } from '../testing/sample-plan.ts';
import { ruleCases } from '../testing/every-fault.ts';
import { usualBoats } from './boat-templates.ts';
import { newPlan } from './new-plan.ts';

const started = (template: (typeof boatTemplates)[number]): Plan => newPlan({ name: 'Grebe', template });
const stops = (plan: Plan): string[] =>
  findings(plan)
    .filter(({ severity }) => severity === 'stop')
    .map(({ id }) => id);

describe('a boat started from its kind', () => {
  it('is a plan the schema takes, says of everything but its kind that it is assumed, and never tells a draught', () => {
    for (const template of boatTemplates) {
      const plan = started(template);
      expect(() => planSchema.parse(plan))
        .withContext(template)
        .not.toThrow();
      expect(plan.boat.draughtM).withContext(template).toBeNull();
      expect({ ...plan.equipment, ...plan.transducers, ...plan.depthOffsets }).toEqual({});
      const { lengthM, beamM, cruiseSpeedMps, topSpeedMps } = plan.boat;
      for (const field of ['lengthM', 'beamM', 'cruiseSpeedMps', 'topSpeedMps', 'systemVoltageV', 'bowMotor'])
        expect(plan.assumed?.[`boat/${field}`]).withContext(field).toBeTrue();
      expect(beamM ?? 99)
        .withContext(template)
        .toBeLessThan((lengthM ?? 0) / 2);
      expect(cruiseSpeedMps ?? 99).toBeLessThan(topSpeedMps ?? 0);
      expect(missingFacts(plan).map(({ name }) => name)).toEqual(['draught', 'a water', 'target species']);
    }
  });

  it('is as empty as ever without one', () => {
    const plan = emptyPlan('Grebe');
    expect(newPlan({ name: 'Grebe', hullForm: 'catamaran' })).toEqual({
      ...plan,
      boat: { ...plan.boat, hullForm: 'catamaran' },
    });
    expect(newPlan({ name: 'Grebe' }).assumed).toBeUndefined();
  });

  it('forgets that a value was assumed once it is given or confirmed, and remembers it by undo', () => {
    const plan = started('open boat, bow motor');
    const longer = edited(plan, { type: 'describeBoat', changes: { lengthM: 6.1 } });
    expect(assumedPlaces(plan).filter((place) => !assumedPlaces(longer).includes(place))).toEqual(['boat/lengthM']);
    const further = edited(longer, { type: 'describeStation', id: 'bow', changes: { viewingDistanceM: 1.5 } });
    expect(assumedPlaces(further)).not.toContain('stations/bow');
    expect(assumedPlaces(further)).toContain('stations/helm');
    expect(assumedPlaces(edited(further, { type: 'useWay', way: 'drifting', used: true }))).not.toContain('ways');
    expect(assumedPlaces(edited(further, { type: 'removeStation', id: 'helm' }))).not.toContain('stations/helm');
    const confirmed = edited(further, { type: 'confirmAssumed', places: assumedPlaces(further) });
    expect(confirmed.assumed).toBeUndefined();
  });

  it('has no stop cleared by what is assumed: knowing a figure a template tells takes away none that was there', () => {
    const fields = Object.keys(usualBoats['open boat, one outboard'].boat).filter(
      (field) => field !== 'hullMaterial' && field !== 'bowMotor',
    );
    for (const [rule, { speaks }] of Object.entries(ruleCases))
      for (const field of fields) {
        const unknown: Plan = { ...speaks, boat: { ...speaks.boat, [field]: null } };
        const bare = stops(unknown);
        for (const { boat } of Object.values(usualBoats)) {
          const usual: Plan = { ...speaks, boat: { ...speaks.boat, [field]: boat[field as 'lengthM'] } };
          const still = stops(usual);
          expect(bare.filter((id) => !still.includes(id)))
            .withContext(`${rule}, ${field}`)
            .toEqual([]);
        }
      }
  });
});
