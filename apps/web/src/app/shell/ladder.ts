import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { Store } from '@ngrx/store';
import { Popover } from 'primeng/popover';
import { stageStateList, stateWords } from '../shared/state-words.ts';
import { stageRegister } from '../stages/stages.ts';
import { selectStages } from '../state/plan.selectors.ts';
import { StateSign } from '../shared/state-sign.ts';

/** The stages as draught marks on a painted hull, each by its own state; below them how many are done, and the next. */
@Component({
  selector: 'gk-ladder',
  imports: [Popover, RouterLink, RouterLinkActive, StateSign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav aria-label="Stages">
      @for (mark of marks(); track mark.stage) {
        <a
          [routerLink]="['/boats', boatId(), mark.stage]"
          routerLinkActive="here"
          ariaCurrentWhenActive="page"
          class="mark {{ mark.state }}"
        >
          <span class="number">{{ mark.number }} </span>
          <span class="name">{{ mark.title }}</span><span class="hidden-label">, {{ mark.word }}</span>
          <gk-state-sign class="sign" [state]="mark.state" />
        </a>
      }
      <button type="button" class="count" id="stages-done" aria-haspopup="dialog" (click)="legend.toggle($event)">
        <strong class="mono">{{ done() }}</strong> of {{ marks().length }} done
      </button>
    </nav>
    <p-popover #legend appendTo="body" ariaLabel="How far this boat has come">
      <div class="legend">
        <p>
          <strong>{{ done() }} of {{ marks().length }} done.</strong>
          @if (next(); as stage) {
            Next: <a [routerLink]="['/boats', boatId(), stage.stage]" (click)="legend.hide()">{{ stage.title }}</a>
          } @else {
            Nothing is left to do.
          }
        </p>
        <ul>
          @for (one of legendStates; track one) {
            <li><gk-state-sign [state]="one" /> {{ words[one] }}</li>
          }
        </ul>
      </div>
    </p-popover>
  `,
  styles: `
    nav {
      height: 100%;
      display: flex;
      flex-direction: column;
      background: var(--hull);
    }
    @media (min-width: 761px) {
      /* Its size is the frame's, so what moves in the stage need not ask after it. */
      nav {
        contain: strict;
        /* With the findings open on a tablet there is no room for all the marks. */
        overflow-y: auto;
        scrollbar-width: thin;
      }
    }
    .mark {
      position: relative;
      flex: 0 1 150px;
      min-height: 48px;
      display: flex;
      flex-direction: column;
      align-items: center;
      justify-content: center;
      color: var(--on-hull);
      background-color: var(--hull);
      text-decoration: none;
      background-image: repeating-linear-gradient(to bottom, transparent 0 23px, var(--hull-light) 23px 24px);
      background-size: 6px 100%;
      background-position: right;
      background-repeat: repeat-y;
    }
    /* What is still to be done is bare: no paint on it yet. */
    .mark.missing {
      color: var(--ink);
      background-color: var(--sheet);
      border-bottom: var(--hairline) solid var(--rule);
    }
    .mark.stop {
      background-color: var(--antifoul);
    }
    .mark.here {
      box-shadow: inset 6px 0 0 var(--water);
    }
    .mark:focus-visible {
      outline-color: currentcolor;
      outline-offset: -4px;
    }
    .number {
      font: 700 26px/1 var(--font);
      font-stretch: 120%;
    }
    .name {
      font-size: 12px;
      font-weight: 600;
    }
    .sign {
      position: absolute;
      top: 3px;
      right: 8px;
    }
    .count {
      flex: 0 0 auto;
      min-height: 48px;
      margin-top: auto;
      padding: 4px 2px;
      border: 0;
      color: var(--on-hull);
      background: var(--hull-dark);
      font: 12px/1.2 var(--font);
      cursor: pointer;
    }
    .count strong {
      font-size: 15px;
    }
    .count:focus-visible {
      outline-color: var(--on-hull);
      outline-offset: -4px;
    }
    .legend ul {
      margin: 8px 0 0;
      padding: 0;
      list-style: none;
      display: grid;
      gap: 4px;
    }
    .legend li {
      display: flex;
      gap: 8px;
      align-items: center;
    }
    @media (max-width: 760px) {
      nav {
        flex-direction: row;
      }
      .mark {
        flex: 1 1 0;
        background-image: none;
        border-bottom: 0;
      }
      /* Beside its name there is no room. */
      .mark.here {
        box-shadow: inset 0 4px 0 var(--water);
      }
      .number {
        font-size: 18px;
      }
      .name {
        font-stretch: 80%;
      }
      .sign {
        position: static;
        order: -1;
        margin-top: 4px;
      }
      .count {
        display: none;
      }
    }
  `,
})
export class Ladder {
  readonly boatId = input.required<string>();
  private readonly states = inject(Store).selectSignal(selectStages);
  protected readonly words = stateWords;
  protected readonly legendStates = stageStateList;

  protected readonly marks = computed(() =>
    stageRegister.map((entry) => {
      const state = this.states().find(({ stage }) => stage === entry.stage)?.state ?? 'missing';
      return { ...entry, state, word: stateWords[state] };
    }),
  );
  protected readonly done = computed(() => this.marks().filter(({ state }) => state === 'fresh').length);
  /** The first from the top that is not done. */
  protected readonly next = computed(() => this.marks().find(({ state }) => state !== 'fresh') ?? null);
}
