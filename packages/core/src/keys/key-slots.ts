import { presses, type KeyAction, type KeySlot, type Plan, type Press, type Screen } from '@grey-keel/model';

export interface Slot {
  readonly slot: KeySlot;
  readonly key: number;
  readonly press: Press;
}

export const slotOf = (key: number, press: Press): KeySlot => `${key}-${press}`;

export const readSlot = (slot: KeySlot): Slot => {
  const [key, press] = slot.split('-');
  return { slot, key: Number(key), press: press === 'long' ? 'long' : 'short' };
};

/** What a display's programmable keys can be pressed for, key by key. */
export const slotsOf = ({ keys, pressesPerKey }: Pick<Screen, 'keys' | 'pressesPerKey'>): Slot[] =>
  Array.from({ length: keys }, (_, i) => i + 1).flatMap((key) =>
    presses.slice(0, pressesPerKey).map((press) => ({ slot: slotOf(key, press), key, press })),
  );

export interface Binding extends Slot {
  readonly action: KeyAction;
}

const inSlotOrder = (a: Slot, b: Slot): number =>
  a.key - b.key || (a.press === b.press ? 0 : a.press === 'short' ? -1 : 1);

/** What is bound at a station, key by key. */
export const bindingsAt = (plan: Plan, stationId: string): Binding[] =>
  Object.entries(plan.keys[stationId] ?? {})
    .map(([slot, action]) => ({ ...readSlot(slot), action }))
    .sort(inSlotOrder);
