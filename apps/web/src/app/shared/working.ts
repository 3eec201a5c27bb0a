import { Injectable, signal } from '@angular/core';
import type { WorkingStep } from '@grey-keel/model';

export interface ShownWorking {
  readonly of: string;
  readonly result: string;
  readonly steps: readonly WorkingStep[];
  /** What to say where there are no steps. */
  readonly without: string;
}

/** The working that is open beside the stage, if any. */
@Injectable({ providedIn: 'root' })
export class Working {
  readonly shown = signal<ShownWorking | null>(null);
  private cameFrom: HTMLElement | null = null;

  show(of: string, result: string, steps: readonly WorkingStep[], without = ''): void {
    this.cameFrom = document.activeElement instanceof HTMLElement ? document.activeElement : null;
    this.shown.set({ of, result, steps, without: without || 'As it was measured or quoted: nothing was worked out.' });
  }

  close(): void {
    this.shown.set(null);
    this.cameFrom?.focus();
  }
}
