import type { Edit } from '@grey-keel/model';
import { aPage } from '../../../testing/sample-plan.ts';
import type { Fault } from '../../../testing/sound-boat.ts';
import { depthFrom, helm, house, load, named, screenA } from '../../../testing/fault-edits.ts';
import { calls, enters, finds, forgets, selects } from '../../../testing/set-at.ts';

/** Faults of names, feeds, settings and alarms, by the rule that has to speak, once, and what is put in where there are several. */
export const sourceFaults: Readonly<Record<string, Fault>> = {
  'type-wrong': (plan) => ({
    faulty: [selects(plan, 'b-stern', 'Type c-sides')],
    nearly: [selects(plan, 'b-stern', ' TYPE b-stern ')],
  }),
  'feed-gone': () => ({ faulty: [depthFrom('gone')], nearly: [depthFrom('b-stern')] }),
  'sides-swapped': () => ({
    faulty: [enters('helm', 'sides', 'swapped', 'c-sides')],
    nearly: [forgets('helm', 'sides', 'c-sides')],
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
    const own = (share: number): Edit =>
      enters('helm', 'sound', { soundSpeedMps: 1443.6 * (1 + (random() < 0.5 ? share : -share)) });
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
      const set = (shallowM: number): Edit => enters('bow', 'shallow-alarm', shallowM);
      const both = [passing('helm', 'alarms'), passing('bow', 'alarms')];
      return { faulty: [...both, set(1.6)], nearly: [...both, set(1.5)] };
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
    faulty: calls('helm', { shallowM: 1.09 }),
    nearly: calls('helm', { shallowM: 1.1 }),
  }),
  'alarm-shallow-always': () => ({
    faulty: calls('helm', { shallowM: 4 }),
    nearly: calls('helm', { shallowM: 3.99 }),
  }),
  'alarm-voltage-late': (plan, random) => {
    const set = (lowVoltageV: number): Edit => enters('helm', 'low-voltage-alarm', lowVoltageV);
    const alone: Edit = { type: 'describeCircuit', id: 'b-bow', changes: { batteryId: null } };
    if (random() < 0.5) {
      const requirements = [alone, load(plan, { lowestV: 13 })];
      return { faulty: [...requirements, set(13.4)], nearly: [...requirements, set(13.5)] };
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
    return { faulty: [...far, set(13.4)], nearly: [...far, set(13.5)] };
  },
  'alarm-voltage-late: the battery has given what it bears': (plan) => {
    // Half of lead-acid is 12.2 V, a fifth of lithium 12.9 V; a wire and a battery that lose nothing.
    const spent = plan.power.batteries['house']?.chemistry === 'lithium' ? 12.9 : 12.2;
    const set = (lowVoltageV: number): Edit[] => [
      house({ internalOhm: 0 }),
      helm({ gauge: '50 mm2', oneWayLengthM: 0.1 }),
      ...calls('helm', { lowVoltageV }),
    ];
    return { faulty: set(spent - 0.1), nearly: set(spent) };
  },
  'alarm-voltage-always': (plan) => {
    const full = plan.power.batteries['house']?.chemistry === 'lithium' ? 13.4 : 12.7;
    // A wire that loses next to nothing, from a battery that gives what it holds.
    const set = (lowVoltageV: number): Edit[] => [
      house({ internalOhm: 0 }),
      helm({ gauge: '50 mm2', oneWayLengthM: 0.1 }),
      ...calls('helm', { lowVoltageV }),
    ];
    return { faulty: set(full), nearly: set(full - 0.01) };
  },
  // As an upgrade leaves them: the one without a date, the other without the parts it rests on.
  'old-records-apart': (_, random) => {
    const [then, later] = ['2026-05-01T08:00:00Z', '2026-05-02T08:00:00Z'];
    const told = (older: Edit, seenAgainAt: string | null = null, parts = {}): Edit[] => [
      older,
      {
        type: 'enterSetting',
        deviceId: 'helm',
        kind: 'sides',
        ofId: 'c-sides',
        asLeft: {
          value: 'right',
          at: then,
          by: null,
          seenAgainAt,
          measured: {
            of: 'sides',
            fingerprint: 'a'.repeat(64),
            half95: null,
            standardError: null,
            parts,
            inputs: null,
          },
        },
      },
    ];
    const older = (value: 'right' | 'swapped', at: string | null): Edit => finds('helm', 'sides', value, 'c-sides', at);
    const swapped = older('swapped', null);
    const settled = [
      told(swapped, later),
      told(swapped, null, { depthM: 'b'.repeat(64) }),
      told(older('swapped', then)),
      told(older('right', null)),
    ];
    return { faulty: told(swapped), nearly: settled[Math.floor(random() * settled.length)] ?? [] };
  },
  'two-norths': () => ({ faulty: [enters('helm', 'north', 'magnetic')], nearly: [forgets('helm', 'north')] }),
};
