import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router } from '@angular/router';
import { filter, map, startWith } from 'rxjs';

/** What of a view stands in the address: the tab, the thing that is open. It is there again after a reload, and by back and forward. */
@Injectable({ providedIn: 'root' })
export class AddressParts {
  private readonly router = inject(Router);
  private readonly query = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      startWith(null),
      map(() => this.router.parseUrl(this.router.url).queryParams as Readonly<Record<string, unknown>>),
    ),
    { requireSync: true },
  );

  /** A part as it stands in the address; null where it does not. */
  part(name: string): string | null {
    const value = this.query()[name];
    return typeof value === 'string' ? value : null;
  }

  /** Puts a part into the address, as a step of its own for back and forward. */
  set(name: string, value: string): void {
    if (this.part(name) === value) return;
    void this.router.navigate([], { queryParams: { [name]: value }, queryParamsHandling: 'merge' });
  }
}
