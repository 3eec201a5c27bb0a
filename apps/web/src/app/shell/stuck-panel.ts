import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { saveFile } from '../shared/save-file.ts';
import { pathsInWords } from '../state/path-in-words.ts';
import { boatEvents } from '../state/plan.actions.ts';
import { selectPlan, selectStuck } from '../state/plan.selectors.ts';

/** Changes that cannot be saved any more: what they are, why not, and the two things that can be done with them. */
@Component({
  selector: 'gk-stuck-panel',
  imports: [Button],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (list().length) {
      <section class="sheet" aria-labelledby="stuck-title">
        <h2 id="stuck-title">Not saved: {{ list().length === 1 ? 'one change' : list().length + ' changes' }}</h2>
        <p>These wait in this browser and hold up nothing else. Export one to look at it or to enter it again.</p>
        <ul>
          @for (one of list(); track one.revisionId) {
            <li>
              <div class="what">
                <strong>{{ one.what }}</strong>
                <p class="small">{{ one.reason }}</p>
              </div>
              <p-button label="Export" severity="secondary" [ariaLabel]="'Export ' + one.what" (onClick)="save(one)" />
              <p-button
                label="Delete"
                severity="secondary"
                [ariaLabel]="'Delete ' + one.what"
                (onClick)="drop(one.revisionId)"
              />
            </li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    section {
      margin: 8px 0;
      border: 2px solid var(--check);
    }
    ul {
      list-style: none;
      padding: 0;
    }
    li {
      display: flex;
      gap: 8px;
      align-items: center;
      min-height: var(--touch);
    }
    .what {
      flex: 1;
    }
  `,
})
export class StuckPanel {
  private readonly store = inject(Store);
  private readonly plan = this.store.selectSignal(selectPlan);
  private readonly stuck = this.store.selectSignal(selectStuck);
  protected readonly list = computed(() => {
    const plan = this.plan();
    return this.stuck().map((one) => ({
      ...one,
      what: plan
        ? pathsInWords(
            plan,
            one.patches.map(({ path }) => path),
          )
        : one.revisionId,
    }));
  });

  protected save({ revisionId, edits, reason }: { revisionId: string; edits: unknown; reason: string }): void {
    const text = JSON.stringify({ reason, revisionId, edits }, null, 2);
    saveFile(new Blob([text], { type: 'application/json' }), `not-saved-${revisionId.slice(0, 8)}.json`);
  }

  protected drop(revisionId: string): void {
    this.store.dispatch(boatEvents.stuckDropped({ revisionId }));
  }
}
