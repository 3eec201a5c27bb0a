import type { Edit, Equipment, Plan } from '@grey-keel/model';
import { agroundOf, groundingDepthM } from '../calibration/aground.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { aPlan, aTransducer, edited, withEntered } from '../testing/sample-plan.ts';
import { offsetKeyedIn } from '../calibration/keyed-in.ts';
import { enteredResult } from './held-by.ts';
import { usualPropellers } from '../fit/places.ts';
import { deepestLoading, lowestPoint } from './lowest-point.ts';

const piece = (id: string, changes: Partial<Equipment>): Edit => ({
  type: 'placeEquipment',
  id: id.toLowerCase(),
  equipment: {
    name: id,
    kind: 'propeller',
    forwardM: 0,
    starboardM: 0,
    aboveKeelM: 0.2,
    propellerDiameterM: null,
    skegBelowBladesM: 0,
    ...changes,
  },
});
/** Blades of 0.36 m about a shaft 0.25 m under the keel: their tips are 0.25 + 0.18 = 0.43 m below it. */
const blades = piece('Blades', { aboveKeelM: -0.25, propellerDiameterM: 0.36 });
const ways = (plan: Plan, ...used: (keyof Plan['ways'])[]): Plan => ({
  ...plan,
  ways: Object.fromEntries(used.map((way) => [way, true])),
});

describe('the lowest point of a boat', () => {
  it('is the keel while nothing reaches below it', () => {
    expect(lowestPoint(edited(aPlan(), piece('High', { propellerDiameterM: 0.3 })))).toEqual(
      jasmine.objectContaining({ id: null, belowKeelM: 0 }),
    );
  });

  it('is whatever hangs lowest: blades, a face, a motor, a pole', () => {
    const plan = edited(aPlan(), blades);
    expect(lowestPoint(plan).name).toBe('Blades');
    expect(lowestPoint(plan).belowKeelM).toBeCloseTo(0.43, 9);
    expectWorkingHolds(lowestPoint(plan).working, 'blades');
    const deeper = edited(plan, {
      type: 'placeTransducer',
      id: 'z-pole',
      transducer: aTransducer({ name: 'On a pole', mounting: 'pole', aboveKeelM: -0.6 }),
    });
    expect(lowestPoint(deeper).id).toBe('z-pole');
  });

  it('is the skeg of a leg, which ends below its blades: as measured, else as usual', () => {
    // D + 0.09 under the plate for an outboard whose plate is level with the keel: 0.43 m for blades of 0.34 m.
    for (const [propulsion, reachesM] of [
      ['single outboard', 0.43],
      ['twin outboards', 0.45],
      ['sterndrive', 0.47],
      ['electric', 0.37],
    ] as const) {
      const bare = edited(aPlan(), { type: 'describeBoat', changes: { propulsion } });
      const [usual] = usualPropellers(bare);
      const plan = edited(
        bare,
        piece('Leg', { ...usual!.place, propellerDiameterM: usual!.diameterM, skegBelowBladesM: null }),
      );
      const lowest = lowestPoint(plan);
      expect(lowest.belowKeelM).withContext(propulsion).toBeCloseTo(reachesM, 9);
      expect([lowest.name, lowest.assumed]).toEqual(['Leg’s assumed skeg', true]);
      expectWorkingHolds(lowest.working, propulsion);
      const measured = edited(plan, { type: 'describeEquipment', id: 'leg', changes: { skegBelowBladesM: 0.11 } });
      expect(lowestPoint(measured).belowKeelM).toBeCloseTo(reachesM + 0.06, 9);
      expect([lowestPoint(measured).name, lowestPoint(measured).assumed]).toEqual(['Leg’s skeg', false]);
      const shaft = edited(plan, { type: 'describeBoat', changes: { propulsion: 'inboard shaft' } });
      expect(lowestPoint(shaft).belowKeelM)
        .withContext('a shaft')
        .toBeCloseTo(reachesM - 0.05, 9);
    }
  });

  it('counts a bow motor and what hangs on it only where they are lowered', () => {
    const motor = piece('Motor', { kind: 'bow motor', aboveKeelM: -0.5, propellerDiameterM: 0.3 });
    const plan = edited(aPlan(), blades, motor);
    expect(lowestPoint(ways(plan, 'running', 'trailer')).name).toBe('Blades');
    expect(lowestPoint(ways(plan, 'running', 'trolling'))).toEqual(
      jasmine.objectContaining({ name: 'Motor', ways: ['trolling'] }),
    );
    const tilted = edited(plan, { type: 'describeEquipment', id: 'motor', changes: { loweredIn: { anchored: true } } });
    expect(lowestPoint(ways(tilted, 'running', 'trolling')).name).toBe('Blades');
    const lifted = edited(tilted, { type: 'describeEquipment', id: 'blades', changes: { loweredIn: {} } });
    expect(lowestPoint(ways(lifted, 'running', 'trolling')).name).toBe('the keel');
  });

  it('strikes in draught and what hangs below it, loaded deeper by as much more', () => {
    const plan = withEntered(edited(aPlan(), blades), 'a-wide');
    expect(groundingDepthM(plan)).toBeCloseTo(0.93, 9);
    expect(agroundOf(plan, 'a-wide')?.shownM).toBeCloseTo(0.93, 9);
    const full = edited(
      plan,
      { type: 'putLoading', id: 'a', loading: { name: 'full', draughtM: 0.7 } },
      { type: 'putLoading', id: 'b', loading: { name: 'empty', draughtM: 0.4 } },
    );
    expect(deepestLoading(full)).toEqual({ name: 'full', draughtM: 0.7 });
    const aground = agroundOf(full, 'a-wide');
    expect(aground?.waterM).toBeCloseTo(1.13, 9);
    // A face 0.4 m down sinks to 0.6 m: over 1.13 m it has 0.53 m below it, and 0.4 is added to that.
    expect(aground?.shownM).toBeCloseTo(1.13 - 0.6 + 0.4, 9);
    expectWorkingHolds(aground?.working ?? [], 'aground');
    // Entered a hand less than measured, to the display's step: it shows that much less water, aground too.
    const entered = enteredResult(full, 'depth', 'a-wide')!.values[0]!;
    const rounded = edited(
      full,
      offsetKeyedIn(full, 'a-wide', entered - 0.07, { at: '2026-05-02T10:00:00Z', by: null, reason: null })!,
    );
    expect(agroundOf(rounded, 'a-wide')?.shownM).toBeCloseTo((aground?.shownM ?? 0) - 0.07, 9);
    expectWorkingHolds(agroundOf(rounded, 'a-wide')?.working ?? [], 'aground, as entered');
    expect(deepestLoading(edited(full, { type: 'putLoading', id: 'a', loading: null }))?.name).toBe('as calibrated');
    expect(deepestLoading({ ...aPlan(), boat: { ...aPlan().boat, draughtM: null } })).toBeNull();
  });
});
