import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { Store } from '@ngrx/store';
import { type Told, ToastLine } from '../shared/toast.ts';
import { OpenPlan } from '../state/open-plan.ts';
import { selectUndo } from '../state/plan.selectors.ts';
import type { UndoStep } from '../state/plan.state.ts';

/** What goes along with a thing that is deleted, by the part of the plan it stands in. */
const companions: Readonly<Record<string, readonly [one: string, several: string]>> = {
  displays: ['display', 'displays'],
  pages: ['page', 'pages'],
  keys: ['set of keys', 'sets of keys'],
  depthOffsets: ['depth offset', 'depth offsets'],
};

/** Of a step that took something away: what it was, and what went with it; null of any other. */
export const removedInWords = ({ label, patches }: UndoStep): string | null => {
  const said = /^(delete|remove) (.+)$/.exec(label);
  if (!said) return null;
  const back = patches.filter(({ op, path }) => op === 'add' && path.length === 2);
  const along = Object.entries(companions).flatMap(([part, [one, several]]) => {
    const count = back.filter(({ path }) => path[0] === part).length;
    return count > 0 && back.length > count ? [`${count} ${count === 1 ? one : several}`] : [];
  });
  return `${said[1] === 'delete' ? 'Deleted' : 'Removed'} ${said[2] ?? ''}${along.length ? `, with ${along.join(', ')}` : ''}.`;
};

/** After every removal: what was taken away, and the way to have it back. */
@Component({
  selector: 'gk-removed-line',
  imports: [ToastLine],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (told(); as line) {
      <gk-toast [told]="line" (undone)="undo()" (closed)="closed.set(true)" />
    }
  `,
})
export class RemovedLine {
  private readonly open = inject(OpenPlan);
  private readonly steps = inject(Store).selectSignal(selectUndo);
  private readonly last = computed(() => this.steps().at(-1));
  protected readonly closed = linkedSignal({ source: this.last, computation: () => false });
  /** What is had back by undo, or by a reload, is no news. */
  protected readonly told = computed((): Told | null => {
    const last = this.last();
    const text = last?.label === this.open.justDone() && last && !this.closed() ? removedInWords(last) : null;
    return text === null ? null : { text, bad: false, undo: true };
  });

  constructor() {
    this.open.justDone.set(null);
  }

  protected undo(): void {
    this.open.undo();
  }
}
