import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { inOrder } from '@grey-keel/core';
import { stationSchema, waysOfWorking, type Station, type Way } from '@grey-keel/model';
import { TickField } from '../../shared/tick-field.ts';
import { newId } from '../../state/open-plan.ts';
import { focusField } from './focus-field.ts';
import { openBoat } from '../open-boat.ts';
import { DisplayPicker } from '../../shared/display-picker.ts';
import { PlanFields } from '../../shared/plan-fields.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { PressButton } from '../../shared/press-button.ts';

/** How the boat is worked, and where it is worked from. */
@Component({
  selector: 'gk-ways-and-stations',
  imports: [DisplayPicker, PlanFields, PlanPlace, PressButton, TickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = plan();
    <section class="sheet" aria-labelledby="ways-title" id="ways" [gkPlace]="['ways']">
      <h2 id="ways-title">Ways of working</h2>
      <div class="ways" [class.is-assumed]="it.assumed?.['ways']">
        @for (way of allWays; track way) {
          <gk-tick-field [label]="way" [value]="it.ways[way] === true" (changed)="useWay(way, $event)" />
        }
      </div>
      <h2>Stations</h2>
      @for (entry of stations(); track entry[0]) {
        <div class="fields item" [class.is-assumed]="it.assumed?.['stations/' + entry[0]]">
          <gk-plan-fields
            [of]="entry[1]"
            [shape]="station"
            [names]="fields"
            [at]="['stations', entry[0]]"
            ids="station"
            [one]="entry[0]"
            (changed)="setStation(entry[0], $event)"
          />
          <gk-display-picker label="Display" [stationId]="entry[0]" />
          <button
            type="button"
            pButton
            text
            (click)="edits.edit('delete ' + entry[1].name, { type: 'removeStation', id: entry[0] })"
            [attr.aria-label]="'Delete station ' + entry[1].name"
          >
            Delete
          </button>
        </div>
      }
      <button
        type="button"
        pButton
        severity="secondary"
        id="add-station"
        [gkPlace]="['stations']"
        (click)="addStation()"
      >
        Add a station
      </button>
    </section>
  `,
  styles: `
    :host {
      display: contents;
    }
    h2 {
      margin-bottom: 6px;
    }
    .item {
      padding-bottom: 10px;
      margin-bottom: 10px;
      border-bottom: var(--hairline) solid var(--rule);
      align-items: end;
    }
    .ways {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(136px, 1fr));
      margin-bottom: 10px;
    }
  `,
})
export class WaysAndStations {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly edits = this.open.edits;
  protected readonly station = stationSchema.shape;
  protected readonly allWays = waysOfWorking;
  protected readonly fields = ['name', 'viewingDistanceM', 'posture'] as const;
  protected readonly stations = computed(() => inOrder(this.plan().stations));

  protected useWay(way: Way, used: boolean): void {
    this.edits.edit(`${used ? 'use' : 'drop'} ${way}`, { type: 'useWay', way, used });
  }

  protected setStation(id: string, changes: Partial<Station>): void {
    this.edits.edit('a station', { type: 'describeStation', id, changes });
  }

  protected addStation(): void {
    const id = newId();
    this.edits.edit('add a station', {
      type: 'addStation',
      id,
      station: { name: `Station ${this.stations().length + 1}`, viewingDistanceM: 0.9, posture: 'standing' },
    });
    focusField(`station-name-${id}`);
  }
}
