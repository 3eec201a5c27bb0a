import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

export interface Choice<T extends string = string> {
  readonly value: T;
  readonly label: string;
}

export const choicesOf = <T extends string>(values: readonly T[]): Choice<T>[] =>
  values.map((value) => ({ value, label: value }));

/** One of a few words. The browser's own list: it works under any thumb and with any reader. */
@Component({
  selector: 'gk-choice-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="fieldId()" [class.hidden-label]="labelHidden()">{{ label() }}</label>
    <select [id]="fieldId()" (change)="changed.emit($any($event.target).value)">
      @for (choice of choices(); track choice.value) {
        <option [value]="choice.value" [selected]="choice.value === value()">{{ choice.label }}</option>
      }
    </select>
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      min-width: 0;
    }
    label {
      font-size: var(--small);
      color: var(--faint);
    }
    select {
      min-height: var(--touch);
      padding: 4px 6px;
      background: var(--sheet);
      color: var(--ink);
      border: 1px solid var(--hull-light);
      border-radius: 2px;
    }
  `,
})
export class ChoiceField<T extends string> {
  readonly label = input.required<string>();
  readonly labelHidden = input(false);
  readonly fieldId = input.required<string>();
  readonly value = input.required<T | ''>();
  readonly choices = input.required<readonly Choice<T>[]>();
  readonly changed = output<T>();
}
