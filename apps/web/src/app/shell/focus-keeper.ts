import { Injectable } from '@angular/core';

const focusable =
  'a[href], button:not([disabled]), input:not([disabled]), textarea:not([disabled]), summary, [tabindex]:not([tabindex="-1"])';

const visible = (element: HTMLElement): boolean => element.getClientRects().length > 0;

/** How many frames a view may take to be drawn again after something was removed or closed. */
const frames = 6;

/**
 * Keeps the focus near where it was: when the focused element is removed, it goes to what stands at its place, else to
 * the nearest before it; when a panel closes, to what had the focus when it opened. Without this a keyboard starts again
 * at the top of the page after every removal.
 */
@Injectable({ providedIn: 'root' })
export class FocusKeeper {
  private last: Element | null = null;
  private ancestors: readonly HTMLElement[] = [];
  private places: readonly number[] = [];

  /** Watches the document; called once. */
  watch(): void {
    document.addEventListener('focusin', ({ target }) => {
      if (target instanceof Element) this.remember(target);
    });
    for (const event of ['click', 'keydown'])
      document.addEventListener(event, () => requestAnimationFrame(() => this.look(frames)), { capture: true });
  }

  /** What has the focus now, to be given back when a panel closes. */
  give(): () => void {
    const had = document.activeElement;
    return () => {
      if (had instanceof HTMLElement && had.isConnected && had !== document.body) had.focus();
    };
  }

  private remember(target: Element): void {
    const chain: HTMLElement[] = [];
    for (let at = target.parentElement; at && at !== document.body; at = at.parentElement) chain.push(at);
    this.last = target;
    this.ancestors = chain;
    this.places = chain.map((one) => [...one.querySelectorAll(focusable)].indexOf(target));
  }

  /** Focus is lost when nothing has it: what it was on has gone. */
  private look(left: number): void {
    const lost = document.activeElement === document.body || document.activeElement === null;
    // Pressing an empty place lets go of the focus on purpose.
    if (!lost || this.last?.isConnected !== false) return left > 0 ? this.again(left) : undefined;
    const i = this.ancestors.findIndex((one) => one.isConnected && one.querySelector(focusable));
    const near = this.ancestors[i];
    if (near && left <= frames - 2) {
      const all = [...near.querySelectorAll<HTMLElement>(focusable)].filter(visible);
      const place = Math.min(all.length - 1, Math.max(0, this.places[i] ?? 0));
      const next = all[place];
      if (next) {
        next.focus({ preventScroll: true });
        return;
      }
    }
    if (left > 0) this.again(left);
  }

  private again(left: number): void {
    requestAnimationFrame(() => this.look(left - 1));
  }
}
