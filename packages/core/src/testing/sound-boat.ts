import type { Circuit, Edit, Equipment, Plan } from '@grey-keel/model';
import { suggestSourceName } from '../sources/source-names.ts';
import { calls, enters, selects } from './set-at.ts';
import { aBeam, aPlan, aTransducer, edited, withEntered } from './sample-plan.ts';

export type Random = () => number;
export const between = (random: Random, low: number, high: number): number => low + random() * (high - low);

export const equipment = (kind: Equipment['kind'], at: readonly [number, number, number], d?: number): Equipment => ({
  name: kind,
  kind,
  forwardM: at[0],
  starboardM: at[1],
  aboveKeelM: at[2],
  propellerDiameterM: d ?? null,
  ...(d === undefined ? {} : { skegBelowBladesM: 0 }),
});

/** A boat of random size whose fit, wires and sources have nothing wrong about them. */
export const soundBoat = (random: Random): Plan => {
  const base = aPlan();
  const lengthM = between(random, 5.5, 12);
  const display = Object.values(base.displays)[0]!;
  const currentA = between(random, 2, 5);
  const lithium = random() < 0.5;
  const awake = { trolling: true } as const;
  const fused = (name: string, deviceId: string, oneWayLengthM: number): Circuit => ({
    name,
    batteryId: 'house',
    oneWayLengthM,
    gauge: '10 mm2',
    conductor: 'stranded-tinned',
    temperatureC: between(random, 10, 40),
    fuseA: 10,
    fuseFromPostM: 0.1,
    loads: { screen: { name: 'Screen', deviceId, currentA, lowestV: 9, highestV: 17, runsIn: awake } },
  });
  const plan: Plan = {
    ...base,
    boat: {
      ...base.boat,
      lengthM,
      bowMotor: true,
      deadriseDeg: between(random, 2, 18),
      hullMaterial: 'solid laminate',
    },
    stations: {
      helm: { name: 'Helm', viewingDistanceM: 0.9, posture: 'standing' },
      bow: { name: 'Bow', viewingDistanceM: 1, posture: 'standing' },
    },
    displays: { helm: display, bow: display },
    working: { waterId: 'pool', depthM: between(random, 20, 60) },
    transducers: {
      'a-hull': aTransducer({ forwardM: 2, starboardM: 0, aboveKeelM: 0.1, fairingDeg: 0 }),
      'b-stern': aTransducer({
        name: 'Stern 95',
        mounting: 'transom',
        forwardM: -0.1,
        starboardM: between(random, 0.5, 0.7),
        aboveKeelM: 0.15,
        beams: [aBeam({ frequencyHz: 95_000, beamwidthDeg: 20 })],
      }),
      'c-sides': aTransducer({
        name: 'Sides',
        kind: 'side-scan',
        mounting: 'transom',
        forwardM: -0.1,
        starboardM: -0.5,
        aboveKeelM: 0,
        beams: [aBeam({ frequencyHz: 430_000, beamwidthDeg: 50, alongDeg: 1 })],
      }),
      'd-ahead': aTransducer({
        name: 'Ahead',
        kind: 'forward-facing',
        mounting: 'bow motor',
        forwardM: lengthM - 0.1,
        starboardM: 0.3,
        beams: [aBeam({ frequencyHz: 880_000, beamwidthDeg: 90, alongDeg: 20 })],
      }),
    },
    equipment: {
      'a-propeller': equipment('propeller', [-0.7, 0, 0.25], between(random, 0.3, 0.4)),
      'b-antenna': equipment('position antenna', [1.6, 0, 2.4]),
      'c-compass': equipment('heading sensor', [3, 0, 1]),
      'd-battery': equipment('battery box', [1, 0.3, 0.6]),
    },
    power: {
      batteries: {
        house: {
          name: 'House',
          chemistry: lithium ? 'lithium' : 'lead-acid',
          nominalV: 12,
          capacityAh: between(random, 120, 240),
          capacityLeft: 1,
          peukert: 1.2,
          internalOhm: 0.006,
          crankingA: 0,
          chargingV: 14.4,
        },
      },
      circuits: {
        'a-helm': fused('Helm', 'helm', between(random, 1, 4)),
        'b-bow': fused('Bow', 'bow', between(random, 2, 5)),
      },
      hours: { trolling: 4 },
    },
  };
  const feed = { sourceId: 'a-hull', fallbackId: 'b-stern' };
  const device = { sockets: ['round S', 'round S'], onBackbone: true, dropM: 2, loads: 3 };
  const link = { to: 'helm', plug: 'round S', adapterDisables: null, cableM: 6 };
  const network: Plan['network'] = {
    links: { 'a-hull': link, 'b-stern': link, 'c-sides': { ...link, to: 'bow' }, 'd-ahead': { ...link, to: 'bow' } },
    devices: { helm: device, bow: device },
    backbone: { lengthM: between(random, 3, 30), terminators: 2, supplies: 1, supplyA: 3 },
  };
  const offset = base.depthOffsets['a-wide']!;
  const made: Plan = {
    ...Object.keys(plan.transducers).reduce(
      (made, id) =>
        edited(made, {
          type: 'describeSource',
          id,
          changes: { name: suggestSourceName(made, id), tag: `Type ${id}` },
        }),
      { ...plan, network },
    ),
    feeds: { helm: { depth: feed }, bow: { depth: feed } },
    depthOffsets: { 'a-hull': offset, 'b-stern': offset },
  };
  const ids = Object.keys(made.transducers);
  const set = edited(
    made,
    ...['helm', 'bow'].flatMap((id): Edit[] => [
      enters(id, 'sound', { waterType: 'fresh' }),
      enters(id, 'antenna-offset', null),
      enters(id, 'north', 'true'),
      enters(id, 'sides', 'right', 'c-sides'),
      enters(id, 'sides', 'right', 'd-ahead'),
    ]),
    ...calls('helm', { shallowM: 1.5, lowVoltageV: lithium ? 13 : 12.3 }),
    ...ids.map((id) => selects(made, id, `type  ${id}`)),
  );
  return withEntered(withEntered(set, 'a-hull'), 'b-stern');
};

/** One fault put in, and the same change made only nearly. */
export type Fault = (
  plan: Plan,
  random: Random,
) => { readonly faulty: readonly Edit[]; readonly nearly: readonly Edit[] };
