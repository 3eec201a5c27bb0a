import type { CatalogueEntry } from '@grey-keel/model';
import { createEntityAdapter } from '@ngrx/entity';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import { asking, notAsked, notLoaded, type ListState } from './list-state.ts';

export const catalogueViewEvents = createActionGroup({
  source: 'Views of the catalogue',
  events: { wanted: emptyProps() },
});

/** What the server answers of the catalogue. */
export const catalogueServerEvents = createActionGroup({
  source: 'Server, catalogue',
  events: {
    loaded: props<{ entries: CatalogueEntry[] }>(),
    'not loaded': props<{ detail: string }>(),
    'entries saved': props<{ entries: CatalogueEntry[] }>(),
  },
});

type CatalogueState = ListState<CatalogueEntry>;
const adapter = createEntityAdapter<CatalogueEntry>();

export const catalogueFeature = createFeature({
  name: 'catalogue',
  reducer: createReducer(
    notAsked(adapter.getInitialState()),
    on(catalogueViewEvents.wanted, (state): CatalogueState => asking(state)),
    on(catalogueServerEvents.loaded, (state, { entries }): CatalogueState =>
      adapter.setAll(entries, { ...state, status: 'ready', problem: null }),
    ),
    on(catalogueServerEvents.notLoaded, (state, { detail }): CatalogueState => notLoaded(state, detail)),
    on(catalogueServerEvents.entriesSaved, (state, { entries }): CatalogueState => adapter.upsertMany(entries, state)),
  ),
  extraSelectors: ({ selectCatalogueState }) => adapter.getSelectors(selectCatalogueState),
});
