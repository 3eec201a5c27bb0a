import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
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
      <section class="sheet" aria-label="Still to do on this stage">
        <p>
          <strong>Still to do:</strong>
          @for (item of shown(); track item.what) {
            <button type="button" pButton text (click)="go(item)">{{ item.what }}</button>
          }
          @if (items().length > shown().length) {
            <button type="button" pButton text (click)="all.set(true)">
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
    .sheet {
      padding-block: 2px;
    }
  `,
})
export class ToDoList {
  readonly items = input.required<readonly ToDo[]>();
  private readonly goTo = inject(GoTo);
  private readonly boatId = inject(Store).selectSignal(selectBoatId);
  protected readonly all = signal(false);
  protected readonly shown = computed(() => (this.all() ? this.items() : this.items().slice(0, atFirst)));

  protected go({ stage, target }: ToDo): void {
    const boatId = this.boatId();
    if (stage && boatId !== null) void this.goTo.stage(boatId, stage, target);
    else this.goTo.show(target);
  }
}
