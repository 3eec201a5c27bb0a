import {
  fleetQuerySchema,
  type FleetEntry,
  type FleetPage,
  type FleetQuery,
  type ImportedBundle,
  type NewBoat,
} from '@grey-keel/model';
import { createEntityAdapter } from '@ngrx/entity';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import { asking, notAsked, notLoaded, type ListState } from './list-state.ts';

/** As much of a boat as is needed to have it back, and to say so. */
export type NamedBoat = Pick<FleetEntry, 'id' | 'name'>;

/** What is done on the page of the fleet. The ids of new boats are made by whoever tells. */
export const fleetPageEvents = createActionGroup({
  source: 'Fleet page',
  events: {
    opened: emptyProps(),
    'query changed': props<{ changes: Partial<FleetQuery> }>(),
    /** `meant` where it was said before that there is a boat of that name. */
    'boat named': props<{ id: string; boat: NewBoat; meant: boolean }>(),
    'copy wanted': props<{ id: string; boat: FleetEntry; practice?: boolean }>(),
    'bundles wanted': props<{ boats: readonly FleetEntry[] }>(),
    'bundle chosen': props<{ id: string; text: string }>(),
    'boats deleted': props<{ boats: readonly FleetEntry[] }>(),
    'boats wanted back': props<{ boats: readonly NamedBoat[] }>(),
    /** What is wrong with what was asked for, before any of it is sent. */
    refused: props<{ words: string }>(),
    'backup restored': emptyProps(),
    'message read': emptyProps(),
    /** Words typed where boats are found by their names. */
    'names typed': props<{ words: string }>(),
  },
});

/** What the server answers of the fleet. */
export const fleetServerEvents = createActionGroup({
  source: 'Server, fleet',
  events: {
    loaded: props<{ page: FleetPage }>(),
    'not loaded': props<{ detail: string }>(),
    'boat added': props<{ id: string }>(),
    'name taken': props<{ name: string }>(),
    'bundle imported': props<{ bundle: ImportedBundle; alike: number }>(),
    'bundles exported': props<{ boats: readonly FleetEntry[] }>(),
    /** `failed` says why those after these were not. */
    'boats deleted': props<{ boats: readonly FleetEntry[]; failed: string | null }>(),
    'boats back': props<{ boats: readonly NamedBoat[]; failed: string | null }>(),
    'not done': props<{ detail: string }>(),
    'names found': props<{ boats: readonly FleetEntry[] }>(),
  },
});

export interface FleetMessage {
  readonly text: string;
  readonly bad: boolean;
  /** Boats that can be had back. */
  readonly removed: readonly FleetEntry[];
}

export interface FleetState extends ListState<FleetEntry> {
  readonly query: FleetQuery;
  readonly found: number;
  readonly allBoats: number;
  readonly waiting: number;
  /** A name that is there already: who asks for it again means it. */
  readonly taken: string | null;
  readonly message: FleetMessage | null;
  /** Boats found by the words typed last, wherever they stand in the fleet. */
  readonly named: readonly FleetEntry[];
}

const adapter = createEntityAdapter<FleetEntry>();

const told = (state: FleetState, text: string, bad = false, removed: readonly FleetEntry[] = []): FleetState => ({
  ...state,
  message: { text, bad, removed },
});

/** Whether a boat is called so, however it is written. */
export const isCalled = (name: string): ((boat: FleetEntry) => boolean) => {
  const plain = name.trim().toLowerCase();
  return (boat) => boat.name.trim().toLowerCase() === plain;
};

const counted = (boats: readonly NamedBoat[]): string => {
  const [first] = boats;
  return first && boats.length === 1 ? first.name : `${boats.length} boats`;
};

const doneInWords = (boats: readonly NamedBoat[], verb: string, failed: string | null): string => {
  if (failed === null) return `${counted(boats)} ${verb}.`;
  return boats.length > 0 ? `${counted(boats)} ${verb}, the rest not: ${failed}` : failed;
};

const importedInWords = ({ plan, beside }: ImportedBundle, alike: number): string => {
  const { name } = plan.boat;
  const parts = beside.map((one) => `${one.name} (${one.id})`).join(', ');
  const catalogue = parts && ` Into the catalogue, beside what has their ids here and is something else: ${parts}.`;
  return alike > 0
    ? `${name} was imported beside the boat of that name that is already here: neither was changed. Rename one, or delete one.${catalogue}`
    : `${name} was imported.${catalogue}`;
};

const noFleet: FleetState = {
  ...notAsked(adapter.getInitialState()),
  // What was worked on last stands first.
  query: fleetQuerySchema.parse({ by: 'changed', downward: 'true' }),
  found: 0,
  allBoats: 0,
  waiting: 0,
  taken: null,
  message: null,
  named: [],
};

export const fleetFeature = createFeature({
  name: 'fleet',
  reducer: createReducer(
    noFleet,
    on(fleetPageEvents.opened, (state): FleetState => asking(state)),
    // Another question begins at its first page.
    on(fleetPageEvents.queryChanged, (state, { changes }): FleetState => ({
      ...state,
      query: { ...state.query, first: 0, ...changes },
    })),
    on(fleetPageEvents.refused, (state, { words }): FleetState => told(state, words, true)),
    on(fleetPageEvents.backupRestored, (state): FleetState =>
      told(state, 'The backup was restored. What was there before is put aside beside the data.'),
    ),
    on(fleetPageEvents.messageRead, (state): FleetState => ({ ...state, message: null })),
    on(fleetServerEvents.loaded, (state, { page: { boats, found, all, waiting } }): FleetState =>
      adapter.setAll(boats, { ...state, found, allBoats: all, waiting, status: 'ready', problem: null }),
    ),
    on(fleetServerEvents.notLoaded, (state, { detail }): FleetState => notLoaded(state, detail)),
    on(fleetServerEvents.nameTaken, (state, { name }): FleetState => ({
      ...told(
        state,
        `New boat: there is a boat called "${name}" already. Give this one another name, or press "Add boat" again to have two of it.`,
        true,
      ),
      taken: name,
    })),
    on(fleetServerEvents.boatAdded, (state): FleetState => ({ ...state, taken: null, message: null })),
    on(fleetServerEvents.boatsDeleted, (state, { boats, failed }): FleetState => {
      const without = adapter.removeMany(
        boats.map(({ id }) => id),
        state,
      );
      return told(without, doneInWords(boats, 'deleted', failed), failed !== null, boats);
    }),
    on(fleetServerEvents.boatsBack, (state, { boats, failed }): FleetState =>
      told(state, doneInWords(boats, 'restored', failed), failed !== null),
    ),
    on(fleetServerEvents.bundleImported, (state, { bundle, alike }): FleetState =>
      told(state, importedInWords(bundle, alike)),
    ),
    on(fleetServerEvents.notDone, (state, { detail }): FleetState => told(state, detail, true)),
    on(fleetServerEvents.namesFound, (state, { boats }): FleetState => ({ ...state, named: boats })),
  ),
  extraSelectors: ({ selectFleetState }) => adapter.getSelectors(selectFleetState),
});
