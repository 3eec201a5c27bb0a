import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { answerOf, formatFigure, imagingFrequency, imagingHere, toDisplay, unitFor } from '@grey-keel/core';
import { shortName } from '@grey-keel/core/units';
import type { Transducer, Water } from '@grey-keel/model';
import { axisLabels, chartFrame, type Colour } from '../../shared/chart.ts';
import { ComputedNumber } from '../../shared/computed-number.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { mediaMatches, narrowScreen } from '../../shared/media-matches.ts';
import { ReadChart, type ChartReading } from '../../shared/read-chart.ts';
import { Wide } from '../../shared/wide.ts';
import { openBoat } from '../open-boat.ts';

const imagedM = [5, 10, 15, 20, 30, 40, 60, 80, 100, 150];

/** Which imaging frequency covers which range to a side in a water, and what is aboard for it. */
@Component({
  selector: 'gk-imaging-range',
  imports: [ComputedNumber, FigurePipe, ReadChart, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="imaging-title">
      <h2 id="imaging-title">Imaging: the highest frequency that covers a range</h2>
      <p class="small faint">
        One school takes the highest that still covers the range, for detail; the other goes lower on purpose, for
        larger and bolder marks. Above the line nothing comes back.
      </p>
      <div class="two">
        <gk-read-chart
          [label]="imagingWords()"
          [height]="260"
          [options]="imagingChart()"
          along="across"
          [from]="0"
          [to]="furthestM()"
          quantity="depth"
          sliderId="read-imaging"
          [read]="readImaging"
        />
        <div gkWide>
          <table class="figures" aria-label="Highest imaging frequency by range">
            <thead>
              <tr>
                <th scope="col">range to a side</th>
                <th scope="col">highest frequency</th>
              </tr>
            </thead>
            <tbody>
              @for (one of imaging(); track one.rangeM) {
                <tr>
                  <td class="mono">{{ one.rangeM | figure: 'depth' : units() : { decimals: 0 } }}</td>
                  <td>
                    @if (one.answer.frequencyHz !== null) {
                      <gk-number
                        [of]="'Highest imaging frequency to ' + one.rangeM + ' m'"
                        [value]="one.answer.frequencyHz"
                        quantity="frequency"
                        [decimals]="0"
                        [steps]="one.answer.working"
                      />
                    } @else {
                      none
                    }
                  </td>
                </tr>
              }
            </tbody>
          </table>
        </div>
      </div>
    </section>
  `,
  styles: `
    :host {
      display: contents;
    }
    .two {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      gap: 4px 20px;
      align-items: start;
    }
    @media (max-width: 1100px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class ImagingRange {
  readonly water = input.required<Pick<Water, 'temperatureC' | 'salinityPpt'>>();

  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  private readonly narrow = mediaMatches(narrowScreen);

  protected readonly imaging = computed(() => {
    const [plan, water] = [this.plan(), this.water()];
    return imagedM.map((rangeM) => ({ rangeM, answer: answerOf(imagingFrequency, imagingHere(plan, water, rangeM)) }));
  });

  protected readonly furthestM = computed(() =>
    Math.max(5, ...this.imaging().flatMap(({ rangeM, answer }) => (answer.frequencyHz === null ? [] : [rangeM]))),
  );
  protected readonly readImaging = (rangeM: number): ChartReading[] => {
    const { frequencyHz } = answerOf(imagingFrequency, imagingHere(this.plan(), this.water(), Math.max(1, rangeM)));
    return [
      {
        name: 'highest frequency',
        colour: 'var(--water)',
        text:
          frequencyHz === null
            ? 'none'
            : formatFigure({ value: frequencyHz, quantity: 'frequency' }, this.units(), { decimals: 0 }),
      },
    ];
  };

  protected readonly imagingWords = computed(
    () =>
      `Highest imaging frequency by range: ${this.imaging()
        .map(({ rangeM, answer }) =>
          answer.frequencyHz === null
            ? `none at ${rangeM} m`
            : `${formatFigure({ value: answer.frequencyHz, quantity: 'frequency' }, this.units(), { decimals: 0 })} at ${formatFigure({ value: rangeM, quantity: 'depth' }, this.units(), { decimals: 0 })}`,
        )
        .join('; ')}.`,
  );

  protected readonly imagingChart = computed(() => {
    const depth = unitFor('depth', this.units());
    const data = this.imaging().flatMap(({ rangeM, answer }) =>
      answer.frequencyHz === null ? [] : [{ x: toDisplay(rangeM, depth), y: answer.frequencyHz / 1000 }],
    );
    const aboard = Object.values(this.plan().transducers)
      .filter(({ kind }: Transducer) => kind === 'side-scan' || kind === 'down fan')
      .flatMap(({ name, beams }) => beams.map((beam) => ({ name, kHz: beam.frequencyHz / 1000 })));
    return (colour: Colour): ApexCharts.ApexOptions => ({
      ...chartFrame(colour, 'line', 260),
      series: [{ name: 'highest', data }],
      colors: [colour('--water')],
      stroke: { width: 2.5, curve: 'straight' },
      xaxis: {
        type: 'numeric',
        min: 0,
        max: toDisplay(this.furthestM(), depth),
        tickAmount: 5,
        labels: { ...axisLabels(colour), formatter: (value: string) => Number(value).toFixed(0) },
        title: { text: `range to a side, ${depth.symbol}` },
      },
      yaxis: {
        min: 0,
        tickAmount: 5,
        labels: { ...axisLabels(colour), minWidth: 46, formatter: (value: number) => value.toFixed(0) },
        title: { text: 'frequency, kHz' },
      },
      annotations: {
        yaxis: aboard.map(({ name, kHz }) => ({
          y: kHz,
          borderColor: colour('--series-1'),
          label: {
            text: `${shortName(name, this.narrow() ? 20 : 48)}, ${kHz} kHz`,
            borderWidth: 0,
            style: { background: 'transparent', color: colour('--series-1') },
          },
        })),
      },
    });
  });
}
