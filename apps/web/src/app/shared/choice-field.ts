import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  Injector,
  input,
  linkedSignal,
  output,
  viewChild,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Select } from 'primeng/select';
import { listGoesAlong } from './list-goes-along.ts';
import { PlanPlace } from './plan-place.ts';

export interface Choice<T extends string = string> {
  readonly value: T;
  readonly label: string;
}

export const choicesOf = <T extends string>(values: readonly T[]): Choice<T>[] =>
  values.map((value) => ({ value, label: value }));

const sameChoices = (a: readonly Choice[], b: readonly Choice[]): boolean =>
  a.length === b.length && a.every(({ value, label }, i) => value === b[i]?.value && label === b[i].label);

/** From so many entries on a list can be searched by typing into a field of its own. */
const manyChoices = 12;

/** One of a list of words. */
@Component({
  selector: 'gk-choice-field',
  imports: [FormsModule, Select],
  hostDirectives: [{ directive: PlanPlace, inputs: ['gkPlace: at'] }],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span [id]="'label-' + fieldId()" class="label" [class.hidden-label]="labelHidden()">{{ label() }}</span>
    <p-select
      appendTo="body"
      scrollHeight="340px"
      [autofocus]="false"
      [overlayOptions]="hung"
      optionLabel="label"
      optionValue="value"
      [inputId]="fieldId()"
      [ariaLabelledBy]="'label-' + fieldId()"
      [options]="$any(options())"
      [filter]="options().length > ${manyChoices}"
      [title]="words()"
      [ngModel]="shown()"
      [ngModelOptions]="{ standalone: true }"
      (onChange)="choose($event.value)"
    />
  `,
  styleUrl: './field.css',
  styles: `
    /* As wide as there is room, not as its longest word; what is cut is said whole on the list and on the spot. */
    p-select {
      width: 100%;
      min-width: var(--choice-least, 8rem);
      font-size: var(--choice-size, inherit);
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
  /** The same list again is no other list: it would be drawn anew at every step of a drag. */
  protected readonly options = computed(() => this.choices(), { equal: sameChoices });
  protected readonly shown = linkedSignal(() => this.value());
  private readonly injector = inject(Injector);
  private readonly select = viewChild.required(Select);
  protected readonly hung = listGoesAlong(this.select);
  protected readonly words = computed(() => this.choices().find(({ value }) => value === this.value())?.label ?? '');

  protected choose(value: T): void {
    this.shown.set(value);
    this.changed.emit(value);
    // Where the choice was not taken, or was a thing to do once, the list shows again what is so.
    afterNextRender(() => this.shown.set(this.value()), { injector: this.injector });
  }
}
