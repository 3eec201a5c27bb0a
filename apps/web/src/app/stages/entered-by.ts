import { Injectable, signal } from '@angular/core';

/** Who enters figures on the displays, as it was typed last: one person mostly does a whole boat. */
@Injectable({ providedIn: 'root' })
export class EnteredBy {
  readonly name = signal('');
}
