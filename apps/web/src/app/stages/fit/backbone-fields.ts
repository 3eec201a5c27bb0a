import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { type Backbone, backboneSchema } from '@grey-keel/model';
import { QuantityField } from '../../shared/quantity-field.ts';
import { openBoat } from '../open-boat.ts';

/** The backbone itself: its length, its ends, and where power is fed in. */
@Component({
  selector: 'gk-backbone-fields',
  imports: [QuantityField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fields">
      <gk-quantity-field
        label="Backbone, end to end"
        fieldId="backbone-length"
        [at]="['network', 'backbone', 'lengthM']"
        quantity="length"
        [decimals]="1"
        [value]="backbone().lengthM"
        [schema]="backboneShape.lengthM"
        (changed)="setBackbone({ lengthM: $event })"
      />
      <gk-quantity-field
        label="Terminators"
        fieldId="backbone-terminators"
        [at]="['network', 'backbone', 'terminators']"
        quantity="count"
        [value]="backbone().terminators"
        [schema]="backboneShape.terminators"
        (changed)="setBackbone({ terminators: $event ?? 0 })"
      />
      <gk-quantity-field
        label="Supplies"
        fieldId="backbone-supplies"
        [at]="['network', 'backbone', 'supplies']"
        quantity="count"
        [value]="backbone().supplies"
        [schema]="backboneShape.supplies"
        (changed)="setBackbone({ supplies: $event ?? 0 })"
      />
      <gk-quantity-field
        label="Its fuse"
        fieldId="backbone-supply-current"
        [at]="['network', 'backbone', 'supplyA']"
        quantity="current"
        [value]="backbone().supplyA"
        [schema]="backboneShape.supplyA"
        (changed)="setBackbone({ supplyA: $event ?? 3 })"
      />
    </div>
  `,
})
export class BackboneFields {
  readonly backbone = input.required<Backbone>();
  private readonly open = openBoat();
  protected readonly backboneShape = backboneSchema.shape;

  protected setBackbone(changes: Partial<Backbone>): void {
    this.open.edits.edit('the backbone', { type: 'describeBackbone', changes });
  }
}
