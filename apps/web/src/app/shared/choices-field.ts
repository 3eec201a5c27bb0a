import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  inject,
  Injector,
  input,
  linkedSignal,
  output,
  viewChild,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { MultiSelect } from 'primeng/multiselect';
import type { Choice } from './choice-field.ts';
import { listGoesAlong } from './list-goes-along.ts';
import { PlanPlace } from './plan-place.ts';

/** One or more of a list of words; the last one stays. */
@Component({
  selector: 'gk-choices-field',
  imports: [FormsModule, MultiSelect],
  hostDirectives: [{ directive: PlanPlace, inputs: ['gkPlace: at'] }],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span [id]="'label-' + fieldId()" class="label">{{ label() }}</span>
    <p-multiselect
      appendTo="body"
      scrollHeight="400px"
      [autofocus]="false"
      [overlayOptions]="hung"
      [showHeader]="false"
      [maxSelectedLabels]="null"
      optionLabel="label"
      optionValue="value"
      [inputId]="fieldId()"
      [ariaLabelledBy]="'label-' + fieldId()"
      [options]="$any(choices())"
      [title]="shown().join(', ')"
      [ngModel]="shown()"
      [ngModelOptions]="{ standalone: true }"
      (onChange)="choose($event.value)"
    />
  `,
  styleUrl: './field.css',
  styles: `
    p-multiselect {
      width: 100%;
      min-width: 8rem;
    }
  `,
})
export class ChoicesField<T extends string> {
  readonly label = input.required<string>();
  readonly fieldId = input.required<string>();
  readonly value = input.required<readonly T[]>();
  readonly choices = input.required<readonly Choice<T>[]>();
  readonly changed = output<T[]>();
  protected readonly shown = linkedSignal(() => [...this.value()]);
  private readonly injector = inject(Injector);
  private readonly list = viewChild.required(MultiSelect);
  protected readonly hung = listGoesAlong(this.list);

  protected choose(value: T[]): void {
    this.shown.set(value);
    const inOrder = this.choices().flatMap((choice) => (value.includes(choice.value) ? [choice.value] : []));
    if (inOrder.length > 0) this.changed.emit(inOrder);
    // Where the choice was not taken the field shows again what is so.
    afterNextRender(() => this.shown.set([...this.value()]), { injector: this.injector });
  }
}
