import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { asShown, depthDisplayOf, inOrder, timeToAct, upToStepM, usualActInS } from '@grey-keel/core';
import { timeToActSchema } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { Wide } from '../../shared/wide.ts';
import { openBoat } from '../open-boat.ts';

/** What each way of working's speed costs between a shallow alarm and someone acting on it, station by station. */
@Component({
  selector: 'gk-act-in-time',
  imports: [ComputedNumber, FigurePipe, QuantityField, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3 id="act-title">What speed costs before anyone acts on a shallow alarm</h3>
    @for (it of stations(); track it.id) {
      <div class="station">
        <gk-quantity-field
          [label]="'Time to act, ' + it.name"
          [fieldId]="'alarm-act-' + it.id"
          [at]="['timeToActS', it.id]"
          [value]="it.actInS"
          [schema]="schema"
          (changed)="set(it.id, it.name, $event)"
        />
        <div gkWide>
          <table class="figures" [attr.aria-label]="'Water lost before anyone acts, ' + it.name">
            <thead>
              <tr>
                <th scope="col" class="left">way</th>
                <th scope="col">speed</th>
                <th scope="col">water lost</th>
                <th scope="col" class="left">what that means</th>
              </tr>
            </thead>
            <tbody>
              @for (row of it.rows; track row.way) {
                <tr>
                  <th scope="row" class="left">{{ row.way }}</th>
                  <td class="mono">{{ row.speedMps | figure: 'speed' : units() }}{{ row.said ? '' : ' usual' }}</td>
                  <td>
                    <gk-number
                      [of]="'Water lost ' + row.way + ' at ' + it.name"
                      [value]="row.costM"
                      quantity="depth"
                      [decimals]="1"
                      [steps]="row.working"
                    />
                  </td>
                  <td class="left" [class.none]="!row.gives">
                    {{
                      row.gives
                        ? 'an alarm at ' + row.shown + ' gives that time'
                        : 'no alarm gives time here: slow down, keep a look-out'
                    }}
                  </td>
                </tr>
              }
            </tbody>
          </table>
        </div>
      </div>
    } @empty {
      <p class="faint small">It is shown where a depth offset is entered and no older than what it rests on.</p>
    }
  `,
  styles: `
    h3 {
      margin: 14px 0 4px;
    }
    .station {
      display: grid;
      grid-template-columns: 150px minmax(0, 1fr);
      gap: 12px;
      align-items: start;
    }
    .left {
      text-align: left;
    }
    .none {
      color: var(--check);
      font-weight: 700;
    }
    @media (max-width: 760px) {
      .station {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class ActInTime {
  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly schema = timeToActSchema;

  protected readonly stations = computed(() => {
    const plan = this.plan();
    return inOrder(plan.stations).flatMap(([id, { name }]) => {
      const rows = timeToAct(plan, id).map((row) => ({
        ...row,
        shown: asShown(upToStepM(row.neededM, depthDisplayOf(plan, id)), depthDisplayOf(plan, id)),
      }));
      return rows.length ? [{ id, name, rows, actInS: plan.timeToActS[id] ?? usualActInS }] : [];
    });
  });

  protected set(stationId: string, name: string, actInS: number | null): void {
    this.open.edits.edit(name, {
      type: 'setTimeToAct',
      stationId,
      actInS,
    });
  }
}
