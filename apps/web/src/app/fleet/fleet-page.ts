import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { FormsModule } from '@angular/forms';
import { nameSchema, type FleetEntry } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { debounceTime, filter, merge } from 'rxjs';
import { ChoiceField, choicesOf } from '../shared/choice-field.ts';
import { calledAlike, fleetFeature, fleetPageEvents } from '../state/fleet.ts';
import { newId } from '../state/open-plan.ts';
import { ServerNews } from '../state/server-news.ts';
import { selectTheme, selectUnitChoice, viewEvents } from '../state/view.ts';
import { BackupsDialog } from './backups-dialog.ts';
import { fleetFilters, filterFleet, type FleetFilter } from './fleet-filter.ts';
import { FleetList } from './fleet-list.ts';

/** How long it is waited for a change that follows at once, ms. */
const settleMs = 400;
/** The server takes at most this much; saying so here spares the sending. */
const largestBundleBytes = 8 * 1024 * 1024;

/** All the boats of the shop, each with its own small waterline. */
@Component({
  selector: 'gk-fleet-page',
  imports: [BackupsDialog, ButtonDirective, ChoiceField, FleetList, FormsModule, InputText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header>
      <h1>Grey Keel</h1>
      <span class="faint">Boats, and how far each has come</span>
      <button type="button" pButton severity="secondary" (click)="store.dispatch(nextTheme)">
        Theme: {{ theme() }}
      </button>
    </header>
    <main>
      @if (message(); as words) {
        <p class="sheet told" [class.bad]="words.bad" role="alert">
          {{ words.text }}
          @if (words.removed; as gone) {
            <button type="button" pButton text (click)="recall(gone)">Undo</button>
          }
          <button type="button" pButton text (click)="store.dispatch(messageRead)">Close</button>
        </p>
      }
      <section class="sheet" aria-labelledby="fleet-title">
        <div class="row top">
          <h2 id="fleet-title">Fleet</h2>
          <form class="row" (ngSubmit)="make()">
            <label for="new-boat" class="small faint">New boat</label>
            <input
              pInputText
              id="new-boat"
              name="name"
              autocomplete="off"
              placeholder="name of the boat"
              [(ngModel)]="name"
            />
            <button type="submit" pButton>Add boat</button>
          </form>
          <button type="button" pButton severity="secondary" id="open-backups" (click)="backupsOpen.set(true)">
            Backups
          </button>
          <label class="action file" for="bundle-file">
            Import a bundle
            <input id="bundle-file" type="file" accept=".json,application/json" (change)="take($event)" />
          </label>
        </div>
        @switch (status()) {
          @case ('failed') {
            <p role="alert">{{ problem() }} <button type="button" pButton text (click)="load()">Try again</button></p>
          }
          @case ('ready') {
            @if (boats().length === 0) {
              <p class="empty">No boat yet. Add one by its name, or import a bundle from another shop.</p>
            } @else {
              <div class="row search">
                <span class="field">
                  <label for="fleet-search" class="small faint">Search name, water or hull</label>
                  <input
                    pInputText
                    id="fleet-search"
                    type="search"
                    autocomplete="off"
                    [value]="search()"
                    (input)="search.set($any($event.target).value)"
                  />
                </span>
                <gk-choice-field
                  label="Show"
                  fieldId="fleet-filter"
                  [value]="filter()"
                  [choices]="filters"
                  (changed)="filter.set($event)"
                />
                <span class="small faint" role="status">{{ shown().length }} of {{ boats().length }}</span>
              </div>
              <gk-fleet-list
                [boats]="shown()"
                [units]="units()"
                (copied)="copy($event)"
                (exported)="export($event)"
                (removed)="remove($event)"
              />
            }
          }
          @default {
            <p role="status">Fetching the fleet.</p>
          }
        }
      </section>
    </main>
    @defer (when backupsOpen()) {
      <gk-backups-dialog [(open)]="backupsOpen" (restored)="store.dispatch(restored)" />
    }
  `,
  styles: `
    header {
      display: flex;
      flex-wrap: wrap;
      gap: 14px;
      align-items: center;
      padding: 8px 24px;
      background: var(--sheet);
      border-bottom: 2px solid var(--rule);
    }
    header span {
      flex: 1;
    }
    main {
      max-width: 1232px;
      margin: 0 auto;
      padding: 16px 24px;
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 12px;
    }
    .top {
      justify-content: space-between;
      margin-bottom: 10px;
      align-items: center;
    }
    form.row {
      align-items: center;
    }
    input {
      min-height: var(--touch);
      padding: 4px 8px;
    }
    .file {
      display: inline-flex;
      align-items: center;
      position: relative;
    }
    .file input {
      position: absolute;
      inset: 0;
      opacity: 0;
      cursor: pointer;
    }
    .file:focus-within {
      outline: 3px solid var(--water);
    }
    .told {
      padding: 2px 14px;
    }
    .bad {
      border-color: var(--stop);
    }
    .search {
      margin-bottom: 8px;
    }
    .field {
      display: grid;
    }
    .empty {
      padding: 24px 0;
    }
  `,
})
export class FleetPage {
  protected readonly store = inject(Store);
  protected readonly backupsOpen = signal(false);
  protected readonly nextTheme = viewEvents.nextThemeWanted();
  protected readonly messageRead = fleetPageEvents.messageRead();
  protected readonly restored = fleetPageEvents.backupRestored();
  protected readonly theme = this.store.selectSignal(selectTheme);
  protected readonly units = this.store.selectSignal(selectUnitChoice);
  protected readonly boats = this.store.selectSignal(fleetFeature.selectAll);
  protected readonly status = this.store.selectSignal(fleetFeature.selectStatus);
  protected readonly problem = this.store.selectSignal(fleetFeature.selectProblem);
  protected readonly message = this.store.selectSignal(fleetFeature.selectMessage);
  protected name = '';
  protected readonly filters = choicesOf(fleetFilters);
  protected readonly search = signal('');
  protected readonly filter = signal<FleetFilter>('all');
  protected readonly shown = computed(() => filterFleet(this.boats(), this.search(), this.filter()));
  /** A name that was said to be there already: pressing again means it. */
  private asked = '';

  constructor() {
    this.load();
    const news = inject(ServerNews);
    // What others add, change and delete is seen without a reload, a little after the last of several changes.
    merge(news.told, news.linked.pipe(filter((up) => up)))
      .pipe(debounceTime(settleMs), takeUntilDestroyed())
      .subscribe(() => this.load());
  }

  protected load(): void {
    this.store.dispatch(fleetPageEvents.opened());
  }

  protected make(): void {
    const name = nameSchema.safeParse(this.name.trim());
    if (!name.success) return this.refuse(`New boat: ${name.error.issues[0]?.message ?? ''}`);
    if (calledAlike(this.boats(), name.data).length && this.asked !== name.data) {
      this.asked = name.data;
      return this.refuse(
        `New boat: there is a boat called "${name.data}" already. Give this one another name, or press "Add boat" again to have two of it.`,
      );
    }
    this.store.dispatch(fleetPageEvents.boatNamed({ id: newId(), name: name.data }));
  }

  protected async take(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    if (!file) return;
    field.value = '';
    if (file.size > largestBundleBytes)
      return this.refuse(
        `${file.name} is ${(file.size / 1024 / 1024).toFixed(0)} MB long; a bundle has at most 8 MB. Nothing was imported.`,
      );
    this.store.dispatch(fleetPageEvents.bundleChosen({ id: newId(), text: await file.text() }));
  }

  protected export(boat: FleetEntry): void {
    this.store.dispatch(fleetPageEvents.bundleWanted({ boat }));
  }

  protected copy(boat: FleetEntry): void {
    this.store.dispatch(fleetPageEvents.copyWanted({ id: newId(), boat }));
  }

  protected remove(boat: FleetEntry): void {
    this.store.dispatch(fleetPageEvents.boatDeleted({ boat }));
  }

  protected recall(boat: FleetEntry): void {
    this.store.dispatch(fleetPageEvents.boatWantedBack({ boat }));
  }

  private refuse(words: string): void {
    this.store.dispatch(fleetPageEvents.refused({ words }));
  }
}
