import type { Edit } from '@grey-keel/model';
import { aPage } from '../../../testing/sample-plan.ts';
import type { Fault } from '../../../testing/sound-boat.ts';
import { depthFrom, helm, house, load, named, screenA, unit } from '../../../testing/fault-edits.ts';

/** Faults of names, feeds, settings and alarms, by the rule that has to speak, once, and what is put in where there are several. */
export const sourceFaults: Readonly<Record<string, Fault>> = {
  'type-wrong': () => ({
    faulty: [named('b-stern', { selected: 'Type c-sides' })],
    nearly: [named('b-stern', { selected: ' TYPE b-stern ' })],
  }),
  'feed-gone': () => ({ faulty: [depthFrom('gone')], nearly: [depthFrom('b-stern')] }),
  'sides-swapped': () => ({
    faulty: [unit({ sidesRight: 'swapped' })],
    nearly: [unit({ sidesRight: 'not looked at' })],
  }),
  'source-twice': (plan) => {
    const name = plan.sources['a-hull']!.name;
    return {
      faulty: [named('b-stern', { name: name.toUpperCase() })],
      nearly: [named('b-stern', { name: `${name} b` })],
    };
  },
  'source-factory-name': (_, random) => ({
    faulty: [named('c-sides', { name: `Sonar ${Math.floor(10 * random())}` })],
    nearly: [named('c-sides', { name: 'Sonar port 430' })],
  }),
  'feed-poor': (_, random) => ({
    faulty: [depthFrom(random() < 0.5 ? 'd-ahead' : 'c-sides')],
    nearly: [depthFrom('b-stern')],
  }),
  // Half a per cent of the depth is noticed: 1443.6 m/s is the water's own.
  'water-type': (_, random) => {
    const own = (share: number): Edit => unit({ ownSoundSpeedMps: 1443.6 * (1 + (random() < 0.5 ? share : -share)) });
    return { faulty: [own(0.0055)], nearly: [own(0.0043)] };
  },
  'fallback-reference': (_, random) => {
    const counts = (transducerId: string, reference: 'keel' | 'waterline'): Edit => ({
      type: 'describeDepthOffset',
      transducerId,
      changes: { reference },
    });
    const onlyHelm: Edit = { type: 'removeDisplay', stationId: 'bow' };
    const one = random() < 0.5 ? 'a-hull' : 'b-stern';
    return {
      faulty: [onlyHelm, counts(one, 'keel')],
      nearly: [counts('a-hull', 'keel'), counts('b-stern', 'keel')],
    };
  },
  'travels-conflict': (plan, random) => {
    const passing = (stationId: string, ...travels: string[]): Edit => ({
      type: 'fitDisplay',
      stationId,
      display: { ...plan.displays[stationId]!, travels },
    });
    const kind = random();
    if (kind < 0.4) {
      const both = [passing('helm', 'sources'), depthFrom('b-stern')];
      return { faulty: [...both, passing('bow', 'units', 'sources')], nearly: [...both, passing('bow', 'units')] };
    }
    if (kind < 0.7) {
      const calls = (shallowM: number): Edit => ({
        type: 'describeUnit',
        stationId: 'bow',
        changes: { alarms: { shallowM } },
      });
      const both = [passing('helm', 'alarms'), passing('bow', 'alarms')];
      return { faulty: [...both, calls(1.6)], nearly: [...both, calls(1.5)] };
    }
    // The page at the helm has its sounder on automatic.
    const shows = (rangeM: number | null): Edit => ({
      type: 'addPage',
      id: 'z-bow',
      page: aPage({
        stationId: 'bow',
        layout: { bandsLie: 'rows', bands: [{ share: 1, panes: [{ share: 1, view: 'sounder', rangeM }] }] },
      }),
    });
    const both = [passing('helm', 'range'), passing('bow', 'range')];
    return { faulty: [...both, shows(40)], nearly: [...both, shows(null)] };
  },
  // Half a metre of draught, a tolerance of a tenth, and half a metre to act in.
  'alarm-shallow-late': () => ({
    faulty: [unit({ alarms: { shallowM: 1.09 } })],
    nearly: [unit({ alarms: { shallowM: 1.1 } })],
  }),
  'alarm-shallow-always': () => ({
    faulty: [unit({ alarms: { shallowM: 4 } })],
    nearly: [unit({ alarms: { shallowM: 3.99 } })],
  }),
  'alarm-voltage-late': (plan, random) => {
    const calls = (lowVoltageV: number): Edit => unit({ alarms: { lowVoltageV } });
    const alone: Edit = { type: 'describeCircuit', id: 'b-bow', changes: { batteryId: null } };
    if (random() < 0.5) {
      const requirements = [alone, load(plan, { lowestV: 13 })];
      return { faulty: [...requirements, calls(13.4)], nearly: [...requirements, calls(13.5)] };
    }
    // Only the bow's screen says what it bears, at the end of a wire that loses 0.25 V.
    const screen = plan.power.circuits['b-bow']!.loads['screen']!;
    const far: Edit[] = [
      load(plan, { lowestV: null }),
      { type: 'putLoad', circuitId: 'b-bow', id: 'screen', load: { ...screen, lowestV: 12.7 } },
      {
        type: 'describeCircuit',
        id: 'b-bow',
        changes: { gauge: '2.5 mm2', temperatureC: 20, oneWayLengthM: 250 / (2 * 7.586 * screenA(plan)) },
      },
    ];
    return { faulty: [...far, calls(13.4)], nearly: [...far, calls(13.5)] };
  },
  'alarm-voltage-late: the battery has given what it bears': (plan) => {
    // Half of lead-acid is 12.2 V, a fifth of lithium 12.9 V; a wire and a battery that lose nothing.
    const spent = plan.power.batteries['house']?.chemistry === 'lithium' ? 12.9 : 12.2;
    const calls = (lowVoltageV: number): Edit[] => [
      house({ internalOhm: 0 }),
      helm({ gauge: '50 mm2', oneWayLengthM: 0.1 }),
      unit({ alarms: { lowVoltageV } }),
    ];
    return { faulty: calls(spent - 0.1), nearly: calls(spent) };
  },
  'alarm-voltage-always': (plan) => {
    const full = plan.power.batteries['house']?.chemistry === 'lithium' ? 13.4 : 12.7;
    // A wire that loses next to nothing, from a battery that gives what it holds.
    const calls = (lowVoltageV: number): Edit[] => [
      house({ internalOhm: 0 }),
      helm({ gauge: '50 mm2', oneWayLengthM: 0.1 }),
      unit({ alarms: { lowVoltageV } }),
    ];
    return { faulty: calls(full), nearly: calls(full - 0.01) };
  },
  'two-norths': () => ({ faulty: [unit({ north: 'magnetic' })], nearly: [unit({ north: null })] }),
};
