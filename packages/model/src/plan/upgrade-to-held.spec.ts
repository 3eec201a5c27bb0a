import { emptyPlan, planSchema } from './plan.ts';
import { upgradePlan } from './upgrade.ts';

const at = '2026-05-01T08:00:00Z';
const print = 'a'.repeat(64);
const seven = { fingerprint: print, inputs: {} };
const display = { displays: { helm: {}, bow: {} } };

/** A plan of version 12 with some of its parts, brought to today; what is not looked at may be anything. */
const upgraded = (parts: object) => {
  const { held: _held, chosen: _chosen, resets: _resets, timeToActS: _timeToActS, ...empty } = emptyPlan('Older');
  return upgradePlan({ ...empty, units: {}, ...parts, version: 12 }) as ReturnType<typeof emptyPlan>;
};
const untimed = { at: null, by: null };
const found = (value: unknown, when: string | null = null) => ({
  asFound: { value, at: when, by: null },
  asLeft: null,
});
const left = (value: unknown) => ({ asFound: null, asLeft: { value, ...untimed, seenAgainAt: null } });
const measured = (of: string, half95: number | null = null, standardError: number | null = null) => ({
  of,
  fingerprint: print,
  parts: {},
  half95,
  standardError,
  inputs: {},
});
const entered = (values: number[], changes: object = {}) => ({
  values,
  halfInterval95: 0.02,
  at,
  by: 'Installer',
  seenAgainAt: null,
  ...seven,
  ...changes,
});

describe('a plan of version 12', () => {
  it('has what each display was set to as found, what was ticked as left, and the wishes as chosen', () => {
    const { held, chosen, timeToActS } = upgraded({
      ...display,
      transducers: { wide: { kind: 'sounder' }, sides: { kind: 'side-scan' } },
      units: {
        helm: {
          waterType: 'salt',
          depthUnit: 'ft',
          depthStep: 0.5,
          antennaOffsetSet: true,
          north: 'true',
          sidesRight: 'swapped',
          done: { 'brightness set': true, 'shallow alarm': true },
          alarms: { shallowM: 1.5, lowVoltageV: null, actInS: 20 },
        },
        bow: { waterType: 'fresh', ownSoundSpeedMps: 1480, north: null, sidesRight: 'not looked at', done: {} },
      },
    });
    expect(held['helm'] as unknown).toEqual({
      sound: { helm: found({ waterType: 'salt' }) },
      'depth-display': { helm: found({ unit: 'ft', step: 0.5 }) },
      north: { helm: found('true') },
      sides: { sides: found('swapped') },
      'antenna-offset': { helm: left(null) },
      'shallow-alarm': { helm: left(1.5) },
      'low-voltage-alarm': { helm: left('off') },
      brightness: { helm: left('set') },
    });
    expect(held['bow'] as unknown).toEqual({ sound: { bow: found({ soundSpeedMps: 1480 }) } });
    expect(chosen as unknown).toEqual({
      boat: { north: 'true' },
      devices: {
        helm: {
          'depth-display': { helm: { unit: 'ft', step: 0.5 } },
          'shallow-alarm': { helm: 1.5 },
          'low-voltage-alarm': { helm: 'off' },
        },
      },
    });
    expect(timeToActS).toEqual({ helm: 20 });
  });

  it('has the north of the most displays for the boat, and none on a tie', () => {
    const of = (...norths: string[]) =>
      upgraded({ units: Object.fromEntries(norths.map((north, i) => [`s${i}`, { north }])) }).chosen.boat.north;
    expect([of('true', 'magnetic', 'magnetic'), of('true', 'magnetic'), of()]).toEqual([
      'magnetic',
      undefined,
      undefined,
    ]);
  });

  it('has an offset in the display that its depth is read on: fed, else its cable’s end, else the only one, else nowhere', () => {
    const offset = { reference: 'keel', offsetSetM: 0.3, readings: {}, entered: null };
    const devices = (parts: object) =>
      Object.keys(upgraded({ ...display, transducers: { wide: {} }, depthOffsets: { wide: offset }, ...parts }).held);
    const feeds = { bow: { depth: { sourceId: 'other', fallbackId: 'wide' } } };
    const network = { ...emptyPlan('').network, links: { wide: { to: 'helm' } } };
    expect(devices({ feeds, network })).toEqual(['bow']);
    expect(devices({ network })).toEqual(['helm']);
    expect(devices({ displays: { bow: {} } })).toEqual(['bow']);
    expect(devices({})).toEqual(['wide']);
  });

  it('has what was entered as left with what it came from, and what was set while reading as found where it is another', () => {
    const one = { offsetM: 0.5, standardErrorM: 0.01, at, by: 'Installer', reason: 'a reason', fingerprint: print };
    const of = (offsetSetM: number, inputs: object) =>
      upgraded({
        displays: { helm: {} },
        transducers: { wide: {} },
        depthOffsets: { wide: { reference: 'keel', offsetSetM, readings: {}, entered: { ...one, inputs } } },
      }).held['helm']?.['depth-offset']?.['wide'];
    const same = of(0.3, { offsetSetM: 0.3, reference: 'waterline' });
    expect(same?.asFound).toBeNull();
    expect(same?.asLeft as unknown).toEqual({
      value: { offsetM: 0.5, reference: 'waterline' },
      at,
      by: 'Installer',
      seenAgainAt: null,
      reason: 'a reason',
      measured: { ...measured('depth', null, 0.01), inputs: { offsetSetM: 0.3, reference: 'waterline' } },
    });
    expect(of(0.1, { offsetSetM: 0.3 })?.asFound as unknown).toEqual({
      value: { offsetM: 0.1, reference: 'keel' },
      at,
      by: null,
    });
  });

  it('has of two entries of one line the later as left, and the other as found', () => {
    const both = (stepAt: string) =>
      upgraded({
        displays: { helm: {} },
        transducers: { wide: {} },
        depthOffsets: {
          wide: {
            reference: 'keel',
            offsetSetM: 0,
            readings: {},
            entered: { offsetM: 0.5, at, ...seven, inputs: { offsetSetM: 0, reference: 'keel' } },
          },
        },
        calibrations: { step: { wide: { readings: {}, entered: entered([0.4], { at: stepAt }) } } },
      }).held['helm']?.['depth-offset']?.['wide'];
    const offsets = (stepAt: string) => {
      const line = both(stepAt);
      return [line?.asLeft?.value?.offsetM, line?.asFound?.value?.offsetM];
    };
    expect(offsets('2026-05-02T08:00:00Z')).toEqual([0.4, 0.5]);
    expect(offsets('2026-04-30T08:00:00Z')).toEqual([0.5, 0.4]);
  });

  it('has every calibration a device takes in its line, and what none takes where it was', () => {
    const { held, calibrations } = upgraded({
      displays: { helm: {} },
      transducers: { wide: { kind: 'side-scan' } },
      calibrations: {
        speed: { log: { setFactor: 1, entered: entered([1.08], { inputs: { setFactor: 1 } }) } },
        heading: { compass: { setDeg: 2, entered: null } },
        'sound speed': { helm: { entered: entered([1473]) } },
        antenna: { helm: { setForwardM: 0, setStarboardM: 0, entered: entered([3, -0.5]) } },
        sides: { wide: { entered: entered([-1]) } },
        tilt: { wide: { entered: entered([2]) } },
      },
    });
    const half = (of: string) => measured(of, 0.02);
    const line = (value: unknown, of: string, inputs = {}) => ({
      asFound: null,
      asLeft: { value, at, by: 'Installer', seenAgainAt: null, measured: { ...half(of), inputs } },
    });
    expect(held as unknown).toEqual({
      log: { speed: { log: line(1.08, 'speed', { setFactor: 1 }) } },
      compass: { heading: { compass: found(2) } },
      helm: {
        sound: { helm: line({ soundSpeedMps: 1473 }, 'sound speed') },
        'antenna-offset': { helm: line({ forwardM: 3, starboardM: -0.5 }, 'antenna') },
        sides: {
          wide: { asFound: null, asLeft: { ...line('swapped', 'sides').asLeft, measured: measured('sides') } },
        },
      },
    });
    const { seenAgainAt: _seenAgainAt, ...noted } = entered([2]);
    expect(calibrations as unknown).toEqual({
      speed: { log: { setFactor: 1 } },
      heading: { compass: { setDeg: 2 } },
      'sound speed': { helm: {} },
      antenna: { helm: { setForwardM: 0, setStarboardM: 0 } },
      sides: { wide: {} },
      tilt: { wide: { entered: noted } },
    });
  });

  it('has the type and the name of a source in the device it is set up in, and the tag and the name as they were', () => {
    const source = { name: 'Wide', tag: 'T 1', selected: 't 1', temperature: 'none', appearsAfterS: null };
    const { held, sources } = upgraded({
      displays: { helm: {} },
      transducers: { wide: {} },
      sources: { wide: source, compass: { ...source, selected: '' } },
    });
    expect(held as unknown).toEqual({
      helm: { type: { wide: left('t 1') }, name: { wide: left('Wide') } },
      compass: { name: { compass: left('Wide') } },
    });
    const { selected: _selected, ...rest } = source;
    expect(sources as unknown).toEqual({ wide: rest, compass: rest });
  });

  it('of nothing has nothing, and its schema takes it', () => {
    expect(planSchema.parse(upgraded({}))).toEqual(emptyPlan('Older'));
  });
});
