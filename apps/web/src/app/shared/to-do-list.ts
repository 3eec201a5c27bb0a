import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import type { ToDo } from '@grey-keel/core';
import { Store } from '@ngrx/store';
import { selectBoatId } from '../state/plan.selectors.ts';
import { GoTo } from './go-to.ts';
import { PressButton } from './press-button.ts';

const atFirst = 3;

/** What a stage still waits for, each a way to where it is done; nothing at all once it is whole. */
@Component({
  selector: 'gk-to-do-list',
  imports: [PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (items().length) {
      <section class="needs" aria-label="Still to do on this stage">
        <p>
          <strong>Still to do ({{ items().length }}):</strong>
          @for (item of shown(); track item.what) {
            <button type="button" pButton text class="small" (click)="go(item)">{{ item.what }}</button>
          }
          @if (items().length > shown().length) {
            <button type="button" pButton text class="small" (click)="all.set(true)">
              and {{ items().length - shown().length }} more
            </button>
          }
        </p>
      </section>
    }
  `,
  styles: `
    /* Takes no place in the stage's grid once there is nothing left. */
    :host {
      display: contents;
    }
    p {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0 8px;
    }
    .needs {
      margin-bottom: 8px;
      padding: 2px 10px;
      background: var(--sheet);
      border-left: 4px solid var(--water);
    }
    @media print {
      .needs {
        display: none;
      }
    }
    .p-button {
      text-align: left;
    }
  `,
})
export class ToDoList {
  readonly items = input.required<readonly ToDo[]>();
  /** The stage they are of. */
  readonly of = input('');
  private readonly goTo = inject(GoTo);
  private readonly boatId = inject(Store).selectSignal(selectBoatId);
  /** Folded again on another stage. */
  protected readonly all = linkedSignal({ source: this.of, computation: () => false });
  protected readonly shown = computed(() =>
    this.all() || this.items().length <= atFirst + 1 ? this.items() : this.items().slice(0, atFirst),
  );

  protected go({ stage, target }: ToDo): void {
    const boatId = this.boatId();
    if (stage && boatId !== null) void this.goTo.stage(boatId, stage, target);
    else this.goTo.show(target);
  }
}
