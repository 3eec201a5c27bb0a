import type { Channel, Instruments, LiveQuantity } from '@grey-keel/model';
import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';

/** What is known of the instruments besides what they say: the sources, and which channel is listened to for what. */
export interface InstrumentsState {
  /** The stream stands. */
  readonly linked: boolean;
  readonly now: Instruments;
  /** By quantity: the channel that was chosen. Where none was, the best there is. */
  readonly chosen: Readonly<Partial<Record<LiveQuantity, number>>>;
  readonly panelOpen: boolean;
}

const start: InstrumentsState = {
  linked: false,
  now: { sources: [], channels: [], recordings: [], simulator: null },
  chosen: {},
  panelOpen: false,
};

export const instrumentEvents = createActionGroup({
  source: 'Instruments',
  events: {
    'link changed': props<{ up: boolean }>(),
    heard: props<{ now: Instruments }>(),
    'channel chosen': props<{ quantity: LiveQuantity; channel: number }>(),
    'panel toggled': emptyProps(),
  },
});

export const instrumentsFeature = createFeature({
  name: 'instruments',
  reducer: createReducer(
    start,
    on(instrumentEvents.linkChanged, (state, { up }): InstrumentsState => ({ ...state, linked: up })),
    on(instrumentEvents.heard, (state, { now }): InstrumentsState => ({ ...state, now, linked: true })),
    on(instrumentEvents.channelChosen, (state, { quantity, channel }): InstrumentsState => ({
      ...state,
      chosen: { ...state.chosen, [quantity]: channel },
    })),
    on(instrumentEvents.panelToggled, (state): InstrumentsState => ({ ...state, panelOpen: !state.panelOpen })),
  ),
});

export const { selectNow: selectInstruments, selectChosen, selectPanelOpen, selectLinked } = instrumentsFeature;

/** Of several sentences that say the same, the one that says it most directly. */
const directTypes = ['HDG', 'HDM', 'HDT', 'RMC', 'VTG', 'VHW', 'DPT', 'MTW', 'XDR'];
const directness = ({ type }: Channel): number => {
  const at = directTypes.indexOf(type);
  return at < 0 ? directTypes.length : at;
};

/** The channel that is listened to for each quantity: the chosen one, else the most direct of a source that speaks. */
export const selectListened = createSelector(
  selectInstruments,
  selectChosen,
  ({ channels, sources }, chosen): Readonly<Partial<Record<LiveQuantity, Channel>>> => {
    const speaks = new Set(sources.filter(({ state }) => state === 'open').map(({ id }) => id));
    const best: Partial<Record<LiveQuantity, Channel>> = {};
    const rank = (one: Channel): number =>
      (chosen[one.quantity] === one.id ? 0 : 100) + (speaks.has(one.sourceId) ? 0 : 50) + directness(one);
    for (const one of channels) {
      const before = best[one.quantity];
      if (!before || rank(one) < rank(before)) best[one.quantity] = one;
    }
    return best;
  },
);
