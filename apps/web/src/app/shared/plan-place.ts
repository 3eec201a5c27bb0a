import { computed, Directive, effect, ElementRef, inject, Injectable, input } from '@angular/core';
import type { Path, Target } from '@grey-keel/model';

/** A place of the plan or a named action as one text. */
export const placeKey = (place: Path | Target): string => {
  if (Array.isArray(place)) return place.join('/');
  return 'path' in place ? place.path.join('/') : [place.action, ...place.of].join(': ');
};

/** Where on the screen each place of the plan is changed, as far as it is drawn now. */
@Injectable({ providedIn: 'root' })
export class Places {
  private readonly elements = new Map<string, Set<HTMLElement>>();

  register(key: string, element: HTMLElement): () => void {
    const there = this.elements.get(key) ?? new Set();
    this.elements.set(key, there.add(element));
    return () => there.delete(element);
  }

  find(key: string): HTMLElement | null {
    return [...(this.elements.get(key) ?? [])].find((element) => element.isConnected) ?? null;
  }
}

/** Says of a field, a button or a section which place of the plan is changed there, so that a fix can lead to it. */
@Directive({ selector: '[gkPlace]', host: { '[attr.data-place]': 'key()' } })
export class PlanPlace {
  readonly gkPlace = input<Path | Target | null>(null);
  private readonly places = inject(Places);
  private readonly element = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  protected readonly key = computed(() => {
    const place = this.gkPlace();
    return place && placeKey(place);
  });

  constructor() {
    effect((gone) => {
      const key = this.key();
      if (key !== null) gone(this.places.register(key, this.element));
    });
  }
}
