import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { PlanPlace } from './plan-place.ts';

export interface Choice<T extends string = string> {
  readonly value: T;
  readonly label: string;
}

export const choicesOf = <T extends string>(values: readonly T[]): Choice<T>[] =>
  values.map((value) => ({ value, label: value }));

/** One of a few words. The browser's own list: it works under any thumb and with any reader. */
@Component({
  selector: 'gk-choice-field',
  hostDirectives: [{ directive: PlanPlace, inputs: ['gkPlace: at'] }],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="fieldId()" [class.hidden-label]="labelHidden()">{{ label() }}</label>
    <select [id]="fieldId()" [title]="words()" (change)="changed.emit($any($event.target).value)">
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
    /* As wide as there is room, not as its longest word; what is cut is said whole on the list and on the spot. */
    select {
      width: 100%;
      min-width: var(--choice-least, 8rem);
      font-size: var(--choice-size, inherit);
      text-overflow: ellipsis;
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
  protected readonly words = computed(() => this.choices().find(({ value }) => value === this.value())?.label ?? '');
}
