import { BreakpointObserver } from '@angular/cdk/layout';
import { inject, type Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { map } from 'rxjs';

/** It is a thumb that points, wet perhaps, and not a mouse. */
export const coarsePointer = '(pointer: coarse)';
/** As wide as a phone, and no wider. */
export const narrowScreen = '(max-width: 760px)';

/** Whether the screen is so, as it is turned and docked. Called where things can be injected. */
export const mediaMatches = (query: string): Signal<boolean> =>
  toSignal(
    inject(BreakpointObserver)
      .observe(query)
      .pipe(map(({ matches }) => matches)),
    { initialValue: false },
  );
