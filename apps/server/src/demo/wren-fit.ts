import type { Plan, WaySet } from '@grey-keel/model';
import { shippedSockets } from '../catalogue/shipped.ts';
import { circuit, display, load, source } from './demo-parts.ts';

/** Where everything is and what it hangs on. Two sources share a name, and one screen takes its depth from the bow unit. */
export const wrenFit = (): Pick<Plan, 'equipment' | 'power' | 'network' | 'sources' | 'feeds' | 'held' | 'chosen'> => {
  const [port, starboard, bow] = ['a-helm-port', 'b-helm-starboard', 'c-bow'] as const;
  const awake: WaySet = { running: true, searching: true, trolling: true, 'on the spot': true };
  const { sounder, imaging, network } = shippedSockets;
  const onPort = {
    'a-wide': source('Hull port 190', 'Through-hull wide 190, built-in sensor', { temperature: 'built in' }),
    'b-narrow': source('Stern 700', 'Transom narrow 95/210'),
    'c-sides': source('Stern 700', 'Side-scan 380/700'),
  };
  const ahead = source('Bow motor 700', 'Forward-facing 700', { appearsAfterS: 150 });
  const sides = ['c-sides', 'd-ahead'];
  return {
    equipment: {
      'a-propeller': {
        name: 'Port propeller',
        kind: 'propeller',
        forwardM: -0.65,
        starboardM: -0.85,
        aboveKeelM: -0.2,
        propellerDiameterM: 0.35,
        skegBelowBladesM: 0.05,
      },
      'b-propeller': {
        name: 'Starboard propeller',
        kind: 'propeller',
        forwardM: -0.65,
        starboardM: 0.85,
        aboveKeelM: -0.2,
        propellerDiameterM: 0.35,
        skegBelowBladesM: 0.05,
      },
      'c-motor': {
        name: 'Bow motor',
        kind: 'bow motor',
        forwardM: 7.3,
        starboardM: 0.3,
        aboveKeelM: -0.1,
        propellerDiameterM: 0.28,
      },
      'd-antenna': {
        name: 'Antenna',
        kind: 'position antenna',
        forwardM: 2,
        starboardM: 0,
        aboveKeelM: 2.6,
        propellerDiameterM: null,
      },
      'e-compass': {
        name: 'Heading sensor',
        kind: 'heading sensor',
        forwardM: 3.6,
        starboardM: 0,
        aboveKeelM: 0.9,
        propellerDiameterM: null,
      },
      'f-battery': {
        name: 'Battery box',
        kind: 'battery box',
        forwardM: 1.2,
        starboardM: 0,
        aboveKeelM: 0.6,
        propellerDiameterM: null,
      },
      'g-module': {
        name: 'Sounder module',
        kind: 'sounder module',
        forwardM: 3.4,
        starboardM: 0.5,
        aboveKeelM: 1.1,
        propellerDiameterM: null,
      },
    },
    power: {
      batteries: {
        'a-start': {
          name: 'Start battery',
          chemistry: 'lead-acid',
          nominalV: 12,
          capacityAh: 90,
          capacityLeft: 0.9,
          peukert: 1.2,
          internalOhm: 0.006,
          crankingA: 250,
          chargingV: 14.6,
        },
        'b-sonar': {
          name: 'Sonar battery',
          chemistry: 'lithium',
          nominalV: 12,
          capacityAh: 120,
          capacityLeft: 0.95,
          peukert: 1.05,
          internalOhm: 0.008,
          crankingA: 0,
          chargingV: 14.4,
        },
      },
      circuits: {
        'a-helm': circuit({
          name: 'Helm displays',
          batteryId: 'b-sonar',
          oneWayLengthM: 3.2,
          gauge: '6 mm2',
          fuseA: 15,
          loads: {
            'a-port': load('Helm, port', port, 3.6, awake, 10, 17),
            'b-starboard': load('Helm, starboard', starboard, 2.4, awake, 10, 17),
          },
        }),
        'b-bow': circuit({
          name: 'Bow',
          batteryId: 'b-sonar',
          oneWayLengthM: 6.5,
          gauge: '10 mm2',
          fuseA: 15,
          loads: {
            'a-display': load(
              'Bow display',
              bow,
              3.2,
              { searching: true, trolling: true, 'on the spot': true },
              10,
              17,
            ),
            'b-ahead': load(
              'Forward-facing module',
              'g-module',
              2.1,
              { searching: true, 'on the spot': true },
              10.5,
              17,
            ),
          },
        }),
      },
      hours: { running: 1, searching: 2, trolling: 3, 'on the spot': 2 },
    },
    network: {
      links: {
        'a-wide': { to: port, plug: 'round S', adapterDisables: null, cableM: 9 },
        'b-narrow': { to: 'g-module', plug: 'round S', adapterDisables: null, cableM: 7.5 },
        'c-sides': { to: port, plug: 'round W', adapterDisables: null, cableM: 9 },
        'd-ahead': { to: 'g-module', plug: network.plug, adapterDisables: null, cableM: 6 },
      },
      devices: {
        [port]: { sockets: [sounder, imaging, network], onBackbone: true, dropM: 1.5, loads: 3 },
        [starboard]: { sockets: [imaging, network], onBackbone: true, dropM: 1.5, loads: 3 },
        [bow]: { sockets: [network], onBackbone: true, dropM: 2.5, loads: 3 },
        'd-antenna': { sockets: [], onBackbone: true, dropM: 3, loads: 2 },
        'e-compass': { sockets: [], onBackbone: true, dropM: 0.5, loads: 2 },
        'g-module': { sockets: [sounder, network], onBackbone: true, dropM: 1, loads: 2 },
      },
      backbone: { lengthM: 8.5, terminators: 2, supplies: 1, supplyA: 3 },
    },
    sources: { ...onPort, 'd-ahead': ahead },
    feeds: {
      [port]: {
        depth: { sourceId: 'a-wide', fallbackId: 'b-narrow' },
        'water temperature': { sourceId: 'a-wide', fallbackId: null },
        heading: { sourceId: 'e-compass', fallbackId: null },
        position: { sourceId: 'd-antenna', fallbackId: null },
      },
      [starboard]: {
        depth: { sourceId: 'd-ahead', fallbackId: null },
        'water temperature': { sourceId: 'a-wide', fallbackId: null },
      },
      [bow]: {
        depth: { sourceId: 'a-wide', fallbackId: 'b-narrow' },
        heading: { sourceId: 'e-compass', fallbackId: null },
      },
    },
    chosen: { boat: { north: 'true', 'depth-display': { unit: 'm', step: 0.1 } }, devices: {} },
    held: {
      [port]: display(port, {
        water: 'fresh',
        sides,
        seenTo: { 'blank-card': 'in' },
        alarms: { shallowM: 1.5, lowVoltageV: 12.9 },
        sources: onPort,
      }),
      [starboard]: display(starboard, { water: 'fresh', sides, sources: { 'd-ahead': ahead } }),
      [bow]: display(bow, { water: 'fresh', sources: {} }),
    },
  };
};
