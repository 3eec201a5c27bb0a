import type { Plan, WaySet } from '@grey-keel/model';
import { shippedSockets } from '../catalogue/shipped.ts';
import { circuit, display, load, setUp, source } from './demo-parts.ts';

/** Where everything is aboard Old Marl, what it hangs on and what each screen listens to. */
export const marlFit = (): Pick<Plan, 'equipment' | 'power' | 'network' | 'sources' | 'feeds' | 'held' | 'chosen'> => {
  const awake: WaySet = { running: true, drifting: true, anchored: true };
  const feeds = {
    depth: { sourceId: 'deep', fallbackId: null },
    heading: { sourceId: 'c-compass', fallbackId: null },
    position: { sourceId: 'b-antenna', fallbackId: null },
    'water temperature': { sourceId: 'd-log', fallbackId: null },
    'speed through water': { sourceId: 'd-log', fallbackId: null },
  };
  const seenTo = {
    'nuisance-alarms': 'off',
    'hiding-menus': 'off',
    'unused-pages': 'hidden',
    brightness: 'set',
    'blank-card': 'in',
    'chart-card': 'in',
  } as const;
  const alarms = { shallowM: 5, lowVoltageV: 24.3, engineTemperatureC: 95 };
  const sources = {
    deep: source('Hull starboard 45', 'Through-hull deep dual 45/95'),
    'b-antenna': source('Mast antenna', 'Antenna'),
    'c-compass': source('Forepeak compass', 'Heading sensor'),
    'd-log': source('Hull port log', 'Log', { temperature: 'built in' }),
  };
  const at = (forwardM: number, starboardM: number, aboveKeelM: number) => ({ forwardM, starboardM, aboveKeelM });
  return {
    equipment: {
      'a-propeller': { name: 'Propeller', kind: 'propeller', ...at(0.9, 0, 0.35), propellerDiameterM: 0.6 },
      'b-antenna': { name: 'Antenna', kind: 'position antenna', ...at(4.9, 0, 5.4), propellerDiameterM: null },
      'c-compass': { name: 'Heading sensor', kind: 'heading sensor', ...at(7.4, 0, 1.6), propellerDiameterM: null },
      'd-log': {
        name: 'Log',
        kind: 'speed and temperature sensor',
        ...at(4.6, -0.5, 0.45),
        propellerDiameterM: null,
      },
      'e-battery': { name: 'Battery box', kind: 'battery box', ...at(3.6, 0.6, 0.9), propellerDiameterM: null },
    },
    power: {
      batteries: {
        'a-house': {
          name: 'House battery',
          chemistry: 'lead-acid',
          nominalV: 24,
          capacityAh: 220,
          capacityLeft: 0.9,
          peukert: 1.2,
          internalOhm: 0.006,
          crankingA: 0,
          chargingV: 28.8,
        },
      },
      circuits: {
        'a-wheelhouse': circuit({
          name: 'Wheelhouse',
          batteryId: 'a-house',
          oneWayLengthM: 5.4,
          gauge: '6 mm2',
          fuseA: 10,
          loads: { 'a-display': load('Wheelhouse display and sounder', 'a-wheelhouse', 4.5, awake, 10, 35) },
        }),
        'b-flybridge': circuit({
          name: 'Flybridge',
          batteryId: 'a-house',
          oneWayLengthM: 8.2,
          gauge: '4 mm2',
          fuseA: 5,
          loads: { 'a-display': load('Flybridge display', 'b-flybridge', 1.4, awake, 10, 35) },
        }),
      },
      hours: { running: 3, drifting: 5, anchored: 2 },
    },
    network: {
      links: { deep: { to: 'a-wheelhouse', plug: shippedSockets.imaging.plug, adapterDisables: null, cableM: 10 } },
      devices: {
        'a-wheelhouse': {
          sockets: [shippedSockets.imaging, shippedSockets.network],
          onBackbone: true,
          dropM: 1,
          loads: 3,
        },
        'b-flybridge': { sockets: [shippedSockets.imaging], onBackbone: true, dropM: 4, loads: 3 },
        'b-antenna': { sockets: [], onBackbone: true, dropM: 4.5, loads: 2 },
        'c-compass': { sockets: [], onBackbone: true, dropM: 2, loads: 2 },
        'd-log': { sockets: [], onBackbone: true, dropM: 3, loads: 1 },
      },
      backbone: { lengthM: 11, terminators: 2, supplies: 1, supplyA: 3 },
    },
    sources,
    feeds: { 'a-wheelhouse': feeds, 'b-flybridge': feeds },
    chosen: { boat: { north: 'true', 'depth-display': { unit: 'm', step: 0.1 } }, devices: {} },
    held: {
      'a-wheelhouse': display('a-wheelhouse', { water: 'salt', alarms, seenTo, sources: { deep: sources.deep } }),
      'b-flybridge': display('b-flybridge', { water: 'salt', alarms, seenTo, sources: {} }),
      'b-antenna': setUp({ 'b-antenna': sources['b-antenna'] }),
      'c-compass': setUp({ 'c-compass': sources['c-compass'] }),
      'd-log': setUp({ 'd-log': sources['d-log'] }),
    },
  };
};
