import { act, needsOf } from '@grey-keel/core';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Title } from '@angular/platform-browser';
import { NavigationEnd, Router, RouterLink, RouterOutlet } from '@angular/router';
import { stageSchema } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { Message } from 'primeng/message';
import { filter, map, startWith } from 'rxjs';
import { stageRegister } from '../stages/stages.ts';
import { OpenPlan } from '../state/open-plan.ts';
import { boatEvents } from '../state/plan.actions.ts';
import { selectNotice, selectPlan, selectProblem, selectStatus } from '../state/plan.selectors.ts';
import { viewEvents } from '../state/view.ts';
import { ConflictPanel } from './conflict-panel.ts';
import { StuckPanel } from './stuck-panel.ts';
import { TermsDialog } from './terms-dialog.ts';
import { FindPanel } from './find-panel.ts';
import { FindingsColumn } from './findings-column.ts';
import { HeadStrip } from './head-strip.ts';
import { Ladder } from './ladder.ts';
import { NextStage } from './next-stage.ts';
import { RemovedLine } from './removed-line.ts';
import { Shortcuts } from './shortcuts.ts';
import { WorkingPanel } from './working-panel.ts';
import { PlanPlace } from '../shared/plan-place.ts';
import { PressButton } from '../shared/press-button.ts';
import { ToDoList } from '../shared/to-do-list.ts';

const typing = (target: EventTarget | null): target is HTMLElement =>
  target instanceof HTMLElement && target.closest('input, textarea, [role="combobox"], [role="listbox"]') !== null;

/** One boat open: ladder, head strip, the stage, findings. */
@Component({
  selector: 'gk-boat-shell',
  imports: [
    ConflictPanel,
    FindingsColumn,
    FindPanel,
    HeadStrip,
    Ladder,
    Message,
    NextStage,
    PlanPlace,
    PressButton,
    RemovedLine,
    RouterLink,
    RouterOutlet,
    Shortcuts,
    StuckPanel,
    TermsDialog,
    ToDoList,
    WorkingPanel,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @switch (status()) {
      @case ('ready') {
        <div class="frame">
          <gk-head-strip class="head" (shortcuts)="shortcutsOpen.set(true)" (find)="findOpen.set(true)" />
          <gk-ladder class="ladder" [boatId]="boatId()" />
          <main>
            <gk-conflict-panel />
            <gk-stuck-panel />
            @if (notice(); as words) {
              <p-message severity="info" [closable]="true" (onClose)="store.dispatch(noticeRead)">{{
                words
              }}</p-message>
            }
            <div class="title">
              <h1 id="stage-title" [gkPlace]="stagePlace" tabindex="-1">{{ words().title }}</h1>
              <span class="faint">{{ words().decides }}</span>
              <button
                type="button"
                pButton
                text
                class="small"
                [attr.aria-expanded]="helpOpen()"
                aria-controls="stage-help"
                (click)="helpOpen.set(!helpOpen())"
              >
                {{ helpOpen() ? 'Collapse' : 'About this stage' }}
              </button>
            </div>
            @if (helpOpen()) {
              <ul class="sheet help" id="stage-help">
                @for (line of help(); track line) {
                  <li>{{ line }}</li>
                }
              </ul>
            }
            <gk-to-do-list [items]="needs()" [of]="stage()" />
            <router-outlet />
            <gk-next-stage [boatId]="boatId()" [stage]="stage()" />
          </main>
          <gk-findings-column class="findings" [boatId]="boatId()" [stage]="stage()" />
        </div>
        <gk-removed-line />
        <gk-working-panel />
        <gk-shortcuts [(open)]="shortcutsOpen" />
        <gk-find-panel [(open)]="findOpen" (shortcuts)="shortcutsOpen.set(true)" (term)="explain($event)" />
        @defer (when termsOpen()) {
          <gk-terms-dialog [(open)]="termsOpen" [chosen]="term()" />
        }
      }
      @case ('not found') {
        <main class="alone">
          <h1>No such boat</h1>
          <p>
            There is no boat under this address; it may have been deleted. A deleted boat can be restored from the
            fleet.
          </p>
          <a routerLink="/">To the fleet</a>
        </main>
      }
      @case ('failed') {
        <main class="alone">
          <h1>The boat could not be opened</h1>
          <p>{{ problem() }}</p>
          <button type="button" pButton (click)="openBoat()">Try again</button>
          <a routerLink="/">To the fleet</a>
        </main>
      }
      @default {
        <main class="alone" aria-busy="true"><p role="status">Opening the boat.</p></main>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      height: 100%;
    }
    .frame {
      height: 100%;
      display: grid;
      grid-template: 'head head head' auto 'ladder main findings' 1fr / 72px minmax(0, 1fr) auto;
    }
    .head {
      grid-area: head;
    }
    .ladder {
      grid-area: ladder;
      min-height: 0;
    }
    main {
      grid-area: main;
      overflow: auto;
      min-height: 0;
      padding: 8px 12px 16px;
    }
    .findings {
      grid-area: findings;
      width: 288px;
      min-height: 0;
    }
    .findings:has(aside.shut) {
      width: 130px;
    }
    .title {
      display: flex;
      gap: 12px;
      align-items: center;
    }
    .help {
      margin: 0 0 8px;
      padding-left: 30px;
      font-size: var(--small);
    }
    .title .p-button {
      margin-left: auto;
      white-space: nowrap;
    }
    .alone {
      padding: 48px;
      display: grid;
      gap: 12px;
      justify-items: start;
    }
    @media (max-width: 1100px) {
      .frame {
        grid-template: 'head head' auto 'ladder main' minmax(0, 1fr) 'findings findings' auto / 72px minmax(0, 1fr);
      }
      .findings,
      .findings:has(aside.shut) {
        width: auto;
      }
    }
    @media (max-width: 760px) {
      .frame {
        height: auto;
        grid-template: 'head' auto 'ladder' auto 'main' auto 'findings' auto / minmax(0, 1fr);
      }
      .title {
        flex-direction: column;
        align-items: stretch;
        gap: 0;
      }
    }
  `,
})
export class BoatShell {
  protected readonly stagePlace = act('show the stage');
  readonly boatId = input.required<string>();
  protected readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly plan = inject(OpenPlan);
  protected readonly status = this.store.selectSignal(selectStatus);
  protected readonly problem = this.store.selectSignal(selectProblem);
  protected readonly notice = this.store.selectSignal(selectNotice);
  protected readonly noticeRead = boatEvents.noticeRead();
  protected readonly shortcutsOpen = signal(false);
  protected readonly termsOpen = signal(false);
  protected readonly term = signal<string | null>(null);
  protected readonly findOpen = signal(false);
  protected readonly helpOpen = signal(false);
  protected readonly help = computed(() => this.words().help);

  private readonly url = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map(() => this.router.url),
      startWith(this.router.url),
    ),
    { initialValue: this.router.url },
  );
  protected readonly stage = computed(() => stageSchema.catch('brief').parse(this.url().split(/[/?#]/)[3]));
  protected readonly words = computed(
    () => stageRegister.find(({ stage }) => stage === this.stage()) ?? { title: '', decides: '', help: [] },
  );

  private readonly shown = this.store.selectSignal(selectPlan);
  /** What the stage at hand still needs. */
  protected readonly needs = computed(() => {
    const plan = this.shown();
    return plan ? needsOf(plan, this.stage()) : [];
  });

  constructor() {
    // On the way down: some parts of the component library let no key come up again.
    const pressed = (event: KeyboardEvent): void => this.pressed(event);
    document.addEventListener('keydown', pressed, { capture: true });
    inject(DestroyRef).onDestroy(() => document.removeEventListener('keydown', pressed, { capture: true }));
    this.nameWindow();
    effect(() => {
      const id = this.boatId();
      untracked(() => this.store.dispatch(boatEvents.boatChosen({ id })));
    });
  }

  private nameWindow(): void {
    const title = inject(Title);
    effect(() => {
      const boat = this.shown()?.boat.name;
      // The router sets the stage's own title first.
      this.url();
      if (boat) title.setTitle(`${boat}, ${this.words().title} - Grey Keel`);
    });
  }

  protected openBoat(): void {
    this.store.dispatch(boatEvents.boatChosen({ id: this.boatId() }));
  }

  protected explain(term: string | null): void {
    this.term.set(term);
    this.termsOpen.set(true);
  }

  protected pressed(event: KeyboardEvent): void {
    const command = event.ctrlKey || event.metaKey;
    if (command && event.key.toLowerCase() === 'z') {
      // A field with words not kept yet has its own undo.
      if (typing(event.target) && event.target.dataset['dirty'] !== undefined) return;
      event.preventDefault();
      if (event.shiftKey) this.plan.redo();
      else this.plan.undo();
      return;
    }
    if (command || event.altKey || typing(event.target)) return;
    const stage = stageRegister.find(({ number }) => String(number % 10) === event.key);
    if (stage) void this.router.navigate(['boats', this.boatId(), stage.stage]);
    else if (event.key === 'u') this.store.dispatch(viewEvents.nextUnitsWanted());
    else if (event.key === '?') this.shortcutsOpen.set(true);
    else if (event.key === '/') {
      event.preventDefault();
      this.findOpen.set(true);
    } else if (event.key === ']') this.toFinding(1);
    else if (event.key === '[') this.toFinding(-1);
  }

  private toFinding(step: number): void {
    const buttons = [...document.querySelectorAll<HTMLElement>('gk-finding .fix')];
    const at = buttons.findIndex((button) => button === document.activeElement);
    const next = at < 0 ? (step > 0 ? 0 : buttons.length - 1) : (at + step + buttons.length) % buttons.length;
    buttons[next]?.focus();
  }
}
