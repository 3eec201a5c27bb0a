import type { CatalogueEntry, FleetEntry } from '@grey-keel/model';
import { createEntityAdapter, type EntityState } from '@ngrx/entity';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';

type Loading = 'not asked' | 'loading' | 'ready' | 'failed';

interface ListState<T> extends EntityState<T> {
  readonly status: Loading;
  readonly problem: string | null;
}

const fleetAdapter = createEntityAdapter<FleetEntry>({ sortComparer: (a, b) => a.name.localeCompare(b.name) });
const catalogueAdapter = createEntityAdapter<CatalogueEntry>();

export const fleetEvents = createActionGroup({
  source: 'Fleet',
  events: {
    opened: emptyProps(),
    loaded: props<{ boats: FleetEntry[] }>(),
    failed: props<{ detail: string }>(),
    'boat removed': props<{ id: string }>(),
  },
});

export const catalogueEvents = createActionGroup({
  source: 'Catalogue',
  events: {
    wanted: emptyProps(),
    loaded: props<{ entries: CatalogueEntry[] }>(),
    failed: props<{ detail: string }>(),
    'entry kept': props<{ entry: CatalogueEntry }>(),
    'entries kept': props<{ entries: CatalogueEntry[] }>(),
  },
});

const list = <T>(entities: EntityState<T>): ListState<T> => ({ ...entities, status: 'not asked', problem: null });

export const fleetFeature = createFeature({
  name: 'fleet',
  reducer: createReducer(
    list(fleetAdapter.getInitialState()),
    on(fleetEvents.opened, (state) => ({
      ...state,
      status: state.status === 'ready' ? state.status : ('loading' as const),
    })),
    on(fleetEvents.loaded, (state, { boats }) =>
      fleetAdapter.setAll(boats, { ...state, status: 'ready' as const, problem: null }),
    ),
    on(fleetEvents.failed, (state, { detail }) => ({ ...state, status: 'failed' as const, problem: detail })),
    on(fleetEvents.boatRemoved, (state, { id }) => fleetAdapter.removeOne(id, state)),
  ),
  extraSelectors: ({ selectFleetState }) => fleetAdapter.getSelectors(selectFleetState),
});

export const catalogueFeature = createFeature({
  name: 'catalogue',
  reducer: createReducer(
    list(catalogueAdapter.getInitialState()),
    on(catalogueEvents.wanted, (state) => ({
      ...state,
      status: state.status === 'ready' ? state.status : ('loading' as const),
    })),
    on(catalogueEvents.loaded, (state, { entries }) =>
      catalogueAdapter.setAll(entries, { ...state, status: 'ready' as const, problem: null }),
    ),
    on(catalogueEvents.failed, (state, { detail }) => ({ ...state, status: 'failed' as const, problem: detail })),
    on(catalogueEvents.entriesKept, (state, { entries }) => catalogueAdapter.upsertMany(entries, state)),
    on(catalogueEvents.entryKept, (state, { entry }) => catalogueAdapter.upsertOne(entry, state)),
  ),
  extraSelectors: ({ selectCatalogueState }) => catalogueAdapter.getSelectors(selectCatalogueState),
});
