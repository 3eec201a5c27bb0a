import { DOCUMENT, inject, Injectable } from '@angular/core';
import { Actions, createEffect, ofType, ROOT_EFFECTS_INIT } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import { map, tap } from 'rxjs';
import * as z from 'zod';
import { themeNames, type ThemeName } from '../theme/theme.ts';
import { unitSetNames, viewEvents, viewFeature, type UnitSetName } from './view.ts';

const remembered = z.object({
  units: z.enum(unitSetNames as [UnitSetName, ...UnitSetName[]]).catch('metric'),
  theme: z.enum(themeNames as [ThemeName, ...ThemeName[]]).catch('shop'),
});
const key = 'grey-keel-view';

const read = (): z.output<typeof remembered> => {
  try {
    return remembered.parse(JSON.parse(localStorage.getItem(key) ?? '{}'));
  } catch {
    return remembered.parse({});
  }
};

/** Remembers units and theme in this browser, and puts the theme on the page. */
@Injectable()
export class ViewEffects {
  private readonly events = inject(Actions);
  private readonly view = inject(Store).selectSignal(viewFeature.selectViewState);
  private readonly root = inject(DOCUMENT).documentElement;

  readonly recall = createEffect(() =>
    this.events.pipe(
      ofType(ROOT_EFFECTS_INIT),
      // Where the findings stand below the stage they start folded, so that the picture comes first.
      map(() => viewEvents.remembered({ ...read(), findingsOpen: matchMedia('(min-width: 1101px)').matches })),
    ),
  );

  readonly remember = createEffect(
    () =>
      this.events.pipe(
        ofType(
          viewEvents.remembered,
          viewEvents.unitsChosen,
          viewEvents.nextUnitsWanted,
          viewEvents.themeChosen,
          viewEvents.nextThemeWanted,
        ),
        tap(() => {
          const { units, theme } = this.view();
          this.root.dataset['theme'] = theme;
          try {
            localStorage.setItem(key, JSON.stringify({ units, theme }));
          } catch {
            // A browser that keeps nothing: the choice holds for this page.
          }
        }),
      ),
    { dispatch: false },
  );
}
