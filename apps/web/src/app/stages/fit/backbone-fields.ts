import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { type Backbone, backboneSchema } from '@grey-keel/model';
import { PlanFields } from '../../shared/plan-fields.ts';
import { openBoat } from '../open-boat.ts';

/** The backbone itself: its length, its ends, and where power is fed in. */
@Component({
  selector: 'gk-backbone-fields',
  imports: [PlanFields],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fields">
      <gk-plan-fields
        [of]="backbone()"
        [shape]="shape"
        [names]="['lengthM', 'terminators', 'supplies', 'supplyA']"
        [at]="['network', 'backbone']"
        ids="backbone"
        (changed)="setBackbone($event)"
      />
    </div>
  `,
})
export class BackboneFields {
  readonly backbone = input.required<Backbone>();
  private readonly open = openBoat();
  protected readonly shape = backboneSchema.shape;

  protected setBackbone(changes: Partial<Backbone>): void {
    this.open.edits.edit('the backbone', { type: 'describeBackbone', changes });
  }
}
