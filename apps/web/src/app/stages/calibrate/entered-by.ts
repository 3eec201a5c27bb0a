import { signal } from '@angular/core';

/** Who enters figures on the displays, as it was typed last: one person mostly does a whole boat. */
const lastNamed = signal('');
export const enteredBy = () => lastNamed;
