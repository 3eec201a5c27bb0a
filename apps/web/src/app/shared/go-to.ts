import { inject, Injectable, signal } from '@angular/core';
import { Router } from '@angular/router';

/** Brings a named element into view and focuses it, on another stage if need be. */
@Injectable({ providedIn: 'root' })
export class GoTo {
  private readonly router = inject(Router);
  /** What is looked for, so that a stage of several views can show the one that has it. */
  readonly target = signal<string | null>(null);

  async stage(boatId: string, stage: string, target: string): Promise<void> {
    this.target.set(target);
    await this.router.navigate(['boats', boatId, stage]);
    this.element(target, 20);
  }

  /** The element may only appear once its stage is drawn, so it is looked for over a few frames. */
  element(id: string, frames: number): void {
    this.target.set(id);
    this.look(id, frames);
  }

  private look(id: string, frames: number): void {
    const found = document.getElementById(id) ?? document.querySelector<HTMLElement>(`[id^="${CSS.escape(id)}"]`);
    if (!found) {
      if (frames > 0) requestAnimationFrame(() => this.look(id, frames - 1));
      return;
    }
    const focusable = found.matches('input,select,button,a,[tabindex]')
      ? found
      : found.querySelector<HTMLElement>('input,select,button,a,[tabindex]');
    found.scrollIntoView({ block: 'center' });
    (focusable ?? found).focus();
  }
}
