import { unitSets, type UnitChoice } from '@grey-keel/core/units';
import type { Way } from '@grey-keel/model';
import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';
import { themeNames, type ThemeName } from '../theme/theme.ts';

export type UnitSetName = keyof typeof unitSets;
export const unitSetNames = Object.keys(unitSets) as UnitSetName[];

/** How this browser looks at things; nothing of it belongs to a boat. */
export interface ViewState {
  readonly units: UnitSetName;
  readonly theme: ThemeName;
  readonly way: Way | null;
  readonly findingsOpen: boolean;
  /** What nobody expected, in words, until it is read. */
  readonly fault: string | null;
}

const start: ViewState = { units: 'metric', theme: 'shop', way: null, findingsOpen: true, fault: null };

export const viewEvents = createActionGroup({
  source: 'View',
  events: {
    remembered: props<{ units: UnitSetName; theme: ThemeName; findingsOpen: boolean }>(),
    'units chosen': props<{ units: UnitSetName }>(),
    'next units wanted': emptyProps(),
    'theme chosen': props<{ theme: ThemeName }>(),
    'next theme wanted': emptyProps(),
    'way chosen': props<{ way: Way | null }>(),
    'findings toggled': emptyProps(),
    'went wrong': props<{ words: string }>(),
    'fault read': emptyProps(),
  },
});

const after = <T>(list: readonly T[], one: T): T => list[(list.indexOf(one) + 1) % list.length] as T;

export const viewFeature = createFeature({
  name: 'view',
  reducer: createReducer(
    start,
    on(viewEvents.remembered, (state, { units, theme, findingsOpen }): ViewState => ({
      ...state,
      units,
      theme,
      findingsOpen,
    })),
    on(viewEvents.unitsChosen, (state, { units }): ViewState => ({ ...state, units })),
    on(viewEvents.nextUnitsWanted, (state): ViewState => ({ ...state, units: after(unitSetNames, state.units) })),
    on(viewEvents.themeChosen, (state, { theme }): ViewState => ({ ...state, theme })),
    on(viewEvents.nextThemeWanted, (state): ViewState => ({ ...state, theme: after(themeNames, state.theme) })),
    on(viewEvents.wayChosen, (state, { way }): ViewState => ({ ...state, way: state.way === way ? null : way })),
    on(viewEvents.findingsToggled, (state): ViewState => ({ ...state, findingsOpen: !state.findingsOpen })),
    on(viewEvents.wentWrong, (state, { words }): ViewState => ({ ...state, fault: words })),
    on(viewEvents.faultRead, (state): ViewState => ({ ...state, fault: null })),
  ),
});

export const { selectUnits: selectUnitSet, selectTheme, selectWay, selectFindingsOpen, selectFault } = viewFeature;
export const selectUnitChoice = createSelector(selectUnitSet, (name): UnitChoice => unitSets[name]);
