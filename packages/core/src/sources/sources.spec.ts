import type { Plan } from '@grey-keel/model';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { aPlan, aTransducer, edited, fitted, withEntered } from '../testing/sample-plan.ts';
import { shallowLimits, voltageLimits } from './alarm-limits.ts';
import { feedChoices, poorRank } from './feeds.ts';
import { isFactoryName, suggestSourceName } from './source-names.ts';
import { changesWith, whatTravels } from './what-travels.ts';

describe('the names of sources', () => {
  it('say where, which channel and what kind, and are told apart where the rule gives one twice', () => {
    const plan: Plan = {
      ...aPlan(),
      transducers: { a: aTransducer(), b: aTransducer(), c: aTransducer({ mounting: 'transom', starboardM: 0.9 }) },
    };
    expect(suggestSourceName(plan, 'a')).toBe('Hull port 190 sounder');
    expect(suggestSourceName(plan, 'c')).toBe('Stern starboard 190 sounder');
    const named = edited(plan, { type: 'describeSource', id: 'a', changes: { name: 'hull PORT 190 sounder' } });
    expect(suggestSourceName(named, 'b')).toBe('Hull port 190 sounder 2');
    expect(suggestSourceName(named, 'a')).toBe('Hull port 190 sounder');
  });

  it('of the box are known for what they are', () => {
    for (const name of ['Sonar', 'sounder 1', 'TRANSDUCER_02', '3', ' device-7 ', 'Sonar #4'])
      expect(isFactoryName(name)).withContext(name).toBeTrue();
    for (const name of ['Hull 190', 'Sonar port', 'Bow motor 880'])
      expect(isFactoryName(name)).withContext(name).toBeFalse();
  });
});

describe('what can feed a number', () => {
  const boat = (mounting: 'through-hull' | 'shoot-through-hull', temperature: 'built in' | 'on a lead'): Plan =>
    edited(
      { ...aPlan(), transducers: { one: aTransducer({ mounting }) } },
      { type: 'describeSource', id: 'one', changes: { temperature } },
    );

  it('takes no temperature from inside the hull, but from a lead through it', () => {
    const rank = (plan: Plan): number => feedChoices(plan, 'water temperature')[0]?.rank ?? Number.NaN;
    expect(rank(boat('shoot-through-hull', 'built in'))).toBeGreaterThanOrEqual(poorRank);
    expect(rank(boat('shoot-through-hull', 'on a lead'))).toBeLessThan(poorRank);
    expect(rank(boat('through-hull', 'built in'))).toBeLessThan(poorRank);
    expect(feedChoices({ ...aPlan(), sources: {} }, 'water temperature')).toEqual([]);
  });

  it('prefers for depth what looks straight down from the hull, and puts what looks elsewhere last', () => {
    const plan: Plan = {
      ...aPlan(),
      transducers: {
        a: aTransducer({ kind: 'forward-facing', mounting: 'pole' }),
        b: aTransducer({ kind: 'side-scan', mounting: 'transom' }),
        c: aTransducer({ mounting: 'transom' }),
        d: aTransducer(),
      },
    };
    expect(feedChoices(plan, 'depth').map(({ id }) => id)).toEqual(['d', 'c', 'b', 'a']);
  });
});

describe('the limits of an alarm', () => {
  const fed = (reference: 'waterline' | 'keel'): Plan =>
    edited(
      withEntered(
        edited(aPlan(), { type: 'describeDepthOffset', transducerId: 'a-wide', changes: { reference } }),
        'a-wide',
      ),
      { type: 'feed', stationId: 'helm', quantity: 'depth', feed: { sourceId: 'a-wide', fallbackId: null } },
    );

  it('for shallow water go by what that display shows: from the surface, or below the keel', () => {
    // Half a metre of draught, a tolerance of a tenth, half a metre to act in; the pool is 4 m where it is shallowest.
    for (const [reference, least, most] of [
      ['waterline', 1.1, 4],
      ['keel', 0.6, 3.5],
    ] as const) {
      const limits = shallowLimits(fed(reference), 'helm');
      expect(limits?.least).withContext(reference).toBeCloseTo(least, 9);
      expect(limits?.most).withContext(reference).toBeCloseTo(most, 9);
      expectWorkingHolds(limits?.working ?? [], 'shallow');
    }
  });

  it('for shallow water are not known while the offset is not, or the display listens to nothing', () => {
    const plan = fed('waterline');
    const moved = edited(plan, { type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.3 } });
    expect(shallowLimits(moved, 'helm')).toBeNull();
    expect(
      shallowLimits(edited(plan, { type: 'feed', stationId: 'helm', quantity: 'depth', feed: null }), 'helm'),
    ).toBe(null);
  });

  it('for voltage are not known while it is not said which load the screen is', () => {
    const plan = fitted(aPlan());
    const limits = voltageLimits(plan, 'helm');
    // Four fifths taken of four cells of iron phosphate: 12.9 V at rest; nothing is on through a day that was not given.
    expect(limits?.least).toBeCloseTo(12.9, 9);
    expectWorkingHolds(limits?.working ?? [], 'voltage');
    const load = plan.power.circuits['helm']!.loads['screen']!;
    const unsaid = edited(plan, {
      type: 'putLoad',
      circuitId: 'helm',
      id: 'screen',
      load: { ...load, deviceId: null },
    });
    expect(voltageLimits(unsaid, 'helm')).toBeNull();
  });
});

describe('what travels', () => {
  const [display] = Object.values(aPlan().displays);
  const plan: Plan = {
    ...aPlan(),
    displays: {
      a: { ...display!, travels: ['units', 'alarms'] },
      b: { ...display!, travels: ['units'] },
      c: display!,
    },
  };

  it('goes between displays that both pass it on, and from no other', () => {
    expect(changesWith(plan, 'units', 'b')).toEqual(['a', 'b']);
    expect(changesWith(plan, 'alarms', 'a')).toEqual(['a']);
    expect(changesWith(plan, 'units', 'c')).toEqual(['c']);
    expect(whatTravels(plan).find(({ setting }) => setting === 'alarms')).toEqual({
      setting: 'alarms',
      shared: [],
      own: ['a', 'b'],
      unknown: ['c'],
    });
  });
});
