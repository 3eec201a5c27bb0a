import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Store } from '@ngrx/store';
import { Popover } from 'primeng/popover';
import { PressButton } from '../shared/press-button.ts';
import { OpenPlan } from '../state/open-plan.ts';
import { selectUndo } from '../state/plan.selectors.ts';
import { NamedStates } from './named-states.ts';

/** So many of the last steps are listed. */
const listed = 15;

/** The last steps by their names, the newest first; pressing one undoes it and all after it. */
@Component({
  selector: 'gk-undo-steps',
  imports: [NamedStates, Popover, PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" pButton text id="undo-steps" aria-haspopup="dialog" (click)="list.toggle($event)">
      Steps
    </button>
    <p-popover #list appendTo="body" ariaLabel="What can be undone">
      <p class="small">Go back to before:</p>
      <ol>
        @for (step of steps(); track $index) {
          <li>
            <button type="button" pButton text class="small" (click)="goBack($index + 1); list.hide()">
              {{ step.label }}
            </button>
          </li>
        }
      </ol>
      @if (!steps().length) {
        <p class="small faint">Nothing was done here yet.</p>
      }
      <gk-named-states (gone)="list.hide()" />
    </p-popover>
  `,
  styles: `
    /* On a phone there is room for undo itself. */
    @media (max-width: 760px) {
      :host {
        display: none;
      }
    }
    ol {
      margin: 4px 0 0;
      padding: 0;
      list-style: none;
      max-height: 60vh;
      overflow-y: auto;
    }
    li button {
      width: 100%;
      justify-content: flex-start;
      text-align: left;
    }
    :host > button.p-button {
      padding: 0 4px;
      color: var(--ink);
      text-decoration: none;
      font-weight: 400;
      font-size: var(--small);
    }
  `,
})
export class UndoSteps {
  private readonly open = inject(OpenPlan);
  private readonly undo = inject(Store).selectSignal(selectUndo);
  protected readonly steps = computed(() => this.undo().slice(-listed).reverse());

  protected goBack(count: number): void {
    for (let i = 0; i < count; i++) this.open.undo();
  }
}
