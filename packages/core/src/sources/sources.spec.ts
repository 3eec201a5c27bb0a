import type { Plan } from '@grey-keel/model';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { aPlan, aTransducer, edited, fitted, withEntered } from '../testing/sample-plan.ts';
import { enters } from '../testing/set-at.ts';
import { findingsOf } from '../findings/rule.ts';
import { shallowLimits, voltageLimits } from '../alarms/alarm-limits.ts';
import { asShown, depthDisplayOf, upToStepM } from './depth-display.ts';
import { feedChoices, poorRank } from './feeds.ts';
import { isFactoryName, suggestSourceName } from './source-names.ts';
import { timeToAct } from '../alarms/time-to-act.ts';
import { changesWith, whatTravels } from './what-travels.ts';
import { displayDepthError } from './display-depth-error.ts';
import { waterType } from '../stages/sources/rules/display-settings.ts';

describe('the names of sources', () => {
  it('say where, what it works at, its kind and its socket, and are told apart where the rule gives one twice', () => {
    const plan: Plan = {
      ...aPlan(),
      transducers: { a: aTransducer(), b: aTransducer(), c: aTransducer({ mounting: 'transom', starboardM: 0.9 }) },
    };
    expect(suggestSourceName(plan, 'a')).toBe('Hull port 190 sounder');
    expect(suggestSourceName(plan, 'c')).toBe('Stern starboard 190 sounder');
    const link = { to: 'helm', plug: 'round S', adapterDisables: null, cableM: 6 };
    const plugged = edited(plan, { type: 'connect', transducerId: 'c', link });
    expect(suggestSourceName(plugged, 'c')).toBe('Stern starboard 190 sounder on round S');
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

describe('the time to act on a shallow alarm', () => {
  const plan = edited(
    withEntered(aPlan(), 'a-wide'),
    { type: 'useWay', way: 'running', used: true },
    { type: 'describeBoat', changes: { cruiseSpeedMps: 12 } },
    { type: 'setScene', changes: { slopeDeg: -10 } },
    { type: 'feed', stationId: 'helm', quantity: 'depth', feed: { sourceId: 'a-wide', fallbackId: null } },
  );
  const running = (changed: Plan) => timeToAct(changed, 'helm').find(({ way }) => way === 'running');

  it('costs the distance run in it over the slope of the brief, and leaves the limit as it is', () => {
    const it = running(plan);
    // 12 m/s for 10 s are 120 m; over ten degrees 120 tan 10.
    expect(it?.costM).toBeCloseTo(120 * Math.tan((10 * Math.PI) / 180), 9);
    // Half a metre of draught and a tenth of tolerance beneath it.
    expect(it?.neededM).toBeCloseTo(0.6 + (it?.costM ?? 0), 9);
    expectWorkingHolds(it?.working ?? [], 'time');
    expect(shallowLimits(plan, 'helm')?.least).toBeCloseTo(1.1, 9);
    const twice = edited(plan, { type: 'setTimeToAct', stationId: 'helm', actInS: 20 });
    expect(running(twice)?.costM).toBeCloseTo(2 * (it?.costM ?? 0), 9);
  });

  it('is not to be had where that is more than the water there is', () => {
    expect(running(plan)?.gives).toBeTrue();
    expect(running(edited(plan, { type: 'workAtDepth', depthM: 21 }))?.gives).toBeFalse();
    expect(timeToAct(plan, 'helm').find(({ way }) => way === 'trolling')?.said).toBeFalse();
    expect(timeToAct(edited(plan, { type: 'feed', stationId: 'helm', quantity: 'depth', feed: null }), 'helm')).toEqual(
      [],
    );
  });
});

describe('a display that shows feet', () => {
  const feet = edited(fitted(aPlan()), enters('helm', 'depth-display', { unit: 'ft', step: 0.1 }));
  const display = depthDisplayOf(feet, 'helm');

  it('is set to its own next step at or over a limit, and writes it so', () => {
    expect(asShown(upToStepM(1.1, display), display).replace('\u00a0', ' ')).toBe('3.7 ft');
    expect(upToStepM(3.6 * 0.3048, display)).toBeCloseTo(3.6 * 0.3048, 9);
    expect(asShown(1.1, display).replace('\u00a0', ' ')).toBe('3.61 ft');
    const whole = { ...display, step: 1 };
    expect(asShown(upToStepM(1.1, whole), whole).replace('\u00a0', ' ')).toBe('4 ft');
  });
});

describe('what a display takes for sound', () => {
  it('reads 30 m of fresh water at 9 degrees as 31.2 m with a figure of 1500', () => {
    const own = edited(
      fitted(aPlan()),
      { type: 'workAtDepth', depthM: 30 },
      enters('helm', 'sound', { soundSpeedMps: 1500 }),
    );
    // 30 x 1500 / 1443.6
    expect(30 + (displayDepthError(own, 'helm', 30)?.step.value ?? 0)).toBeCloseTo(31.17, 1);
  });

  it('is advised by the least error, not by the name of the water: fresh at 2 ppt, brackish at 8', () => {
    const fix = (salinityPpt: number): string => {
      const plan = edited(
        fitted(aPlan()),
        { type: 'describeWater', id: 'pool', changes: { kind: 'brackish', salinityPpt } },
        enters('helm', 'sound', { waterType: 'salt' }),
      );
      return findingsOf(waterType, plan)[0]?.fix.label ?? '';
    };
    expect(fix(2)).toBe('Set it to fresh');
    expect(fix(8)).toBe('Set it to brackish');
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
