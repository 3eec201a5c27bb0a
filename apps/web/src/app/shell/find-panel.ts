import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  model,
  output,
  signal,
  untracked,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { AutoComplete } from 'primeng/autocomplete';
import { Dialog } from 'primeng/dialog';
import { FocusKeeper } from './focus-keeper.ts';
import { GoTo } from '../shared/go-to.ts';
import { fleetFeature, fleetPageEvents } from '../state/fleet.ts';
import { FirstFocus } from '../shared/first-focus.ts';
import { selectBoatId, selectPlan } from '../state/plan.selectors.ts';
import { viewEvents } from '../state/view.ts';
import { findEntries, findIn, type FindEntry } from './find-entries.ts';

/** Find anything by its name: boats, stages, parts, settings, help. Arrows choose, Enter goes there. */
@Component({
  selector: 'gk-find-panel',
  imports: [AutoComplete, Dialog, FirstFocus, FormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  // The library hears of it only once the dialog has come: whoever is quicker means it, too.
  host: { '(document:keydown.escape)': 'open.set(false)' },
  template: `
    <p-dialog
      header="Find"
      closeAriaLabel="Close"
      [modal]="true"
      [(visible)]="open"
      [style]="{ width: '520px' }"
      position="top"
      [dismissableMask]="true"
      gkFirstFocus="find-words"
      (onHide)="arrive()"
    >
      <p-autocomplete
        appendTo="body"
        inputId="find-words"
        ariaLabel="Boats, parts, settings, help"
        placeholder="boats, parts, settings, help"
        optionLabel="words"
        emptyMessage="Nothing is called that. Part of a name is enough."
        scrollHeight="75vh"
        [autoOptionFocus]="true"
        [autoHighlight]="true"
        [completeOnFocus]="true"
        [delay]="0"
        [fluid]="true"
        [suggestions]="found()"
        [(ngModel)]="typed"
        (completeMethod)="look($event.query)"
        (onSelect)="go($event.value.entry)"
        (keydown.enter)="goToFirst()"
      >
        <ng-template #item let-one>
          <span class="one"
            >{{ one.entry.name }} <span class="small">{{ one.entry.kind }}</span></span
          >
        </ng-template>
      </p-autocomplete>
    </p-dialog>
  `,
  styles: `
    .one {
      display: flex;
      flex: 1;
      justify-content: space-between;
      gap: 12px;
    }
  `,
})
export class FindPanel {
  readonly open = model(false);
  readonly shortcuts = output();
  /** A term to be explained; null for all of them. */
  readonly term = output<string | null>();
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly goTo = inject(GoTo);
  private readonly plan = this.store.selectSignal(selectPlan);
  private readonly boatId = this.store.selectSignal(selectBoatId);
  private readonly fleet = this.store.selectSignal(fleetFeature.selectNamed);

  protected readonly typed = signal<unknown>('');
  /** Asked anew every time, also for the same words: the list opens when it is given another answer. */
  private readonly asked = signal({ words: '' });
  private readonly entries = computed(() => findEntries(this.plan(), this.boatId(), this.fleet()));
  protected readonly found = computed(() =>
    findIn(this.entries(), this.asked().words).map((entry) => ({ entry, words: `${entry.name} ${entry.kind}` })),
  );

  constructor() {
    effect(() => {
      if (!this.open()) return;
      untracked(() => {
        this.giveBack = this.keeper.give();
        this.typed.set('');
        this.look('');
      });
    });
  }

  protected look(words: string): void {
    this.asked.set({ words });
    this.store.dispatch(fleetPageEvents.namesTyped({ words }));
  }

  /** Whoever types faster than the list comes means its first entry. */
  protected goToFirst(): void {
    const words = this.typed();
    const first = this.open() && typeof words === 'string' ? findIn(this.entries(), words)[0] : undefined;
    if (first) this.go(first);
  }

  private readonly keeper = inject(FocusKeeper);
  private giveBack: () => void = () => undefined;
  private going: FindEntry | null = null;

  protected go(entry: FindEntry): void {
    this.going = entry;
    this.open.set(false);
  }

  /** Only when the panel is gone: until then it holds the focus. */
  protected arrive(): void {
    const entry = this.going;
    this.going = null;
    if (!entry) return this.giveBack();
    if (entry.does === 'units') this.store.dispatch(viewEvents.nextUnitsWanted());
    else if (entry.does === 'theme') this.store.dispatch(viewEvents.nextThemeWanted());
    else if (entry.does === 'shortcuts') this.shortcuts.emit();
    else if (entry.does === 'terms') this.term.emit(entry.kind === 'term' ? entry.name : null);
    else if (entry.boatId !== null && entry.target !== null)
      void this.goTo.stage(entry.boatId, entry.stage, entry.target);
    else if (entry.boatId !== null) void this.router.navigate(['boats', entry.boatId, entry.stage]);
  }
}
