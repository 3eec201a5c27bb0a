import { propulsions, type Edit, type Plan } from '@grey-keel/model';
import { aPlan, aTransducer, edited } from '../testing/sample-plan.ts';
import { hullChanges, outsideM, placedThings, usualPropellers } from './places.ts';

const boat = (plan: Plan, changes: Partial<Plan['boat']>): Plan => ({ ...plan, boat: { ...plan.boat, ...changes } });
/** How far out the one transducer stands that is placed so. */
const outAt = (changes: Parameters<typeof aTransducer>[0], plan = aPlan()): number | null => {
  const made = edited(plan, { type: 'placeTransducer', id: 'one', transducer: aTransducer(changes) });
  const thing = placedThings(made).find(({ id }) => id === 'one');
  return thing ? outsideM(made, thing) : null;
};

describe('where things stand on a boat of 7.4 by 2.5 m', () => {
  it('is inside over the keel from the transom to the bow', () => {
    for (let forwardM = 0; forwardM <= 7.4; forwardM += 0.2) expect(outAt({ forwardM, starboardM: 0 })).toBe(0);
  });

  it('grows by what a thing is moved further out, on either side alike', () => {
    for (const starboardM of [1.6, 2, 3]) {
      const [out, further] = [outAt({ starboardM }) ?? 0, outAt({ starboardM: starboardM + 0.5 }) ?? 0];
      expect(further - out)
        .withContext(`${starboardM} m`)
        .toBeCloseTo(0.5, 9);
      expect(outAt({ starboardM: -starboardM })).toBeCloseTo(out, 12);
    }
  });

  it('lets each mounting stand out where it hangs: astern, ahead, on a pole', () => {
    expect(outAt({ mounting: 'transom', forwardM: -1.5, starboardM: 0 })).toBe(0);
    expect(outAt({ mounting: 'transom', forwardM: 7.7, starboardM: 0 })).toBeCloseTo(0.2, 9);
    expect(outAt({ mounting: 'bow motor', forwardM: 8.5, starboardM: 0 })).toBe(0);
    expect(outAt({ mounting: 'bow motor', forwardM: -1, starboardM: 0 })).toBeCloseTo(0.9, 9);
    expect(outAt({ mounting: 'pole', forwardM: -1, starboardM: 0 })).toBe(0);
    expect(outAt({ mounting: 'through-hull', forwardM: -1, starboardM: 0 })).toBeCloseTo(0.9, 9);
  });

  it('is not judged while length or beam are unknown', () => {
    expect(outAt({ forwardM: 50 }, boat(aPlan(), { lengthM: null }))).toBeNull();
    expect(outAt({ forwardM: 50 }, boat(aPlan(), { beamM: null }))).toBeNull();
  });
});

describe('a hull that has changed under its places', () => {
  const confirmed = edited(aPlan(), { type: 'confirmPlaces' });
  const described = (changes: Extract<Edit, { type: 'describeBoat' }>['changes']): string[] =>
    hullChanges(edited(confirmed, { type: 'describeBoat', changes }));

  it('is named by what of it is another', () => {
    expect(described({})).toEqual([]);
    expect(described({ lengthM: 7 })).toEqual(['its length']);
    expect(described({ beamM: 2, hullForm: 'catamaran' })).toEqual(['its beam', 'its form']);
    expect(described({ draughtM: 0.6 })).toEqual(['its draught']);
    expect(described({ cruiseSpeedMps: 3 })).toEqual([]);
  });

  it('says nothing where nobody chose the places, or a length is not known', () => {
    expect(hullChanges(aPlan())).toEqual([]);
    expect(described({ lengthM: null })).toEqual([]);
  });
});

describe('usual propellers', () => {
  it('stand inside what the rules allow, level with one another, for every engine', () => {
    for (const propulsion of propulsions) {
      const plan = boat(aPlan(), { propulsion });
      for (const { name, place, diameterM } of usualPropellers(plan)) {
        const made = edited(plan, {
          type: 'placeEquipment',
          id: 'p',
          equipment: { name, kind: 'propeller', ...place, propellerDiameterM: diameterM },
        });
        const thing = placedThings(made).find(({ id }) => id === 'p');
        expect(thing && outsideM(made, thing))
          .withContext(propulsion)
          .toBe(0);
      }
      const across = usualPropellers(plan).reduce((sum, { place }) => sum + place.starboardM, 0);
      expect(across).withContext(propulsion).toBeCloseTo(0, 12);
    }
  });

  it('are as many as there are engines that turn one', () => {
    const count = (propulsion: Plan['boat']['propulsion']): number =>
      usualPropellers(boat(aPlan(), { propulsion })).length;
    expect([count('oars'), count('jet'), count('electric'), count('twin outboards')]).toEqual([0, 0, 1, 2]);
  });
});
