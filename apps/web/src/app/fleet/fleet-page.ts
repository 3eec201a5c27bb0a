import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { fleetShows, type FleetEntry, type FleetQuery, type NewBoat, type RemovedBoat } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { InputText } from 'primeng/inputtext';
import { debounceTime, filter, merge } from 'rxjs';
import { ChoiceField, choicesOf } from '../shared/choice-field.ts';
import { FileButton } from '../shared/file-button.ts';
import { ToastLine } from '../shared/toast.ts';
import { fleetFeature, fleetPageEvents } from '../state/fleet.ts';
import { newId } from '../state/open-plan.ts';
import { ServerNews } from '../state/server-news.ts';
import { selectTheme, selectUnitChoice, viewEvents } from '../state/view.ts';
import { AddBoatDialog } from './add-boat-dialog.ts';
import { RemovedDialog } from './removed-dialog.ts';
import { BackupsDialog } from './backups-dialog.ts';
import { FleetList } from './fleet-list.ts';
import { readBundles } from './read-bundles.ts';
import { PressButton } from '../shared/press-button.ts';

/** How long it is waited for a change that follows at once, ms. */
const settleMs = 400;

/** All the boats of the shop, each with its own small ladder. */
@Component({
  selector: 'gk-fleet-page',
  imports: [
    AddBoatDialog,
    BackupsDialog,
    ChoiceField,
    FileButton,
    FleetList,
    InputText,
    PressButton,
    RemovedDialog,
    ToastLine,
  ],
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
      <section class="sheet" aria-labelledby="fleet-title">
        <div class="row top">
          <h2 id="fleet-title">Fleet</h2>
          <span class="row">
            <button type="button" pButton id="add-boat" (click)="addingChanged(true)">Add a boat</button>
            <gk-file-button
              label="Import bundles"
              fieldId="bundle-file"
              accept=".json,.zip,application/json,application/zip"
              [several]="true"
              (chosen)="take($event)"
            />
            <button type="button" pButton severity="secondary" id="open-backups" (click)="backupsOpen.set(true)">
              Backups
            </button>
            <button type="button" pButton severity="secondary" id="open-removed" (click)="removedOpen.set(true)">
              Deleted boats
            </button>
          </span>
        </div>
        @if (problem(); as why) {
          <p role="alert">{{ why }} <button type="button" pButton text (click)="load()">Try again</button></p>
        }
        @switch (status()) {
          @case ('ready') {
            @if (all() === 0) {
              <p class="empty">No boat yet. Add one by its name, or import a bundle from another shop.</p>
            } @else {
              <div class="row search">
                <span class="field">
                  <label for="fleet-search" class="small faint">Search name, water or hull</label>
                  <input
                    pInputText
                    id="fleet-search"
                    type="search"
                    maxlength="200"
                    autocomplete="off"
                    [value]="query().search"
                    (input)="ask({ search: $any($event.target).value })"
                  />
                </span>
                <gk-choice-field
                  label="Show"
                  fieldId="fleet-filter"
                  [value]="query().show"
                  [choices]="shows"
                  (changed)="ask({ show: $event })"
                />
                <span class="small faint counted" role="status">
                  {{ found() }} of {{ all() }}
                  @if (waiting(); as left) {
                    ; {{ left }} are being judged anew, and may come at another place
                  }
                </span>
                @if (chosen().length) {
                  <span class="row chosen">
                    <strong>{{ chosen().length }} chosen</strong>
                    <button type="button" pButton severity="secondary" id="export-chosen" (click)="export(chosen())">
                      Export
                    </button>
                    <button
                      type="button"
                      pButton
                      severity="danger"
                      outlined
                      id="delete-chosen"
                      (click)="remove(chosen())"
                    >
                      Delete
                    </button>
                    <button type="button" pButton text (click)="chosen.set([])">Choose none</button>
                  </span>
                }
              </div>
              <gk-fleet-list
                [boats]="boats()"
                [query]="query()"
                [found]="found()"
                [units]="units()"
                [(chosen)]="chosen"
                (queried)="ask($event)"
                (copied)="copy($event)"
                (practised)="practise($event)"
                (exported)="export([$event])"
                (removed)="remove([$event])"
              />
            }
          }
          @case ('loading') {
            <p role="status">Fetching the fleet.</p>
          }
        }
      </section>
    </main>
    @defer (when told(); prefetch on idle) {
      <gk-toast [told]="told()" (undone)="recall()" (closed)="store.dispatch(messageRead)" />
    }
    @defer (when adding()) {
      <gk-add-boat-dialog
        [open]="adding()"
        (openChange)="addingChanged($event)"
        [problem]="addProblem()"
        (named)="make($event)"
        (given)="take($event)"
      />
    }
    @defer (when removedOpen()) {
      <gk-removed-dialog [(open)]="removedOpen" (wantedBack)="haveBack($event)" />
    }
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
      max-width: 1264px;
      margin: 0 auto;
      padding: 16px;
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 12px;
    }
    @media (max-width: 760px) {
      header span {
        display: none;
      }
      header {
        justify-content: space-between;
      }
    }
    .top {
      justify-content: space-between;
      margin-bottom: 10px;
      align-items: center;
    }
    input {
      min-height: var(--touch);
      padding: 4px 8px;
    }
    .search {
      margin-bottom: 8px;
    }
    .field {
      display: grid;
    }
    .counted,
    .chosen strong {
      line-height: var(--touch);
    }
    .chosen {
      margin-left: auto;
    }
    .empty {
      padding: 24px 0;
    }
  `,
})
export class FleetPage {
  protected readonly store = inject(Store);
  protected readonly backupsOpen = signal(false);
  protected readonly removedOpen = signal(false);
  protected readonly adding = signal(false);
  protected readonly nextTheme = viewEvents.nextThemeWanted();
  protected readonly messageRead = fleetPageEvents.messageRead();
  protected readonly restored = fleetPageEvents.backupRestored();
  protected readonly theme = this.store.selectSignal(selectTheme);
  protected readonly units = this.store.selectSignal(selectUnitChoice);
  protected readonly boats = this.store.selectSignal(fleetFeature.selectAll);
  protected readonly query = this.store.selectSignal(fleetFeature.selectQuery);
  protected readonly found = this.store.selectSignal(fleetFeature.selectFound);
  protected readonly all = this.store.selectSignal(fleetFeature.selectAllBoats);
  protected readonly waiting = this.store.selectSignal(fleetFeature.selectWaiting);
  protected readonly status = this.store.selectSignal(fleetFeature.selectStatus);
  protected readonly problem = this.store.selectSignal(fleetFeature.selectProblem);
  private readonly message = this.store.selectSignal(fleetFeature.selectMessage);
  private readonly taken = this.store.selectSignal(fleetFeature.selectTaken);
  protected readonly shows = choicesOf(fleetShows);
  protected readonly chosen = signal<FleetEntry[]>([]);
  /** What is wrong with a new boat is said where it is added. */
  protected readonly addProblem = computed(() =>
    this.message()?.bad === true ? (this.message()?.text ?? null) : null,
  );
  protected readonly told = computed(() => {
    const message = this.message();
    if (!message || (this.adding() && message.bad)) return null;
    return { text: message.text, bad: message.bad, undo: message.removed.length > 0 };
  });

  constructor() {
    this.load();
    const news = inject(ServerNews);
    // What others add, change and delete is seen without a reload, a little after the last of several changes.
    merge(news.told, news.linked.pipe(filter((up) => up)))
      .pipe(debounceTime(settleMs), takeUntilDestroyed())
      .subscribe(() => this.load());
  }

  /** What was wrong with a new boat goes with the dialog. */
  protected addingChanged(open: boolean): void {
    this.adding.set(open);
    this.store.dispatch(this.messageRead);
  }

  protected haveBack(boat: RemovedBoat): void {
    this.store.dispatch(fleetPageEvents.boatsWantedBack({ boats: [boat] }));
  }

  protected load(): void {
    this.store.dispatch(fleetPageEvents.opened());
  }

  protected ask(changes: Partial<FleetQuery>): void {
    this.store.dispatch(fleetPageEvents.queryChanged({ changes }));
  }

  protected make(boat: NewBoat): void {
    this.store.dispatch(fleetPageEvents.boatNamed({ id: newId(), boat, meant: this.taken() === boat.name }));
  }

  protected async take(files: readonly File[]): Promise<void> {
    for (const file of files) {
      const read = await readBundles(file);
      const words = read.ok ? read.leftOut : read.words;
      if (read.ok)
        for (const text of read.texts) this.store.dispatch(fleetPageEvents.bundleChosen({ id: newId(), text }));
      if (words !== '') this.store.dispatch(fleetPageEvents.refused({ words }));
    }
  }

  protected export(boats: readonly FleetEntry[]): void {
    this.store.dispatch(fleetPageEvents.bundlesWanted({ boats }));
  }

  protected copy(boat: FleetEntry): void {
    this.store.dispatch(fleetPageEvents.copyWanted({ id: newId(), boat }));
  }

  protected practise(boat: FleetEntry): void {
    this.store.dispatch(fleetPageEvents.copyWanted({ id: newId(), boat, practice: true }));
  }

  protected remove(boats: readonly FleetEntry[]): void {
    this.store.dispatch(fleetPageEvents.boatsDeleted({ boats }));
    this.chosen.set([]);
  }

  protected recall(): void {
    const boats = this.message()?.removed ?? [];
    this.store.dispatch(fleetPageEvents.boatsWantedBack({ boats }));
  }
}
