import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { calculate, magneticVariation, variationModel } from '@grey-keel/core';
import { Store } from '@ngrx/store';
import { selectListened } from '../../live/instruments.ts';
import { LiveSamples } from '../../live/live-samples.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { PressButton } from '../../shared/press-button.ts';
import { QuantityField } from '../../shared/quantity-field.ts';

/** Variation by the World Magnetic Model, where the boat is today: from its own position, or from one that is typed. */
@Component({
  selector: 'gk-variation-here',
  imports: [ComputedNumber, PressButton, QuantityField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <gk-quantity-field
        fieldId="variation-latitude"
        label="Latitude, north positive"
        quantity="angle"
        [decimals]="3"
        [schema]="shape.latitudeDeg"
        [value]="latitude()"
        (changed)="typed.set({ latitudeDeg: $event, longitudeDeg: longitude() })"
      />
      <gk-quantity-field
        fieldId="variation-longitude"
        label="Longitude, east positive"
        quantity="angle"
        [decimals]="3"
        [schema]="shape.longitudeDeg"
        [value]="longitude()"
        (changed)="typed.set({ latitudeDeg: latitude(), longitudeDeg: $event })"
      />
    </div>
    @if (answer(); as it) {
      <p class="small">
        {{ model.name }}, valid to {{ model.to }}:
        <gk-number
          of="Variation here today"
          [value]="it.variationDeg"
          quantity="angle"
          [signed]="true"
          [steps]="it.working"
        />
      </p>
      @for (flag of it.flags; track flag) {
        <p class="small check">{{ flag }}</p>
      }
      <button
        type="button"
        pButton
        severity="secondary"
        id="take-variation"
        (click)="taken.emit(rounded(it.variationDeg))"
      >
        Take this variation
      </button>
    } @else {
      <p class="small faint">{{ wanting() }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
      margin-top: 8px;
    }
    .row gk-quantity-field {
      width: 170px;
    }
    .check {
      color: var(--check);
    }
    button {
      justify-self: start;
    }
  `,
})
export class VariationHere {
  /** Degrees, east positive. */
  readonly taken = output<number>();
  private readonly live = inject(LiveSamples);
  private readonly listened = inject(Store).selectSignal(selectListened);
  protected readonly shape = magneticVariation.input.shape;
  protected readonly model = variationModel;
  protected readonly typed = signal<{ latitudeDeg: number | null; longitudeDeg: number | null } | null>(null);

  protected readonly latitude = computed(() =>
    this.typed() ? (this.typed()?.latitudeDeg ?? null) : this.now('latitudeDeg'),
  );
  protected readonly longitude = computed(() =>
    this.typed() ? (this.typed()?.longitudeDeg ?? null) : this.now('longitudeDeg'),
  );
  private readonly result = computed(() => {
    const [latitudeDeg, longitudeDeg] = [this.latitude(), this.longitude()];
    if (latitudeDeg === null || longitudeDeg === null) return null;
    return calculate(magneticVariation, { latitudeDeg, longitudeDeg, date: new Date().toISOString().slice(0, 10) });
  });
  protected readonly answer = computed(() => {
    const result = this.result();
    return result?.ok ? result.answer : null;
  });
  protected readonly wanting = computed(() => {
    const result = this.result();
    return result && !result.ok
      ? (result.errors[0]?.message ?? '')
      : `Give the position to have the variation from the ${variationModel.name}, or write it from the chart.`;
  });

  protected rounded(deg: number): number {
    return Math.round(10 * deg) / 10;
  }

  /** To a hundredth of a degree, which variation does not notice: the fields stand still while the boat moves. */
  private now(quantity: 'latitudeDeg' | 'longitudeDeg'): number | null {
    this.live.beat();
    const samples = this.live.of(this.listened()[quantity]?.id);
    const newest = samples[samples.length - 1];
    return newest ? Math.round(100 * newest.value) / 100 : null;
  }
}
