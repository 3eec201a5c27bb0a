import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { SelectButton } from 'primeng/selectbutton';
import type { Choice } from './choice-field.ts';

/** One of a few words that all stand there to be seen. */
@Component({
  selector: 'gk-choice-buttons',
  imports: [FormsModule, SelectButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span [id]="'label-' + fieldId()" class="small faint">{{ label() }}</span>
    <p-selectbutton
      [autofocus]="false"
      optionLabel="label"
      optionValue="value"
      [id]="fieldId()"
      [allowEmpty]="false"
      [ariaLabelledBy]="'label-' + fieldId()"
      [options]="$any(choices())"
      [ngModel]="value()"
      [ngModelOptions]="{ standalone: true }"
      (onChange)="changed.emit($event.value)"
    />
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      justify-items: start;
    }
    :host ::ng-deep .p-selectbutton {
      flex-wrap: wrap;
      padding: 0 1px 1px 0;
    }
    /* Each has its own edge, over its neighbour's: so a line that begins with any of them is closed. */
    :host ::ng-deep .p-selectbutton .p-togglebutton {
      margin: 0 -1px -1px 0;
      border-width: 1px;
    }
  `,
})
export class ChoiceButtons<T extends string> {
  readonly label = input.required<string>();
  readonly fieldId = input.required<string>();
  readonly value = input.required<T>();
  readonly choices = input.required<readonly Choice<T>[]>();
  readonly changed = output<T>();
}
