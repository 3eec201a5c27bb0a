import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Slider, type SliderChangeEvent } from 'primeng/slider';

/** A value that is found by sliding. What it means, with its unit, is said in words. */
@Component({
  selector: 'gk-slide-field',
  imports: [FormsModule, Slider],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span [id]="'label-' + fieldId()" class="small faint"><ng-content />{{ label() }}</span>
    <p-slider
      [autofocus]="false"
      [min]="min()"
      [max]="max()"
      [step]="step()"
      [disabled]="disabled()"
      [ariaLabelledBy]="'label-' + fieldId()"
      [pt]="handle()"
      [ngModel]="value()"
      [ngModelOptions]="{ standalone: true }"
      (onChange)="move($event)"
      (onSlideEnd)="settled.emit($event.value ?? value())"
    />
  `,
  styles: `
    :host {
      display: grid;
      gap: 4px;
    }
    p-slider {
      margin: 19px 11px;
    }
  `,
})
export class SlideField {
  readonly label = input('');
  readonly fieldId = input.required<string>();
  readonly value = input.required<number>();
  readonly min = input(0);
  readonly max = input.required<number>();
  readonly step = input(1);
  /** What it means where it is. */
  readonly words = input.required<string>();
  readonly disabled = input(false);
  /** At every step of the way. */
  readonly moved = output<number>();
  /** Where it was let go, and at every press of a key. */
  readonly settled = output<number>();

  protected readonly handle = computed(() => ({ handle: { id: this.fieldId(), 'aria-valuetext': this.words() } }));

  protected move({ event, value = this.value() }: SliderChangeEvent): void {
    this.moved.emit(value);
    if (event instanceof KeyboardEvent) this.settled.emit(value);
  }
}
