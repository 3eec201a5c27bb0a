import type { FedQuantity, Plan, Transducer } from '@grey-keel/model';
import { inOrder } from '../plan/working-water.ts';

/** What can feed a quantity, best first, with why. */
export interface FeedChoice {
  readonly id: string;
  readonly name: string;
  /** Why it stands where it stands in the list. */
  readonly because: string;
  /** 0 is the best; what is over 9 measures something else than the station wants. */
  readonly rank: number;
}

type Ranked = Omit<FeedChoice, 'id' | 'name'>;

/** Over this a source reads something else than the water or the boat's own way. */
export const poorRank = 10;

const depthOf = ({ kind, mounting }: Transducer): Ranked | null => {
  if (kind === 'sounder') {
    if (mounting === 'through-hull') return { rank: 0, because: 'looks straight down from the hull' };
    if (mounting === 'shoot-through-hull') return { rank: 1, because: 'looks down through the hull' };
    if (mounting === 'transom') return { rank: 2, because: 'looks down from the transom' };
    return { rank: 5, because: `hangs on the ${mounting}: it is lifted and turned` };
  }
  if (kind === 'down fan') return { rank: 4, because: 'looks down, as a fan' };
  if (kind === 'side-scan') return { rank: 11, because: 'looks to the sides; its first echo is not straight below' };
  return { rank: 12, because: 'looks ahead of the boat, not below it' };
};

const sensorOf = (plan: Plan, id: string): Ranked | null => {
  const sensor = plan.sources[id]?.temperature ?? 'none';
  const mounting = plan.transducers[id]?.mounting;
  if (sensor === 'none') return null;
  if (mounting === 'shoot-through-hull' && sensor === 'built in')
    return { rank: 11, because: 'sits inside the hull: it measures the bilge' };
  return sensor === 'on a lead'
    ? { rank: 2, because: 'a sensor on its own lead' }
    : { rank: 3, because: 'built into a face in the water' };
};

const equipmentFeeds: Partial<Record<string, Partial<Record<FedQuantity, Ranked>>>> = {
  'position antenna': {
    position: { rank: 0, because: 'the antenna itself' },
    heading: { rank: 11, because: 'course over the ground, wrong at rest and in a current' },
  },
  'heading sensor': { heading: { rank: 0, because: 'a compass' } },
  'speed and temperature sensor': {
    'speed through water': { rank: 0, because: 'a log in the water' },
    'water temperature': { rank: 0, because: 'in the water, made for it' },
  },
  'temperature sensor': { 'water temperature': { rank: 1, because: 'in the water, made for it' } },
  'engine gateway': {
    engine: { rank: 0, because: 'the engine’s own data' },
    voltage: { rank: 1, because: 'at the engine’s battery' },
  },
  'sounder module': { voltage: { rank: 4, because: 'at the module' } },
};

/** Everything aboard that can feed a quantity, the best first. */
export const feedChoices = (plan: Plan, quantity: FedQuantity): FeedChoice[] => {
  const named = (id: string, name: string): string => plan.sources[id]?.name || name;
  const transducers = inOrder(plan.transducers).flatMap(([id, transducer]): FeedChoice[] => {
    const ranked =
      quantity === 'depth' ? depthOf(transducer) : quantity === 'water temperature' ? sensorOf(plan, id) : null;
    return ranked ? [{ id, name: named(id, transducer.name), ...ranked }] : [];
  });
  const equipment = inOrder(plan.equipment).flatMap(([id, { kind, name }]): FeedChoice[] => {
    const ranked = equipmentFeeds[kind]?.[quantity];
    return ranked ? [{ id, name: named(id, name), ...ranked }] : [];
  });
  return [...transducers, ...equipment].sort((a, b) => a.rank - b.rank || (a.id < b.id ? -1 : 1));
};
