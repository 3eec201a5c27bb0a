import { BreakpointObserver } from '@angular/cdk/layout';
import { inject, type Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { map } from 'rxjs';

/** Whether it is a thumb that points, wet perhaps, and not a mouse. Called where things can be injected. */
export const coarsePointer = (): Signal<boolean> =>
  toSignal(
    inject(BreakpointObserver)
      .observe('(pointer: coarse)')
      .pipe(map(({ matches }) => matches)),
    { initialValue: false },
  );
