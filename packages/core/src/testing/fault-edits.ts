import type { Circuit, Edit, Equipment, Plan, Transducer } from '@grey-keel/model';

export const transducer = (id: string, changes: Partial<Transducer>): Edit => ({
  type: 'describeTransducer',
  id,
  changes,
});
export const boat = (changes: Partial<Plan['boat']>): Edit => ({ type: 'describeBoat', changes });
export const piece = (id: string, changes: Partial<Equipment>): Edit => ({ type: 'describeEquipment', id, changes });
export const helm = (changes: Partial<Omit<Circuit, 'loads'>>): Edit => ({
  type: 'describeCircuit',
  id: 'a-helm',
  changes,
});
export const house = (changes: Partial<Plan['power']['batteries'][string]>): Edit => ({
  type: 'describeBattery',
  id: 'house',
  changes,
});
export const named = (id: string, changes: Partial<Plan['sources'][string]>): Edit => ({
  type: 'describeSource',
  id,
  changes,
});
export const depthFrom = (sourceId: string): Edit => ({
  type: 'feed',
  stationId: 'helm',
  quantity: 'depth',
  feed: { sourceId, fallbackId: null },
});
export const linked = (transducerId: string, changes: Partial<Plan['network']['links'][string]>): Edit => ({
  type: 'connect',
  transducerId,
  link: { to: 'bow', plug: 'round S', adapterDisables: null, cableM: 6, ...changes },
});
export const device = (changes: Partial<Plan['network']['devices'][string]>): Edit => ({
  type: 'describeDevice',
  id: 'bow',
  changes,
});
export const load = (plan: Plan, changes: Partial<Circuit['loads'][string]>): Edit => ({
  type: 'putLoad',
  circuitId: 'a-helm',
  id: 'screen',
  load: { ...plan.power.circuits['a-helm']!.loads['screen']!, ...changes },
});
export const screenOf = (plan: Plan) => plan.power.circuits['a-helm']!.loads['screen']!;
export const screenA = (plan: Plan): number => screenOf(plan).currentA;
