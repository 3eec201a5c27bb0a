import { booleanAttribute, ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Checkbox } from 'primeng/checkbox';
import { PlanPlace } from './plan-place.ts';

/** Something that is so or not so, with its words beside it; the words can be for readers of the screen alone. */
@Component({
  selector: 'gk-tick-field',
  imports: [Checkbox, FormsModule],
  hostDirectives: [{ directive: PlanPlace, inputs: ['gkPlace: at'] }],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [class.wordless]="wordless()">
      <p-checkbox
        [binary]="true"
        [inputId]="fieldId()"
        [disabled]="disabled()"
        [ngModel]="value()"
        [ngModelOptions]="{ standalone: true }"
        (onChange)="changed.emit($event.checked === true)"
      />
      <span [class.hidden-label]="wordless()">{{ label() }}</span>
    </label>
  `,
  styles: `
    :host {
      display: block;
    }
    label {
      display: flex;
      align-items: center;
      gap: 8px;
      min-height: var(--touch);
      cursor: pointer;
    }
    .wordless {
      justify-content: flex-end;
      min-width: var(--touch);
    }
  `,
})
export class TickField {
  readonly label = input.required<string>();
  readonly value = input.required<boolean>();
  readonly fieldId = input<string>();
  readonly disabled = input(false);
  readonly wordless = input(false, { transform: booleanAttribute });
  readonly changed = output<boolean>();
}
