import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { alarmKinds, type AlarmsHeld, alarmsHeld, inOrder, shallowLimits, voltageLimits } from '@grey-keel/core';
import { settingValues } from '@grey-keel/model';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { Wide } from '../../shared/wide.ts';
import { keyingIn } from '../key-in.ts';
import { openBoat } from '../open-boat.ts';

/** The figures each display’s alarms are set to, with the least that is worth having. */
@Component({
  selector: 'gk-display-alarms',
  imports: [ComputedNumber, QuantityField, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3 id="alarms-title">Alarms, empty where off</h3>
    <div gkWide>
      <table class="figures units" aria-labelledby="alarms-title">
        <thead>
          <tr>
            <th scope="col">Display</th>
            @for (alarm of alarmFields; track alarm.key) {
              <th scope="col">{{ alarm.label }}</th>
            }
          </tr>
        </thead>
        <tbody>
          @for (it of stations(); track it.id) {
            <tr>
              <th scope="row">{{ it.name }}</th>
              @for (alarm of alarmFields; track alarm.key) {
                <td>
                  <gk-quantity-field
                    [label]="alarm.label + ' at ' + it.name"
                    [labelHidden]="true"
                    [fieldId]="'alarm-' + alarm.id + '-' + it.id"
                    [at]="['held', it.id, kinds[alarm.key], it.id]"
                    [quantity]="alarm.quantity"
                    [decimals]="1"
                    [value]="it.alarms[alarm.key] ?? null"
                    [schema]="alarmShape[alarm.key]"
                    (changed)="setAlarm(it.id, it.name, alarm.key, $event)"
                  />
                  <span class="small faint">
                    @if (it.limits[alarm.key]; as limit) {
                      at least
                      <gk-number
                        [id]="'alarm-' + alarm.id + '-' + it.id + '-least'"
                        [of]="'Least for the ' + alarm.label + ' alarm of ' + it.name"
                        [value]="limit.least"
                        [quantity]="alarm.quantity"
                        [decimals]="1"
                        [steps]="limit.working"
                      />
                    } @else {
                      {{ alarm.unknown }}
                    }
                  </span>
                </td>
              }
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styles: `
    td {
      vertical-align: top;
      min-width: 92px;
    }
    thead th {
      white-space: normal;
      vertical-align: bottom;
    }
    td,
    th {
      text-align: left;
    }
    th[scope='row'] {
      font-weight: 700;
      color: var(--ink);
    }
    h3 {
      margin-top: 10px;
    }
  `,
})
export class DisplayAlarms {
  private readonly open = openBoat();
  private readonly keyIn = keyingIn();
  protected readonly kinds = alarmKinds;
  /** The figure itself: off is an empty field. */
  protected readonly alarmShape = {
    shallowM: settingValues['shallow-alarm'].options[0].nullable(),
    lowVoltageV: settingValues['low-voltage-alarm'].options[0].nullable(),
    engineTemperatureC: settingValues['engine-alarm'].options[0].nullable(),
  };
  protected readonly alarmFields = [
    {
      key: 'shallowM',
      id: 'shallow',
      label: 'shallow water',
      quantity: 'depth',
      unknown: 'least not known: its depth offset is missing or stale',
    },
    {
      key: 'lowVoltageV',
      id: 'voltage',
      label: 'low voltage',
      quantity: 'voltage',
      unknown: 'least not known: say on Fit, under power, which load it is',
    },
    {
      key: 'engineTemperatureC',
      id: 'engine',
      label: 'engine temperature',
      quantity: 'temperature',
      unknown: 'as the engine’s maker says',
    },
  ] as const;
  protected readonly stations = computed(() => {
    const plan = this.open.plan();
    return inOrder(plan.stations).flatMap(([id, { name }]) => {
      if (!plan.displays[id]) return [];
      const limits = {
        shallowM: shallowLimits(plan, id),
        lowVoltageV: voltageLimits(plan, id),
        engineTemperatureC: null,
      };
      return [{ id, name, alarms: alarmsHeld(plan, id), limits }];
    });
  });

  protected setAlarm(stationId: string, name: string, key: keyof AlarmsHeld, value: number | null): void {
    this.open.edits.edit(name, this.keyIn(stationId, alarmKinds[key], value ?? 'off'));
  }
}
