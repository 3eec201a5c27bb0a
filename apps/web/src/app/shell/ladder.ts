import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { Store } from '@ngrx/store';
import { stageRegister } from '../stages/stages.ts';
import { selectStages, selectWaterline } from '../state/plan.selectors.ts';

/** The stages as draught marks on a painted hull; the waterline lies above the first that is not fresh. */
@Component({
  selector: 'gk-ladder',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav aria-label="Stages">
      @for (mark of marks(); track mark.stage) {
        @if (mark.atWaterline) {
          <div class="waterline" aria-hidden="true"></div>
        }
        <a
          [routerLink]="['/boats', boatId(), mark.stage]"
          routerLinkActive="here"
          ariaCurrentWhenActive="page"
          [class.under]="mark.under"
        >
          <span class="number">{{ mark.number }} </span>
          <span class="name">{{ mark.title }}</span><span class="hidden-label">, {{ mark.state }}</span>
          <span class="state {{ mark.state }}" aria-hidden="true"></span>
        </a>
      }
      @if (allFresh()) {
        <div class="waterline" aria-hidden="true"></div>
      }
      <div class="keel" [class.under]="!allFresh()" aria-hidden="true"></div>
    </nav>
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
    a {
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
    a.under,
    .keel.under {
      background-color: var(--antifoul);
    }
    a.here {
      background-color: var(--hull-dark);
      box-shadow: inset 4px 0 0 var(--on-hull);
    }
    a:focus-visible {
      outline-color: var(--on-hull);
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
    .waterline {
      flex: 0 0 6px;
      background: var(--sheet);
      border-bottom: 2px solid var(--water-wash);
    }
    .keel {
      flex: 1 1 0;
      background-color: var(--hull);
    }
    .state {
      position: absolute;
      top: 8px;
      right: 12px;
      width: 11px;
      height: 11px;
    }
    .state.stop {
      background: var(--sign-stop);
      border: 1px solid var(--on-hull);
    }
    .state.stale {
      outline: 0;
      border: 2px dashed var(--sign-stale);
    }
    .state.missing {
      background-image: repeating-linear-gradient(-45deg, transparent 0 2px, currentcolor 2px 3px);
      border: 1px solid var(--on-hull);
      color: var(--on-hull);
    }
    @media (max-width: 760px) {
      nav {
        flex-direction: row;
      }
      a {
        flex: 1 1 0;
        background-image: none;
      }
      .waterline {
        flex: 0 0 6px;
      }
      .keel {
        display: none;
      }
    }
  `,
})
export class Ladder {
  readonly boatId = input.required<string>();
  private readonly store = inject(Store);
  private readonly states = this.store.selectSignal(selectStages);
  private readonly line = this.store.selectSignal(selectWaterline);

  protected readonly allFresh = computed(() => this.line() === null);
  protected readonly marks = computed(() => {
    const line = this.line();
    return stageRegister.map((entry) => ({
      ...entry,
      state: this.states().find(({ stage }) => stage === entry.stage)?.state ?? 'missing',
      atWaterline: line?.stage === entry.stage,
      under: line !== null && entry.number >= line.number,
    }));
  });
}
