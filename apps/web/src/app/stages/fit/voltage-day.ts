import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { dayLine, dayOf, formatFigure, inOrder, toDisplay, unitFor } from '@grey-keel/core';
import { waysOfWorking, type Way } from '@grey-keel/model';
import * as z from 'zod';
import { axisLabels, Chart, chartFrame, type Colour } from '../../shared/chart.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { QuantityField } from '../../shared/quantity-field.ts';
import { Wide } from '../../shared/wide.ts';
import { openBoat } from '../open-boat.ts';

/** The voltage of each battery through the day of the brief, and the hours that make the day. */
@Component({
  selector: 'gk-voltage-day',
  imports: [Chart, FigurePipe, QuantityField, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="day-title">
      <h2 id="day-title">Voltage through the day of the brief</h2>
      @if (days().length) {
        <gk-chart [label]="dayWords()" [height]="260" [options]="dayChart()" />
        <div gkWide>
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
                    <td class="named">
                      <span class="swatch" [style.background]="day.colour" aria-hidden="true"></span>{{ day.name }}
                    </td>
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
        </div>
      } @else {
        <p class="faint">Add a battery, hang circuits on it, and say how many hours a day each way of working takes.</p>
      }
      <h3>Hours a day</h3>
      <div class="fields">
        @for (way of ways(); track way) {
          <gk-quantity-field
            [label]="way"
            [fieldId]="'hours-' + way.replaceAll(' ', '-')"
            [at]="['power', 'hours', way]"
            quantity="hours"
            [value]="plan().power.hours[way] ?? 0"
            [schema]="hoursSchema"
            (changed)="setHours(way, $event)"
          />
        }
      </div>
    </section>
  `,
  styles: `
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
    h3 {
      margin: 10px 0 4px;
    }
  `,
})
export class VoltageDay {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly hoursSchema = z.number().min(0).max(24);
  protected readonly ways = computed(() => waysOfWorking.filter((way) => this.plan().ways[way]));
  private readonly batteries = computed(() => inOrder(this.plan().power.batteries));
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
      ...Object.values(this.plan().power.circuits).flatMap(({ loads }) =>
        Object.values(loads).flatMap(({ lowestV }) => (lowestV === null ? [] : [lowestV])),
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
        xaxis: (days[0]?.spans ?? []).map(({ way, fromHour }, i) => ({
          x: fromHour,
          borderColor: colour('--rule'),
          label: {
            text: way,
            orientation: 'horizontal',
            // A short way's word runs on into the next way: that one's stands under it.
            offsetY: 16 * (i % 2),
            textAnchor: 'start',
            borderWidth: 0,
            style: { background: 'transparent', color: colour('--ink') },
          },
        })),
      },
    });
  });

  protected setHours(way: Way, hours: number | null): void {
    this.open.edits.edit(`hours ${way}`, { type: 'workHours', way, hours: hours ?? 0 });
  }
}
