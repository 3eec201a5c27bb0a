import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { type Boat, boatSchema } from '@grey-keel/model';
import { QuantityField } from '../../shared/quantity-field.ts';
import { openBoat } from '../open-boat.ts';

/** What of the hull only the fit asks for. */
@Component({
  selector: 'gk-hull-fields',
  imports: [QuantityField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fields">
      <gk-quantity-field
        label="Deadrise of the bottom"
        fieldId="boat-deadrise"
        [at]="['boat', 'deadriseDeg']"
        quantity="angle"
        [value]="boat().deadriseDeg ?? null"
        [schema]="shape.deadriseDeg"
        (changed)="setBoat({ deadriseDeg: $event })"
      />
      <gk-quantity-field
        label="Bow above the water"
        fieldId="boat-bow-height"
        [at]="['boat', 'bowHeightM']"
        quantity="length"
        [value]="boat().bowHeightM ?? null"
        [schema]="shape.bowHeightM"
        (changed)="setBoat({ bowHeightM: $event })"
      />
      <gk-quantity-field
        label="Bow up when running"
        fieldId="boat-running-trim"
        [at]="['boat', 'runningTrimDeg']"
        quantity="angle"
        [value]="boat().runningTrimDeg ?? null"
        [schema]="shape.runningTrimDeg"
        (changed)="setBoat({ runningTrimDeg: $event })"
      />
    </div>
  `,
  styles: `
    :host {
      display: block;
      margin-top: 10px;
    }
  `,
})
export class HullFields {
  readonly boat = input.required<Boat>();
  private readonly open = openBoat();
  protected readonly shape = boatSchema.shape;

  protected setBoat(changes: Partial<Boat>): void {
    this.open.edits.edit('the hull', { type: 'describeBoat', changes });
  }
}
