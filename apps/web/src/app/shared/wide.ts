import { DestroyRef, Directive, ElementRef, inject, signal } from '@angular/core';

/**
 * What may be wider than the screen: it scrolls within its own frame, and while it does, Tab stops at it so that the
 * arrows can scroll it.
 */
@Directive({
  selector: '[gkWide]',
  host: {
    class: 'wide',
    '[attr.tabindex]': 'scrolls() ? 0 : null',
    '[attr.role]': "ownLabel === null && scrolls() ? 'group' : null",
    '[attr.aria-label]': "ownLabel ?? (scrolls() ? 'Scrolls sideways' : null)",
  },
})
export class Wide {
  private readonly host = (inject(ElementRef) as ElementRef<HTMLElement>).nativeElement;
  protected readonly scrolls = signal(false);
  /** Of what has a name already. */
  protected readonly ownLabel = this.host.getAttribute('aria-label');

  constructor() {
    const { host } = this;
    const sizes = new ResizeObserver(() => this.scrolls.set(host.scrollWidth > host.clientWidth));
    const watch = (): void => {
      sizes.disconnect();
      for (const one of [host, ...host.children]) sizes.observe(one);
    };
    const contents = new MutationObserver(watch);
    contents.observe(host, { childList: true });
    watch();
    inject(DestroyRef).onDestroy(() => {
      contents.disconnect();
      sizes.disconnect();
    });
  }
}
