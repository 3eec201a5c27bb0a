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
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { Dialog } from 'primeng/dialog';
import { FocusKeeper } from './focus-keeper.ts';
import { GoTo } from '../shared/go-to.ts';
import { fleetFeature, fleetPageEvents } from '../state/fleet.ts';
import { selectBoatId, selectPlan } from '../state/plan.selectors.ts';
import { viewEvents } from '../state/view.ts';
import { findEntries, findIn, type FindEntry } from './find-entries.ts';

/** Find anything by its name: boats, stages, parts, settings, help. Arrows choose, Enter goes there. */
@Component({
  selector: 'gk-find-panel',
  imports: [Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog
      header="Find"
      closeAriaLabel="Close"
      [modal]="true"
      [(visible)]="open"
      [style]="{ width: '520px' }"
      position="top"
      [dismissableMask]="true"
      (onShow)="focus()"
      (onHide)="arrive()"
    >
      <label class="hidden-label" for="find-words">Boats, parts, settings, help</label>
      <input
        id="find-words"
        type="text"
        autocomplete="off"
        placeholder="boats, parts, settings, help"
        role="combobox"
        aria-expanded="true"
        aria-controls="find-list"
        [attr.aria-activedescendant]="found().length ? 'found-' + at() : null"
        [value]="typed()"
        (input)="type($any($event.target).value)"
        (keydown.arrowdown)="step(1, $event)"
        (keydown.arrowup)="step(-1, $event)"
        (keydown.enter)="go(found()[at()])"
      />
      <ul id="find-list" role="listbox" aria-label="Found">
        @for (one of found(); track $index) {
          <li
            role="option"
            [id]="'found-' + $index"
            [attr.aria-selected]="$index === at()"
            (click)="go(one)"
            (keydown.enter)="go(one)"
            tabindex="-1"
          >
            {{ one.name }} <span class="small faint">{{ one.kind }}</span>
          </li>
        }
      </ul>
      @if (!found().length) {
        <p class="faint" role="status">Nothing is called that. Part of a name is enough.</p>
      }
    </p-dialog>
  `,
  styles: `
    input {
      margin-top: 4px;
      width: 100%;
      min-height: var(--touch);
      padding: 4px 8px;
      background: var(--sheet);
      color: var(--ink);
      border: 1px solid var(--hull-light);
    }
    ul {
      margin: 8px 0 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      justify-content: space-between;
      align-items: center;
      min-height: var(--touch);
      padding: 0 8px;
      cursor: pointer;
    }
    li[aria-selected='true'] {
      background: var(--water-wash);
    }
    li[aria-selected='true'] .faint {
      color: var(--ink);
    }
  `,
})
export class FindPanel {
  readonly open = model(false);
  readonly shortcuts = output();
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly goTo = inject(GoTo);
  private readonly plan = this.store.selectSignal(selectPlan);
  private readonly boatId = this.store.selectSignal(selectBoatId);
  private readonly fleet = this.store.selectSignal(fleetFeature.selectAll);

  protected readonly typed = signal('');
  protected readonly at = signal(0);
  protected readonly found = computed(() =>
    this.open() ? findIn(findEntries(this.plan(), this.boatId(), this.fleet()), this.typed()) : [],
  );

  constructor() {
    effect(() => {
      if (!this.open()) return;
      untracked(() => {
        this.giveBack = this.keeper.give();
        this.type('');
        this.store.dispatch(fleetPageEvents.opened());
      });
    });
  }

  protected focus(): void {
    document.getElementById('find-words')?.focus();
  }

  protected type(words: string): void {
    this.typed.set(words);
    this.at.set(0);
  }

  protected step(by: number, event: Event): void {
    event.preventDefault();
    const count = this.found().length;
    if (count) this.at.update((at) => (at + by + count) % count);
  }

  private readonly keeper = inject(FocusKeeper);
  private giveBack: () => void = () => undefined;
  private going: FindEntry | null = null;

  protected go(entry: FindEntry | undefined): void {
    if (!entry) return;
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
    else if (entry.boatId !== null && entry.target !== null)
      void this.goTo.stage(entry.boatId, entry.stage, entry.target);
    else if (entry.boatId !== null) void this.router.navigate(['boats', entry.boatId, entry.stage]);
  }
}
