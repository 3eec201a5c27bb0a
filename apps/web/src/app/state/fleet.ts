import type { FleetEntry, ImportedBundle } from '@grey-keel/model';
import { createEntityAdapter } from '@ngrx/entity';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import { asking, notAsked, notLoaded, type ListState } from './list-state.ts';

/** What is done on the page of the fleet. The ids of new boats are made by whoever tells. */
export const fleetPageEvents = createActionGroup({
  source: 'Fleet page',
  events: {
    opened: emptyProps(),
    'boat named': props<{ id: string; name: string }>(),
    'copy wanted': props<{ id: string; boat: FleetEntry }>(),
    'bundle wanted': props<{ boat: FleetEntry }>(),
    'bundle chosen': props<{ id: string; text: string }>(),
    'boat deleted': props<{ boat: FleetEntry }>(),
    'boat wanted back': props<{ boat: FleetEntry }>(),
    /** What is wrong with what was asked for, before any of it is sent. */
    refused: props<{ words: string }>(),
    'backup restored': emptyProps(),
    'message read': emptyProps(),
  },
});

/** What the server answers of the fleet. */
export const fleetServerEvents = createActionGroup({
  source: 'Server, fleet',
  events: {
    loaded: props<{ boats: FleetEntry[] }>(),
    'not loaded': props<{ detail: string }>(),
    'boat added': props<{ id: string }>(),
    'bundle imported': props<{ bundle: ImportedBundle }>(),
    'bundle exported': props<{ boat: FleetEntry }>(),
    'boat deleted': props<{ boat: FleetEntry }>(),
    'boat back': props<{ boat: FleetEntry }>(),
    'not done': props<{ detail: string }>(),
  },
});

export interface FleetMessage {
  readonly text: string;
  readonly bad: boolean;
  /** A boat that can be had back. */
  readonly removed: FleetEntry | null;
}

export interface FleetState extends ListState<FleetEntry> {
  readonly message: FleetMessage | null;
}

const adapter = createEntityAdapter<FleetEntry>({ sortComparer: (a, b) => a.name.localeCompare(b.name) });

const told = (state: FleetState, text: string, bad = false, removed: FleetEntry | null = null): FleetState => ({
  ...state,
  message: { text, bad, removed },
});

/** The boats that are called so, however it is written. */
export const calledAlike = (boats: readonly FleetEntry[], name: string): readonly FleetEntry[] => {
  const plain = name.trim().toLowerCase();
  return boats.filter((one) => one.name.trim().toLowerCase() === plain);
};

const importedInWords = ({ ids, entities }: FleetState, { id, plan, beside }: ImportedBundle): string => {
  const { name } = plan.boat;
  const others = ids.flatMap((one) => (one === id ? [] : (entities[one] ?? [])));
  const parts = beside.map((one) => `${one.name} (${one.id})`).join(', ');
  const catalogue = parts && ` Into the catalogue, beside what has their ids here and is something else: ${parts}.`;
  return calledAlike(others, name).length
    ? `${name} was imported beside the boat of that name that is already here: neither was changed. Rename one, or delete one.${catalogue}`
    : `${name} was imported.${catalogue}`;
};

const noFleet: FleetState = { ...notAsked(adapter.getInitialState()), message: null };

export const fleetFeature = createFeature({
  name: 'fleet',
  reducer: createReducer(
    noFleet,
    on(fleetPageEvents.opened, (state): FleetState => asking(state)),
    on(fleetPageEvents.refused, (state, { words }): FleetState => told(state, words, true)),
    on(fleetPageEvents.backupRestored, (state): FleetState =>
      told(state, 'The backup was restored. What was there before is put aside beside the data.'),
    ),
    on(fleetPageEvents.messageRead, (state): FleetState => ({ ...state, message: null })),
    on(fleetServerEvents.loaded, (state, { boats }): FleetState =>
      adapter.setAll(boats, { ...state, status: 'ready', problem: null }),
    ),
    on(fleetServerEvents.notLoaded, (state, { detail }): FleetState => notLoaded(state, detail)),
    on(fleetServerEvents.boatDeleted, (state, { boat }): FleetState =>
      told(adapter.removeOne(boat.id, state), `${boat.name} was deleted.`, false, boat),
    ),
    on(fleetServerEvents.boatBack, (state, { boat }): FleetState => told(state, `${boat.name} is back.`)),
    on(fleetServerEvents.bundleImported, (state, { bundle }): FleetState =>
      told(state, importedInWords(state, bundle)),
    ),
    on(fleetServerEvents.notDone, (state, { detail }): FleetState => told(state, detail, true)),
  ),
  extraSelectors: ({ selectFleetState }) => adapter.getSelectors(selectFleetState),
});
