import { Injectable } from '@angular/core';

const focusable =
  'a[href], button:not([disabled]), input:not([disabled]), textarea:not([disabled]), summary, [tabindex]:not([tabindex="-1"])';

const visible = (element: HTMLElement): boolean => element.getClientRects().length > 0;

/** How many frames a view may take to be drawn whole again once something in it was removed. */
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
  private looking = false;

  /** Watches the document; called once. A removal is seen when it comes, however long after the press it does. */
  watch(): void {
    document.addEventListener('focusin', ({ target }) => {
      if (target instanceof Element) this.remember(target);
    });
    // Pressing an empty place lets go of the focus on purpose: what goes later is no loss.
    document.addEventListener('click', () => requestAnimationFrame(() => this.forgetWhatWasLetGo()), { capture: true });
    new MutationObserver(() => {
      if (this.looking || !this.lost()) return;
      this.looking = true;
      // At once: what is drawn next with a claim to the focus of its own, such as a message, finds it taken.
      this.look(frames);
    }).observe(document.body, { childList: true, subtree: true });
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

  private forgetWhatWasLetGo(): void {
    if (this.last?.isConnected && document.activeElement === document.body) this.last = null;
  }

  /** Focus is lost when nothing has it, and what it was on has gone. */
  private lost(): boolean {
    const has = document.activeElement;
    return (has === document.body || has === null) && this.last?.isConnected === false;
  }

  private look(left: number): void {
    if (!this.lost()) {
      this.looking = false;
      return;
    }
    const i = this.ancestors.findIndex((one) => one.isConnected && one.querySelector(focusable));
    const near = this.ancestors[i];
    if (near) {
      const all = [...near.querySelectorAll<HTMLElement>(focusable)].filter(visible);
      const place = Math.min(all.length - 1, Math.max(0, this.places[i] ?? 0));
      all[place]?.focus({ preventScroll: true });
    }
    if (left > 0 && this.lost()) this.again(left);
    else this.looking = false;
  }

  private again(left: number): void {
    requestAnimationFrame(() => this.look(left - 1));
  }
}
