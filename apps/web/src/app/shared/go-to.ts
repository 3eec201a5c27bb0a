import { inject, Injectable, signal } from '@angular/core';
import { Router } from '@angular/router';
import type { Target } from '@grey-keel/model';
import { placeKey, Places } from './plan-place.ts';

const focusable = 'input,textarea,button,a,[tabindex]';
/** What is closed is opened, and what waits for an idle moment is drawn, within so many frames. */
const usualFrames = 90;

/** Brings a place of the plan into view and focuses it, on another stage if need be. */
@Injectable({ providedIn: 'root' })
export class GoTo {
  private readonly router = inject(Router);
  private readonly places = inject(Places);
  /** What is looked for, so that a page can open what is closed on the way there. */
  readonly wanted = signal<Target | null>(null);

  async stage(boatId: string, stage: string, target: Target): Promise<void> {
    this.wanted.set(target);
    await this.router.navigate(['boats', boatId, stage]);
    this.show(target);
  }

  /** It may only appear once its page is drawn, so it is looked for over a few frames. */
  show(target: Target): void {
    this.wanted.set(target);
    this.look(target, usualFrames);
  }

  private look(target: Target, frames: number): void {
    if (this.wanted() !== target) return;
    const found = this.places.find(placeKey(target));
    if (!found && frames > 0) return void requestAnimationFrame(() => this.look(target, frames - 1));
    this.wanted.set(null);
    if (!found) return;
    found.scrollIntoView({ block: 'center' });
    (found.matches(focusable) ? found : (found.querySelector<HTMLElement>(focusable) ?? found)).focus();
  }
}
