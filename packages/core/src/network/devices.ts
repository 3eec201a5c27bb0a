import type { NetworkDevice, Plan } from '@grey-keel/model';
import { inOrder } from '../plan/working-water.ts';

/** A display or a piece of equipment as the network sees it. */
export interface Device {
  readonly id: string;
  readonly name: string;
  readonly kind: 'display' | 'module' | 'sensor' | 'gateway';
  readonly device: NetworkDevice;
}

/** What is put in place the first time a device of the network is spoken of. */
export const newNetworkDevice = (): NetworkDevice => ({ sockets: [], onBackbone: false, dropM: null, loads: 1 });

const kinds: Readonly<Partial<Record<string, Device['kind']>>> = {
  'position antenna': 'sensor',
  'heading sensor': 'sensor',
  'speed and temperature sensor': 'sensor',
  'temperature sensor': 'sensor',
  'engine gateway': 'gateway',
  'sounder module': 'module',
};

/** Everything that can hang on the network, in the order it was made: displays first. */
export const devicesOf = (plan: Plan): Device[] => [
  ...inOrder(plan.stations).flatMap(([id, { name }]): Device[] =>
    plan.displays[id] ? [{ id, name, kind: 'display', device: plan.network.devices[id] ?? newNetworkDevice() }] : [],
  ),
  ...inOrder(plan.equipment).flatMap(([id, { name, kind }]): Device[] => {
    const network = kinds[kind];
    return network ? [{ id, name, kind: network, device: plan.network.devices[id] ?? newNetworkDevice() }] : [];
  }),
];

/** What a transducer's cable can end in. */
export const takesTransducers = ({ kind }: Device): boolean => kind === 'display' || kind === 'module';
