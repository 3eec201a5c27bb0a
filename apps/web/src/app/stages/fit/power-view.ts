import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { circuitStanding, dayLine, dayOf, devicesOf, formatFigure, inOrder, toDisplay, unitFor } from '@grey-keel/core';
import {
  batterySchema,
  chemistries,
  circuitSchema,
  conductors,
  gauges,
  insulationRatingsC,
  loadSchema,
  waysOfWorking,
  type Battery,
  type Circuit,
  type Load,
  type Way,
} from '@grey-keel/model';
import * as z from 'zod';
import { axisLabels, Chart, chartFrame, type Colour } from '../../shared/chart.ts';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { newId } from '../../state/open-plan.ts';
import { openBoat } from '../open-boat.ts';
import { TickField } from '../../shared/tick-field.ts';

const usualBattery: Battery = {
  name: 'Battery',
  chemistry: 'lead-acid',
  nominalV: 12,
  capacityAh: 100,
  capacityLeft: 1,
  peukert: 1.2,
  internalOhm: 0.006,
  crankingA: 0,
  chargingV: 14.4,
};
const usualLoad: Load = { name: 'Display', currentA: 3, lowestV: 10, highestV: 17, runsIn: {} };

/** Batteries, the wires from them, what hangs on the wires, and the day they have to last. */
@Component({
  selector: 'gk-power-view',
  imports: [Chart, ChoiceField, ComputedNumber, FigurePipe, QuantityField, TextField, TickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="day-title">
      <h2 id="day-title">Voltage through the day of the brief</h2>
      @if (days().length) {
        <gk-chart [label]="dayWords()" [height]="260" [options]="dayChart()" />
        <table class="figures" aria-label="The day of each battery">
          <thead>
            <tr>
              <th scope="col">Battery</th>
              <th scope="col" class="left">way</th>
              <th scope="col">hours</th>
              <th scope="col">current</th>
              <th scope="col">left at the end</th>
              <th scope="col">voltage at the end</th>
            </tr>
          </thead>
          <tbody>
            @for (day of days(); track day.id) {
              @for (span of day.spans; track span.way) {
                <tr>
                  <td><span class="swatch" [style.background]="day.colour" aria-hidden="true"></span>{{ day.name }}</td>
                  <td class="left">{{ span.way }}</td>
                  <td class="mono">{{ span.toHour - span.fromHour | figure: 'hours' : units() }}</td>
                  <td class="mono">{{ span.currentA | figure: 'current' : units() }}</td>
                  <td class="mono">{{ span.leftAtEnd | figure: 'fraction' : units() : { decimals: 0 } }}</td>
                  <td class="mono">
                    @if (span.emptyAtHour !== null) {
                      <strong class="empty">empty after {{ span.emptyAtHour | figure: 'hours' : units() }}</strong>
                    } @else {
                      {{ span.voltageAtEndV | figure: 'voltage' : units() }}
                    }
                  </td>
                </tr>
              }
            }
          </tbody>
        </table>
      } @else {
        <p class="faint">Add a battery, hang circuits on it, and say how many hours a day each way of working takes.</p>
      }
      <h3>Hours a day</h3>
      <div class="fields">
        @for (way of ways(); track way) {
          <gk-quantity-field
            [label]="way"
            [fieldId]="'hours-' + way.replaceAll(' ', '-')"
            quantity="hours"
            [value]="plan().power.hours[way] ?? 0"
            [schema]="hoursSchema"
            (changed)="setHours(way, $event)"
          />
        }
      </div>
    </section>

    <section class="sheet" aria-labelledby="batteries-title">
      <h2 id="batteries-title">Batteries</h2>
      <p class="small faint">
        One school gives the sonar a battery of its own: no dip when the engine starts, none of its noise. The other
        shares one, well fused: less weight, one charger, and the alternator fills it while she runs.
      </p>
      @for (entry of batteries(); track entry[0]) {
        <div class="fields item">
          <gk-text-field
            label="Battery"
            [fieldId]="'battery-name-' + entry[0]"
            [value]="entry[1].name"
            [schema]="battery.name"
            (changed)="setBattery(entry[0], { name: $event })"
          />
          <gk-choice-field
            label="Kind"
            [fieldId]="'battery-kind-' + entry[0]"
            [value]="entry[1].chemistry"
            [choices]="kinds"
            (changed)="setBattery(entry[0], { chemistry: $event })"
          />
          @if (entry[1].chemistry === 'lithium') {
            <gk-choice-field
              label="Its voltage"
              [fieldId]="'battery-curve-' + entry[0]"
              [value]="entry[1].curve ?? 'flat'"
              [choices]="curves"
              (changed)="setBattery(entry[0], { curve: $event })"
            />
          }
          @for (one of batteryFields; track one.key) {
            <gk-quantity-field
              [label]="one.label"
              [fieldId]="'battery-' + one.id + '-' + entry[0]"
              [quantity]="one.quantity"
              [decimals]="one.decimals"
              [value]="entry[1][one.key]"
              [schema]="battery[one.key]"
              (changed)="setBattery(entry[0], asChange(one.key, $event))"
            />
          }
          <button type="button" class="plain" (click)="removeBattery(entry[0], entry[1].name)">
            Remove {{ entry[1].name }}
          </button>
        </div>
      }
      <button type="button" class="action" id="add-battery" (click)="addBattery()">Add a battery</button>
    </section>

    <section class="sheet" aria-labelledby="circuits-title">
      <h2 id="circuits-title">Circuits</h2>
      @for (it of circuits(); track it.id) {
        <article class="item" [attr.aria-label]="it.circuit.name">
          <div class="fields">
            <gk-text-field
              label="Circuit"
              [fieldId]="'circuit-name-' + it.id"
              [value]="it.circuit.name"
              [schema]="circuit.name"
              (changed)="setCircuit(it.id, { name: $event })"
            />
            <gk-choice-field
              label="Hangs on"
              [fieldId]="'circuit-battery-' + it.id"
              [value]="it.circuit.batteryId ?? ''"
              [choices]="batteryChoices()"
              (changed)="setCircuit(it.id, { batteryId: $event || null })"
            />
            <gk-choice-field
              label="Wire"
              [fieldId]="'circuit-gauge-' + it.id"
              [value]="it.circuit.gauge"
              [choices]="gaugeChoices"
              (changed)="setCircuit(it.id, { gauge: $event })"
            />
            <gk-choice-field
              label="Conductor"
              [fieldId]="'circuit-conductor-' + it.id"
              [value]="it.circuit.conductor"
              [choices]="conductorChoices"
              (changed)="setCircuit(it.id, { conductor: $event })"
            />
            <gk-quantity-field
              label="Length, one way"
              [fieldId]="'circuit-length-' + it.id"
              quantity="length"
              [value]="it.circuit.oneWayLengthM"
              [schema]="circuit.oneWayLengthM"
              (changed)="setCircuit(it.id, { oneWayLengthM: $event ?? it.circuit.oneWayLengthM })"
            />
            <gk-quantity-field
              label="Wire's temperature"
              [fieldId]="'circuit-temperature-' + it.id"
              quantity="temperature"
              [value]="it.circuit.temperatureC"
              [schema]="circuit.temperatureC"
              (changed)="setCircuit(it.id, { temperatureC: $event ?? 20 })"
            />
            <gk-choice-field
              label="Insulation, as printed"
              [fieldId]="'circuit-insulation-' + it.id"
              [value]="insulationOf(it.circuit)"
              [choices]="insulations"
              (changed)="setInsulation(it.id, $event)"
            />
            <gk-quantity-field
              label="Fuse"
              [fieldId]="'circuit-fuse-' + it.id"
              quantity="current"
              [value]="it.circuit.fuseA"
              [schema]="circuit.fuseA"
              (changed)="setCircuit(it.id, { fuseA: $event })"
            />
            <gk-quantity-field
              label="Fuse from the post"
              [fieldId]="'circuit-fuse-place-' + it.id"
              quantity="length"
              [value]="it.circuit.fuseFromPostM"
              [schema]="circuit.fuseFromPostM"
              (changed)="setCircuit(it.id, { fuseFromPostM: $event ?? 0 })"
            />
          </div>
          @if (it.standing; as standing) {
            <ul class="told">
              <li>draws {{ standing.currentA | figure: 'current' : units() }} at the most</li>
              <li>
                lost in its wires
                <gk-number
                  [of]="'Lost on ' + it.circuit.name"
                  [value]="standing.drop.dropPercent / 100"
                  quantity="fraction"
                  [steps]="standing.drop.working"
                />
              </li>
              <li>
                its wire bears
                <gk-number
                  [of]="'What the wire of ' + it.circuit.name + ' bears'"
                  [value]="standing.bears.ampacityA"
                  quantity="current"
                  [decimals]="0"
                  [steps]="standing.bears.working"
                />
              </li>
              @for (one of standing.dips; track one.loadId) {
                <li>
                  {{ it.circuit.loads[one.loadId]?.name }}, while the engine is cranked
                  <gk-number
                    [of]="'Voltage at ' + it.circuit.loads[one.loadId]?.name + ' while the engine is cranked'"
                    [value]="one.dip.dipV"
                    quantity="voltage"
                    [steps]="one.dip.working"
                  />
                </li>
              }
            </ul>
          }
          @for (load of it.loads; track load[0]) {
            <div class="load" role="group" [attr.aria-label]="load[1].name + ' on ' + it.circuit.name">
              <gk-text-field
                label="Load"
                [fieldId]="'load-name-' + it.id + '-' + load[0]"
                [value]="load[1].name"
                [schema]="loadShape.name"
                (changed)="setLoad(it.id, load, { name: $event })"
              />
              <gk-choice-field
                label="It is"
                [fieldId]="'load-device-' + it.id + '-' + load[0]"
                [value]="load[1].deviceId ?? ''"
                [choices]="deviceChoices()"
                (changed)="setLoad(it.id, load, asDevice(load[1], $event))"
              />
              @for (one of loadFields; track one.key) {
                <gk-quantity-field
                  [label]="one.label"
                  [fieldId]="'load-' + one.key + '-' + it.id + '-' + load[0]"
                  [quantity]="one.quantity"
                  [value]="load[1][one.key]"
                  [schema]="loadShape[one.key]"
                  (changed)="setLoad(it.id, load, asLoadChange(one.key, $event))"
                />
              }
              <div class="ways">
                <span class="small faint">on while</span>
                @for (way of ways(); track way) {
                  <gk-tick-field
                    class="small"
                    [label]="way"
                    [value]="load[1].runsIn[way] === true"
                    (changed)="runs(it.id, load, way, $event)"
                  />
                }
                <button
                  type="button"
                  class="plain"
                  (click)="putLoad(it.id, load[0], null, 'take ' + load[1].name + ' off')"
                >
                  Remove<span class="hidden-label"> {{ load[1].name }} from {{ it.circuit.name }}</span>
                </button>
              </div>
            </div>
          }
          <div class="row">
            <button type="button" class="action" (click)="addLoad(it.id)">Hang another load on it</button>
            <button type="button" class="plain" (click)="removeCircuit(it.id, it.circuit.name)">
              Remove {{ it.circuit.name }}
            </button>
          </div>
        </article>
      } @empty {
        <p class="faint">None yet. A circuit is one pair of wires from a battery, with its fuse.</p>
      }
      <button type="button" class="action" id="circuit-add" (click)="addCircuit()">Add a circuit</button>
      <p class="small faint">
        A fuse opens on too much current. It stops neither a dip nor a spike of voltage, and a lithium battery does not
        sharpen a picture: it holds its voltage longer, which only counts where a device runs out of it.
      </p>
    </section>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
    .item {
      padding: 10px 0;
      border-bottom: var(--hairline) solid var(--rule);
      margin-bottom: 10px;
    }
    .swatch {
      display: inline-block;
      width: 11px;
      height: 11px;
      margin-right: 8px;
    }
    .empty {
      color: var(--check);
    }
    .left {
      text-align: left !important;
    }
    .told {
      display: flex;
      flex-wrap: wrap;
      gap: 0 28px;
      margin: 8px 0;
      padding: 0;
      list-style: none;
    }
    .load {
      display: grid;
      grid-template-columns: minmax(0, 2fr) minmax(0, 2fr) repeat(3, minmax(0, 1fr));
      gap: 4px 12px;
      padding: 6px 0 0 14px;
      border-left: 3px solid var(--rule);
      margin-bottom: 8px;
    }
    .ways {
      grid-column: 1 / -1;
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0 16px;
    }
    .ways .plain {
      margin-left: auto;
    }
    h3 {
      margin: 10px 0 4px;
    }
    @media (max-width: 900px) {
      .load {
        grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      }
    }
  `,
})
export class PowerView {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly battery = batterySchema.shape;
  protected readonly circuit = circuitSchema.shape;
  protected readonly loadShape = loadSchema.shape;
  protected readonly hoursSchema = z.number().min(0).max(24);
  protected readonly kinds = choicesOf(chemistries);
  protected readonly curves = [
    { value: 'flat' as const, label: 'flat, iron phosphate' },
    { value: 'sloping' as const, label: 'falls with charge' },
  ];
  protected readonly insulations = [
    { value: '' as const, label: 'not looked at' },
    ...Array.from(insulationRatingsC, (rated) => ({ value: `${rated}` as const, label: `for ${rated} °C` })),
  ];
  protected readonly gaugeChoices = choicesOf(gauges);
  protected readonly conductorChoices = choicesOf(conductors);
  protected readonly batteryFields = [
    { key: 'nominalV', id: 'voltage', label: 'Nominal', quantity: 'voltage', decimals: 0 },
    { key: 'capacityAh', id: 'capacity', label: 'Capacity', quantity: 'charge', decimals: 0 },
    { key: 'capacityLeft', id: 'left', label: 'Left of it with age', quantity: 'fraction', decimals: 0 },
    { key: 'peukert', id: 'peukert', label: 'Peukert, lead-acid', quantity: 'count', decimals: 2 },
    { key: 'internalOhm', id: 'inner', label: 'Inner resistance', quantity: 'resistance', decimals: 1 },
    { key: 'crankingA', id: 'cranking', label: 'Starter takes', quantity: 'current', decimals: 0 },
    { key: 'chargingV', id: 'charging', label: 'Charged at', quantity: 'voltage', decimals: 1 },
  ] as const;
  protected readonly loadFields = [
    { key: 'currentA', label: 'Draws', quantity: 'current' },
    { key: 'lowestV', label: 'Lowest', quantity: 'voltage' },
    { key: 'highestV', label: 'Highest', quantity: 'voltage' },
  ] as const;

  protected insulationOf({ insulationC }: Circuit): `${(typeof insulationRatingsC)[number]}` | '' {
    return insulationC == null ? '' : `${insulationC}`;
  }

  protected setInsulation(id: string, text: string): void {
    this.setCircuit(id, { insulationC: insulationRatingsC.find((rated) => `${rated}` === text) ?? null });
  }

  protected readonly ways = computed(() => waysOfWorking.filter((way) => this.plan().ways[way]));
  protected readonly batteries = computed(() => inOrder(this.plan().power.batteries));
  protected readonly batteryChoices = computed(() => [
    { value: '', label: 'nothing yet' },
    ...this.batteries().map(([id, { name }]) => ({ value: id, label: name })),
  ]);
  protected readonly deviceChoices = computed(() => [
    { value: '', label: 'something else' },
    ...devicesOf(this.plan()).map(({ id, name, kind }) => ({ value: id, label: `${name}, ${kind}` })),
  ]);
  protected readonly circuits = computed(() =>
    inOrder(this.plan().power.circuits).map(([id, circuit]) => ({
      id,
      circuit,
      loads: inOrder(circuit.loads),
      standing: circuitStanding(this.plan(), circuit),
    })),
  );
  protected readonly days = computed(() =>
    this.batteries().flatMap(([id, battery], i) => {
      const spans = dayOf(this.plan(), id);
      return spans.some(({ currentA }) => currentA > 0)
        ? [
            {
              id,
              name: battery.name,
              spans,
              line: dayLine(battery, spans),
              series: i % 6,
              colour: `var(--series-${i % 6})`,
            },
          ]
        : [];
    }),
  );
  /** The lowest any load on a battery bears: the line the voltage must not cross. */
  private readonly lowestV = computed(() =>
    Math.max(
      0,
      ...this.circuits().flatMap(({ loads }) =>
        loads.flatMap(([, { lowestV }]) => (lowestV === null ? [] : [lowestV])),
      ),
    ),
  );

  protected readonly dayWords = computed(
    () =>
      `Voltage through the day. ${this.days()
        .map(({ name, spans }) => {
          const last = spans[spans.length - 1];
          return `${name} ends at ${formatFigure({ value: last?.voltageAtEndV ?? 0, quantity: 'voltage' }, this.units())} with ${formatFigure({ value: last?.leftAtEnd ?? 0, quantity: 'fraction' }, this.units(), { decimals: 0 })} left`;
        })
        .join('; ')}.`,
  );

  protected readonly dayChart = computed(() => {
    const days = this.days();
    const volts = unitFor('voltage', this.units());
    const lowest = this.lowestV();
    const all = days.flatMap(({ spans }) => spans.flatMap((one) => [one.voltageAtStartV, one.voltageAtEndV]));
    const hours = Math.max(1, ...days.flatMap(({ spans }) => spans.map(({ toHour }) => toHour)));
    return (colour: Colour): ApexCharts.ApexOptions => ({
      ...chartFrame(colour, 'line', 260),
      series: days.map(({ name, line }) => ({
        name,
        data: line.map((one) => ({ x: one.hour, y: toDisplay(one.volts, volts) })),
      })),
      colors: days.map(({ series }) => colour(`--series-${series}`)),
      stroke: { width: 2.5, curve: 'straight' },
      xaxis: {
        type: 'numeric',
        min: 0,
        max: hours,
        tickAmount: Math.min(12, Math.ceil(hours)),
        labels: { ...axisLabels(colour), formatter: (value: string) => Number(value).toFixed(0) },
        title: { text: 'hours of the day, way after way' },
      },
      yaxis: {
        min: Math.floor(Math.min(lowest || Number.POSITIVE_INFINITY, ...all)),
        max: Math.ceil(Math.max(...all)),
        tickAmount: 5,
        labels: { ...axisLabels(colour), minWidth: 46, formatter: (value: number) => value.toFixed(1) },
        title: { text: `at the battery, ${volts.symbol}` },
      },
      annotations: {
        yaxis:
          lowest > 0
            ? [
                {
                  y: lowest,
                  borderColor: colour('--stop'),
                  label: {
                    text: 'lowest a load bears',
                    position: 'left',
                    textAnchor: 'start',
                    borderWidth: 0,
                    style: { background: 'transparent', color: colour('--stop') },
                  },
                },
              ]
            : [],
        xaxis: (days[0]?.spans ?? []).map(({ way, fromHour }) => ({
          x: fromHour,
          borderColor: colour('--rule'),
          label: {
            text: way,
            orientation: 'horizontal',
            textAnchor: 'start',
            borderWidth: 0,
            style: { background: 'transparent', color: colour('--ink') },
          },
        })),
      },
    });
  });

  protected asChange(key: (typeof this.batteryFields)[number]['key'], value: number | null): Partial<Battery> {
    return value === null ? {} : { [key]: value };
  }

  /** A load that has the usual name still takes that of what it is said to be. */
  protected asDevice({ name }: Load, deviceId: string): Partial<Load> {
    const found = devicesOf(this.plan()).find(({ id }) => id === deviceId);
    return { deviceId: deviceId || null, ...(found && name === usualLoad.name ? { name: found.name } : {}) };
  }

  protected asLoadChange(key: (typeof this.loadFields)[number]['key'], value: number | null): Partial<Load> {
    return key === 'currentA' ? { currentA: value ?? 0 } : { [key]: value };
  }

  protected setHours(way: Way, hours: number | null): void {
    this.open.edits.edit(`hours ${way}`, { type: 'workHours', way, hours: hours ?? 0 });
  }

  protected setBattery(id: string, changes: Partial<Battery>): void {
    this.open.edits.edit(this.plan().power.batteries[id]?.name ?? 'a battery', {
      type: 'describeBattery',
      id,
      changes,
    });
  }

  protected setCircuit(id: string, changes: Partial<Omit<Circuit, 'loads'>>): void {
    this.open.edits.edit(this.plan().power.circuits[id]?.name ?? 'a circuit', { type: 'describeCircuit', id, changes });
  }

  protected setLoad(circuitId: string, [id, load]: readonly [string, Load], changes: Partial<Load>): void {
    this.putLoad(circuitId, id, { ...load, ...changes }, load.name);
  }

  protected runs(circuitId: string, [id, load]: readonly [string, Load], way: Way, on: boolean): void {
    const { [way]: _was, ...others } = load.runsIn;
    this.putLoad(circuitId, id, { ...load, runsIn: on ? { ...others, [way]: true } : others }, `${load.name} ${way}`);
  }

  protected putLoad(circuitId: string, id: string, load: Load | null, what: string): void {
    this.open.edits.edit(what, { type: 'putLoad', circuitId, id, load });
  }

  protected addBattery(): void {
    const nominalV = this.plan().boat.systemVoltageV ?? 12;
    this.open.edits.edit('add a battery', {
      type: 'addBattery',
      id: newId(),
      battery: { ...usualBattery, nominalV, chargingV: 1.2 * nominalV },
    });
  }

  protected removeBattery(id: string, name: string): void {
    this.open.edits.edit(`remove ${name}`, { type: 'removeBattery', id });
  }

  protected addCircuit(): void {
    const [first] = this.batteries();
    this.open.edits.edit('add a circuit', {
      type: 'addCircuit',
      id: newId(),
      circuit: {
        name: 'Circuit',
        batteryId: first?.[0] ?? null,
        oneWayLengthM: 3,
        gauge: '6 mm2',
        conductor: 'stranded-tinned',
        temperatureC: 30,
        fuseA: 10,
        fuseFromPostM: 0.1,
        loads: { [newId()]: { ...usualLoad, runsIn: this.awake() } },
      },
    });
  }

  protected removeCircuit(id: string, name: string): void {
    this.open.edits.edit(`remove ${name}`, { type: 'removeCircuit', id });
  }

  protected addLoad(circuitId: string): void {
    this.putLoad(circuitId, newId(), { ...usualLoad, runsIn: this.awake() }, 'add a load');
  }

  private awake(): Load['runsIn'] {
    const { trailer: _never, ...wet } = this.plan().ways;
    return wet;
  }
}
