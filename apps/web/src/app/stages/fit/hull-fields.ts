import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { type Boat, boatSchema } from '@grey-keel/model';
import { PlanFields } from '../../shared/plan-fields.ts';
import { openBoat } from '../open-boat.ts';

/** What of the hull only the fit asks for. */
@Component({
  selector: 'gk-hull-fields',
  imports: [PlanFields],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fields">
      <gk-plan-fields
        [of]="boat()"
        [shape]="shape"
        [names]="['deadriseDeg', 'bowHeightM', 'runningTrimDeg']"
        [at]="['boat']"
        ids="boat"
        (changed)="setBoat($event)"
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
