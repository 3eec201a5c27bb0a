import type { Edit, KeyAction, Plan, Screen } from '@grey-keel/model';
import { pageFor, shownWays } from '../plan/pages-at.ts';
import { isRisky, sameAction } from './action-words.ts';
import { bindingsAt, type Slot, slotsOf } from './key-slots.ts';

/** Two schools: what is done often on a short press, or on a long one so that nothing happens by a brush of the hand. */
export const keySchools = ['frequent short', 'frequent long'] as const;
export type KeySchool = (typeof keySchools)[number];

/** The schools a display's keys can carry: where a key knows one press alone there is nothing to choose. */
export const keySchoolsOf = ({ keys, pressesPerKey }: Pick<Screen, 'keys' | 'pressesPerKey'>): readonly KeySchool[] =>
  keys === 0 ? [] : pressesPerKey === 1 ? ['frequent short'] : keySchools;

const seldom: readonly KeyAction[] = [
  { does: 'stop transmitting' },
  { does: 'mark', mark: 'hazard' },
  { does: 'mark', mark: 'structure' },
  { does: 'record' },
  { does: 'volume' },
];

/** The pages of the ways of working in their order, then the mark; each once. */
const oftenAt = (plan: Plan, stationId: string): KeyAction[] => {
  const bindsToPlace = plan.displays[stationId]?.keysBindTo === 'place';
  const pages = shownWays(plan).flatMap((way): KeyAction[] => {
    const shown = pageFor(plan, stationId, way);
    return shown ? [{ does: 'page', pageId: shown.id, place: bindsToPlace ? shown.page.place : null }] : [];
  });
  return [...pages, { does: 'mark', mark: 'seen' } as const].filter(
    (action, i, all) => all.findIndex((other) => sameAction(action, other)) === i,
  );
};

export interface ProposedKey {
  readonly slot: string;
  readonly action: KeyAction;
}

/** Keys for a station from its ways of working. Nothing risky is proposed: that is for the user to place on purpose. */
export const proposeKeys = (plan: Plan, stationId: string, school: KeySchool): ProposedKey[] => {
  const display = plan.displays[stationId];
  if (!display) return [];
  const slots = slotsOf(display);
  const chosen = display.pressesPerKey === 1 || school === 'frequent short' ? 'short' : 'long';
  const first = slots.filter(({ press }) => press === chosen);
  const second = slots.filter(({ press }) => press !== chosen);
  const often = oftenAt(plan, stationId);
  const rest = [...often.slice(first.length), ...seldom].filter((action) => !isRisky(action));
  return [
    ...first.map(({ slot }, i) => ({ slot, action: often[i] ?? seldom[i - often.length + second.length] })),
    ...second.map(({ slot }, i) => ({ slot, action: rest[i] })),
  ].flatMap(({ slot, action }) => (action ? [{ slot, action }] : []));
};

/** The edits that put a proposal in place of whatever is bound. */
export const bindProposal = (plan: Plan, stationId: string, proposal: readonly ProposedKey[]): Edit[] => [
  ...bindingsAt(plan, stationId)
    .filter(({ slot }) => !proposal.some((one) => one.slot === slot))
    .map(({ slot }): Edit => ({ type: 'bindKey', stationId, slot, action: null })),
  ...proposal.map(({ slot, action }): Edit => ({ type: 'bindKey', stationId, slot, action })),
];

/** What a proposal does to one press of a key; an action is null where nothing is, or would be, bound. */
export interface KeyChange extends Slot {
  readonly now: KeyAction | null;
  readonly then: KeyAction | null;
}

/** What would change at a station were a proposal taken, key by key: what stays as it is is left out. */
export const changedKeys = (plan: Plan, stationId: string, proposal: readonly ProposedKey[]): KeyChange[] => {
  const display = plan.displays[stationId];
  if (!display) return [];
  const bound = bindingsAt(plan, stationId);
  const slots = slotsOf(display);
  // What is bound to a press the display no longer has goes, too.
  const beyond = bound.filter((one) => !slots.some(({ slot }) => slot === one.slot));
  return [...slots, ...beyond].flatMap(({ slot, key, press }): KeyChange[] => {
    const now = bound.find((one) => one.slot === slot)?.action ?? null;
    const then = proposal.find((one) => one.slot === slot)?.action ?? null;
    return now === then || (now && then && sameAction(now, then)) ? [] : [{ slot, key, press, now, then }];
  });
};

/** The edits that put a proposal on the presses that are free, and leave what is bound alone. */
export const bindFreeKeys = (plan: Plan, stationId: string, proposal: readonly ProposedKey[]): Edit[] =>
  changedKeys(plan, stationId, proposal).flatMap(({ slot, now, then }): Edit[] =>
    now === null && then !== null ? [{ type: 'bindKey', stationId, slot, action: then }] : [],
  );
