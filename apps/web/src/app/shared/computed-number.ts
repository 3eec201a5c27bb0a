import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatFigure } from '@grey-keel/core/units';
import type { Quantity, WorkingStep } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { selectUnitChoice } from '../state/view.ts';
import { Working } from './working.ts';

/** A number the program worked out: it opens its working on a click or Enter. */
@Component({
  selector: 'gk-number',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button
      type="button"
      class="mono"
      [class.large]="large()"
      [attr.aria-label]="of() + ': ' + text() + ', show the working'"
      (click)="working.show(of(), text(), steps(), without())"
    >
      {{ text() }}
    </button>
  `,
  styles: `
    :host {
      display: inline-block;
    }
    button {
      min-height: 28px;
      padding: 0 2px;
      border: 0;
      background: none;
      color: inherit;
      font: inherit;
      font-family: var(--mono);
      white-space: nowrap;
      cursor: pointer;
      text-decoration: underline dotted;
      text-underline-offset: 3px;
    }
    button.large {
      font: 700 32px/1.2 var(--font);
      font-stretch: 115%;
      text-decoration-thickness: 2px;
    }
    @media (pointer: coarse) {
      button {
        min-width: var(--touch);
        min-height: var(--touch);
      }
    }
  `,
})
export class ComputedNumber {
  readonly of = input.required<string>();
  readonly value = input.required<number>();
  readonly quantity = input.required<Quantity>();
  readonly steps = input.required<readonly WorkingStep[]>();
  /** What to say where there are no steps. */
  readonly without = input('');
  readonly signed = input(false);
  readonly large = input(false);
  readonly decimals = input<number | null>(null);
  /** At most so many figures, where more are not known. */
  readonly figures = input<number | null>(null);

  protected readonly working = inject(Working);
  private readonly units = inject(Store).selectSignal(selectUnitChoice);
  protected readonly text = computed(() => {
    const [decimals, figures] = [this.decimals(), this.figures()];
    return formatFigure({ value: this.value(), quantity: this.quantity() }, this.units(), {
      signed: this.signed(),
      ...(decimals === null ? {} : { decimals }),
      ...(figures === null ? {} : { figures }),
    });
  });
}
