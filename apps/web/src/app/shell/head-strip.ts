import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { workingWater } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { RefreshIcon } from 'primeng/icons/refresh';
import { SearchIcon } from 'primeng/icons/search';
import { UndoIcon } from 'primeng/icons/undo';
import { FigurePipe } from '../shared/figure-pipe.ts';
import { Wide } from '../shared/wide.ts';
import { OpenPlan } from '../state/open-plan.ts';
import { selectPlan, selectRedo, selectUndo } from '../state/plan.selectors.ts';
import { selectTheme, selectUnitChoice, selectUnitSet, viewEvents } from '../state/view.ts';
import { UndoSteps } from './undo-steps.ts';
import { WayChoice } from './way-choice.ts';
import { SavedState } from './saved-state.ts';
import { PressButton } from '../shared/press-button.ts';

const waterOf = (plan: Plan): string => {
  const water = workingWater(plan);
  return water ? `${water.name}, ${water.kind}` : 'water not described';
};

/** The boat, the way of working looked at, units, undo and redo, and whether everything is kept. */
@Component({
  selector: 'gk-head-strip',
  imports: [
    FigurePipe,
    SavedState,
    PressButton,
    RefreshIcon,
    RouterLink,
    SearchIcon,
    UndoIcon,
    UndoSteps,
    WayChoice,
    Wide,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header>
      <a class="fleet" routerLink="/" aria-label="To the fleet">Fleet</a>
      @if (plan(); as it) {
        <div class="boat" [title]="it.boat.name + ', ' + water()">
          <strong>{{ it.boat.name }}</strong>
          @if (it.practice) {
            <span class="practice" role="note">practice copy, no real figures</span>
          }
          <span class="small faint">
            {{ it.boat.lengthM | figure: 'length' : units() : { decimals: 1 } }} {{ it.boat.hullForm }} · {{ water() }}
          </span>
        </div>
        <gk-way-choice class="ways" gkWide />
        <div class="tools">
          <button type="button" pButton text (click)="find.emit()" aria-label="Find anything (/)">
            <svg data-p-icon="search" aria-hidden="true"></svg>
          </button>
          <button
            type="button"
            pButton
            text
            class="mono"
            (click)="store.dispatch(nextUnits)"
            [attr.aria-label]="unitWords() + ', units: ' + unitSet() + '. Change (u)'"
          >
            <span
              >{{ depthWord() }} <span class="desk">{{ otherUnits() }}</span></span
            >
          </button>
          <button
            type="button"
            pButton
            text
            (click)="store.dispatch(nextTheme)"
            [attr.aria-label]="theme() + ' theme. Change'"
          >
            {{ theme() }}
          </button>
          <button
            type="button"
            pButton
            text
            (click)="open.undo()"
            [disabled]="!undo().length"
            [attr.aria-label]="'Undo' + lastLabel()"
          >
            <svg data-p-icon="undo" aria-hidden="true"></svg>
          </button>
          <gk-undo-steps />
          <button
            type="button"
            class="desk"
            pButton
            text
            (click)="open.redo()"
            [disabled]="!redo().length"
            aria-label="Redo"
          >
            <svg data-p-icon="refresh" aria-hidden="true"></svg>
          </button>
          <gk-saved-state />
          <button type="button" class="desk" pButton text (click)="shortcuts.emit()" aria-label="Shortcuts (?)">
            ?
          </button>
        </div>
      }
    </header>
  `,
  styles: `
    header {
      display: flex;
      align-items: center;
      gap: 6px 14px;
      min-height: 52px;
      padding: 2px 12px;
      background: var(--sheet);
      border-bottom: 2px solid var(--rule);
      flex-wrap: wrap;
    }
    .fleet {
      display: inline-flex;
      align-items: center;
      min-height: var(--touch);
      font-weight: 600;
    }
    .boat {
      display: flex;
      flex-direction: column;
      line-height: 1.15;
      min-width: 0;
    }
    .boat strong {
      font-size: 18px;
      font-stretch: 115%;
    }
    .boat > * {
      max-width: 260px;
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    .boat .practice {
      color: var(--check);
      font-weight: 700;
      font-size: var(--small);
      white-space: normal;
    }
    .ways {
      display: flex;
      flex: 1 1 auto;
      justify-content: center;
      flex-wrap: wrap;
    }
    .tools {
      display: flex;
      align-items: center;
      gap: 2px;
    }
    header .tools > button.p-button {
      padding: 0 4px;
      color: var(--ink);
      text-decoration: none;
      font-weight: 400;
      font-size: var(--small);
    }
    @media (max-width: 1100px) {
      .boat {
        flex: 1 1 auto;
      }
      /* The row is there before the first way is ticked: what comes in later would move the page under the next tap. */
      .ways {
        order: 3;
        flex-basis: 100%;
        justify-content: flex-start;
        min-height: calc(var(--touch) + 2px);
        overflow-x: auto;
      }
    }
    /* On a phone two rows and no more: what is not read on the water makes room, and the ways scroll sideways. */
    @media (max-width: 760px) {
      header {
        gap: 0 6px;
        padding: 2px 6px;
      }
      .boat {
        flex: 1 1 0;
        min-width: 90px;
      }
      .boat .small,
      .tools .desk {
        display: none;
      }
    }
  `,
})
export class HeadStrip {
  readonly find = output();
  readonly shortcuts = output();
  protected readonly store = inject(Store);
  protected readonly open = inject(OpenPlan);
  protected readonly events = viewEvents;
  protected readonly nextUnits = viewEvents.nextUnitsWanted();
  protected readonly nextTheme = viewEvents.nextThemeWanted();
  protected readonly plan = this.store.selectSignal(selectPlan);
  protected readonly undo = this.store.selectSignal(selectUndo);
  protected readonly redo = this.store.selectSignal(selectRedo);
  protected readonly units = this.store.selectSignal(selectUnitChoice);
  protected readonly unitSet = this.store.selectSignal(selectUnitSet);
  protected readonly theme = this.store.selectSignal(selectTheme);
  protected readonly water = computed(() => {
    const plan = this.plan();
    return plan ? waterOf(plan) : '';
  });
  protected readonly lastLabel = computed(() => {
    const last = this.undo()[this.undo().length - 1];
    return last ? `: ${last.label}` : '';
  });
  protected readonly depthWord = computed(() => {
    const { depth } = this.units();
    return depth === 'fathom' ? 'fm' : depth;
  });
  protected readonly otherUnits = computed(() => {
    const { speed, temperature } = this.units();
    return `${speed === 'kmh' ? 'km/h' : speed} °${temperature}`;
  });
  protected readonly unitWords = computed(() => `${this.depthWord()} ${this.otherUnits()}`);
}
