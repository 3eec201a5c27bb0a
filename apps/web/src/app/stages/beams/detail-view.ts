import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { detailAtDepth, formatFigure, toDisplay, unitFor, type BeamDetail } from '@grey-keel/core';
import { axisLabels, chartFrame, type Colour } from '../../shared/chart.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';
import { ReadChart, type ChartReading } from '../../shared/read-chart.ts';
import { openBoat } from '../open-boat.ts';
import { seriesVariable } from '../../shared/series.ts';
import { Wide } from '../../shared/wide.ts';

const points = 40;
const shares = [0.1, 0.25, 0.5, 0.75, 1];

type Detail = 'widthM' | 'separationM';

/** Footprint and resolution against depth: what each beam that looks down tells apart side by side, and in depth. */
@Component({
  selector: 'gk-detail-view',
  imports: [FigurePipe, ReadChart, Wide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (details().length) {
      <section class="sheet" aria-labelledby="detail-title">
        <h2 id="detail-title">Footprint and resolution against depth</h2>
        <p class="small faint">
          Two fish side by side closer than the footprint are one mark; two over each other closer than the separation
          are one as well. A longer pulse for deeper water costs separation; a chirp keeps it.
        </p>
        <div class="two">
          <div>
            <gk-read-chart
              label="Width of the footprint against depth; the table says the same"
              [height]="260"
              [options]="widths()"
              along="down"
              [from]="0"
              [to]="deepestM()"
              quantity="depth"
              sliderId="read-width"
              [read]="readWidth"
            />
          </div>
          <div>
            <gk-read-chart
              label="Separation in depth against depth; the table says the same"
              [height]="260"
              [options]="separations()"
              along="down"
              [from]="0"
              [to]="deepestM()"
              quantity="depth"
              sliderId="read-separation"
              [read]="readSeparation"
            />
          </div>
        </div>
        <div gkWide>
          <table class="figures" aria-label="Footprint and separation by depth">
            <thead>
              <tr>
                <th scope="col">Beam</th>
                @for (row of table(); track row.depthM) {
                  <th scope="col">at {{ row.depthM | figure: 'depth' : units() : { decimals: 0 } }}</th>
                }
              </tr>
            </thead>
            <tbody>
              @for (one of details(); track one.key; let i = $index) {
                <tr>
                  <td class="named">
                    <span class="swatch" [style.background]="colourOf(one)" aria-hidden="true"></span>{{ nameOf(one) }}
                  </td>
                  @for (row of table(); track row.depthM) {
                    <td class="mono">
                      {{ row.details[i]?.widthM | figure: 'length' : units() : { decimals: 1 } }};
                      {{ row.details[i]?.separationM | figure: 'length' : units() : { decimals: 2 } }}
                    </td>
                  }
                </tr>
              }
            </tbody>
          </table>
        </div>
        <p class="small faint">Width of the footprint; separation in depth.</p>
      </section>
    }
  `,
  styles: `
    .two {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      gap: 20px;
    }
    .swatch {
      display: inline-block;
      width: 11px;
      height: 11px;
      margin-right: 8px;
    }
    .wide {
      margin-top: 8px;
    }
    @media (max-width: 1100px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class DetailView {
  private readonly open = openBoat();
  private readonly plan = this.open.plan;
  protected readonly units = this.open.units;
  protected readonly deepestM = computed(() => Math.max(10, Math.ceil((this.plan().working.depthM * 1.5) / 10) * 10));
  protected readonly details = computed(() => detailAtDepth(this.plan(), this.plan().working.depthM));
  protected readonly table = computed(() =>
    shares.map((share) => {
      const depthM = share * this.deepestM();
      return { depthM, details: detailAtDepth(this.plan(), depthM) };
    }),
  );
  protected readonly widths = computed(() => this.chart('widthM', 'width of the footprint'));
  protected readonly separations = computed(() => this.chart('separationM', 'separation in depth'));
  protected readonly readWidth = (depthM: number): ChartReading[] => this.readings('widthM', depthM, 1);
  protected readonly readSeparation = (depthM: number): ChartReading[] => this.readings('separationM', depthM, 2);

  protected nameOf({ name, frequencyHz }: BeamDetail): string {
    return `${name}, ${formatFigure({ value: frequencyHz, quantity: 'frequency' }, this.units(), { decimals: 0 })}`;
  }

  protected colourOf({ series }: BeamDetail): string {
    return seriesVariable(series);
  }

  private readings(what: Detail, depthM: number, decimals: number): ChartReading[] {
    return detailAtDepth(this.plan(), Math.max(0.1, depthM)).map((one) => ({
      name: this.nameOf(one),
      colour: this.colourOf(one),
      text: formatFigure({ value: one[what], quantity: 'length' }, this.units(), { decimals }),
    }));
  }

  private chart(what: Detail, title: string) {
    const depth = unitFor('depth', this.units());
    const length = unitFor('length', this.units());
    const deepestM = this.deepestM();
    const rows = Array.from({ length: points }, (_, i) => {
      const depthM = Math.max(0.1, (deepestM * i) / (points - 1));
      return { depthM, details: detailAtDepth(this.plan(), depthM) };
    });
    const lines = this.details().map((one, k) => ({
      one,
      data: rows
        .map(({ depthM, details }) => ({
          x: toDisplay(details[k]?.[what] ?? 0, length),
          y: toDisplay(depthM, depth),
        }))
        .reverse(),
    }));
    const most = Math.max(...lines.flatMap(({ data }) => data.map(({ x }) => x)));
    return (colour: Colour): ApexCharts.ApexOptions => ({
      ...chartFrame(colour, 'line', 260),
      series: lines.map(({ one, data }) => ({ name: one.key, data })),
      colors: lines.map(({ one }) => colour(`--series-${one.series % 6}`)),
      // A second beam of one transducer has its colour and is told apart by a broken line.
      stroke: { width: 2, curve: 'straight', dashArray: lines.map(({ one }) => (one.key.endsWith('-0') ? 0 : 5)) },
      xaxis: {
        type: 'numeric',
        min: 0,
        tickAmount: 5,
        labels: {
          ...axisLabels(colour),
          formatter: (value: string) => Number(value).toFixed(most < 1 ? 2 : most < 10 ? 1 : 0),
        },
        title: { text: `${title}, ${length.symbol}` },
      },
      yaxis: {
        reversed: true,
        min: 0,
        max: toDisplay(deepestM, depth),
        tickAmount: 5,
        labels: { ...axisLabels(colour), minWidth: 46, formatter: (value: number) => value.toFixed(0) },
        title: { text: `depth below the face, ${depth.symbol}` },
      },
    });
  }
}
