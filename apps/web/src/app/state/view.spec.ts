import { TestBed } from '@angular/core/testing';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import { unitSets } from '@grey-keel/core/units';
import { themeNames } from '../theme/theme.ts';
import { ViewEffects } from './view.effects.ts';
import {
  selectFault,
  selectTheme,
  selectUnitChoice,
  selectUnitSet,
  selectWay,
  unitSetNames,
  viewEvents,
  viewFeature,
} from './view.ts';

const key = 'grey-keel-view';
const second = unitSetNames[1] ?? 'metric';

describe('how a browser looks at things', () => {
  const before = localStorage.getItem(key);
  const theme = document.documentElement.dataset['theme'];
  afterEach(() => {
    if (before === null) localStorage.removeItem(key);
    else localStorage.setItem(key, before);
    if (theme === undefined) delete document.documentElement.dataset['theme'];
    else document.documentElement.dataset['theme'] = theme;
  });
  const start = (remembered: string | null): Store => {
    if (remembered === null) localStorage.removeItem(key);
    else localStorage.setItem(key, remembered);
    TestBed.configureTestingModule({
      providers: [provideStore(), provideState(viewFeature), provideEffects(ViewEffects)],
    });
    return TestBed.inject<Store>(Store);
  };
  const shown = (store: Store) => [store.selectSignal(selectUnitSet)(), store.selectSignal(selectTheme)()];

  it('is as it was left, and as usual where nothing that can be read was left', () => {
    expect(shown(start(JSON.stringify({ units: second, theme: 'night' })))).toEqual([second, 'night']);
    expect(document.documentElement.dataset['theme']).toBe('night');
    for (const left of [null, 'no JSON', '{"units":"furlongs","theme":7}']) {
      TestBed.resetTestingModule();
      expect(shown(start(left)))
        .withContext(left ?? 'nothing')
        .toEqual(['metric', 'shop']);
    }
  });

  it('goes round units and themes, puts the theme on the page and remembers both', () => {
    const store = start(null);
    for (const next of [...themeNames.slice(1), themeNames[0]]) {
      store.dispatch(viewEvents.nextThemeWanted());
      expect([shown(store)[1], document.documentElement.dataset['theme']]).toEqual([next, next]);
    }
    for (const next of [...unitSetNames.slice(1), unitSetNames[0]]) {
      store.dispatch(viewEvents.nextUnitsWanted());
      expect(store.selectSignal(selectUnitChoice)()).toEqual(unitSets[next as 'metric']);
      expect(localStorage.getItem(key)).toBe(JSON.stringify({ units: next, theme: 'shop' }));
    }
    store.dispatch(viewEvents.unitsChosen({ units: second }));
    store.dispatch(viewEvents.themeChosen({ theme: 'sun' }));
    expect(shown(store)).toEqual([second, 'sun']);
  });

  it('holds where the browser keeps nothing', () => {
    const store = start(null);
    spyOn(Storage.prototype, 'setItem').and.throwError('full');
    store.dispatch(viewEvents.themeChosen({ theme: 'sun' }));
    expect(shown(store)[1]).toBe('sun');
  });

  it('chooses a way and lets it go with the same press, folds the findings, and holds a fault until it is read', () => {
    const store = start(null);
    const way = store.selectSignal(selectWay);
    store.dispatch(viewEvents.wayChosen({ way: 'trolling' }));
    expect(way()).toBe('trolling');
    store.dispatch(viewEvents.wayChosen({ way: 'trolling' }));
    expect(way()).toBeNull();
    const open = store.selectSignal(viewFeature.selectFindingsOpen)();
    store.dispatch(viewEvents.findingsToggled());
    expect(store.selectSignal(viewFeature.selectFindingsOpen)()).toBe(!open);
    store.dispatch(viewEvents.wentWrong({ words: 'Something.' }));
    expect(store.selectSignal(selectFault)()).toBe('Something.');
    store.dispatch(viewEvents.faultRead());
    expect(store.selectSignal(selectFault)()).toBeNull();
  });
});
