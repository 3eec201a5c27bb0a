import { Injectable, signal } from '@angular/core';
import type { WorkingStep } from '@grey-keel/core';

export interface ShownWorking {
  readonly of: string;
  readonly result: string;
  readonly steps: readonly WorkingStep[];
}

/** The working that is open beside the stage, if any. */
@Injectable({ providedIn: 'root' })
export class Working {
  readonly shown = signal<ShownWorking | null>(null);
  private cameFrom: HTMLElement | null = null;

  show(of: string, result: string, steps: readonly WorkingStep[]): void {
    this.cameFrom = document.activeElement instanceof HTMLElement ? document.activeElement : null;
    this.shown.set({ of, result, steps });
  }

  close(): void {
    this.shown.set(null);
    this.cameFrom?.focus();
  }
}
