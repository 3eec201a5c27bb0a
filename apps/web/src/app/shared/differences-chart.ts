import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatNumber, toDisplay, unitFor, type UnitChoice } from '@grey-keel/core/units';
import type ApexCharts from 'apexcharts';
import { scaleLinear } from 'd3-scale';
import { axisLabels, Chart, chartFrame, type Colour } from './chart.ts';

export interface Difference {
  readonly depthM: number;
  readonly differenceM: number;
  readonly flagged: boolean;
}

/** Differences of the readings against depth, with their mean and its interval. */
@Component({
  selector: 'gk-differences-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Chart],
  template: `<gk-chart [label]="words()" [height]="216" [options]="options()" />`,
})
export class DifferencesChart {
  readonly points = input.required<readonly Difference[]>();
  readonly meanM = input.required<number>();
  readonly halfIntervalM = input.required<number | null>();
  readonly units = input.required<UnitChoice>();

  protected words(): string {
    const length = unitFor('length', this.units());
    const depth = unitFor('depth', this.units());
    return `Differences: ${this.points()
      .map(
        ({ depthM, differenceM, flagged }) =>
          `${formatNumber(toDisplay(differenceM, length), 2)} ${length.symbol} at ${formatNumber(toDisplay(depthM, depth), 1)} ${depth.symbol}${flagged ? ', stands apart' : ''}`,
      )
      .join('; ')}`;
  }

  protected readonly options = computed(() => {
    const draw = (colour: Colour): ApexCharts.ApexOptions => this.draw(colour);
    // Drawn anew with whatever it is drawn from.
    this.points();
    this.meanM();
    this.halfIntervalM();
    this.units();
    return draw;
  });

  private draw(colour: Colour): ApexCharts.ApexOptions {
    const length = unitFor('length', this.units());
    const depth = unitFor('depth', this.units());
    const xs = this.points().map(({ depthM }) => toDisplay(depthM, depth));
    const ys = this.points().map(({ differenceM }) => toDisplay(differenceM, length));
    const mean = toDisplay(this.meanM(), length);
    const half = this.halfIntervalM();
    const spread = half === null ? 0 : toDisplay(half, length);
    const [low, high] = scaleLinear([Math.min(...ys, mean - spread), Math.max(...ys, mean + spread)], [0, 1])
      .nice(4)
      .domain() as [number, number];
    const steps = scaleLinear([low, high], [0, 1]).ticks(4).length - 1;
    const [, deepest] = scaleLinear([0, Math.max(...xs) * 1.02], [0, 1])
      .nice(4)
      .domain() as [number, number];
    const of = (flagged: boolean) =>
      this.points().flatMap((point, i) => (point.flagged === flagged ? [{ x: xs[i] ?? 0, y: ys[i] ?? 0 }] : []));
    const label = axisLabels(colour);
    return {
      ...chartFrame(colour, 'scatter', 216),
      series: [
        { name: 'readings', data: of(false) },
        { name: 'stand apart', data: of(true) },
      ],
      colors: [colour('--series-0'), colour('--check')],
      markers: { size: [6, 7], shape: ['circle', 'square'], strokeColors: colour('--sheet') },
      xaxis: {
        type: 'numeric',
        min: 0,
        max: deepest,
        tickAmount: 4,
        labels: { ...label, formatter: (value: string) => Number(value).toFixed(0) },
        title: { text: `lead line, ${depth.symbol}` },
      },
      yaxis: {
        min: low,
        max: high,
        tickAmount: Math.max(1, steps),
        labels: { ...label, formatter: (value: number) => formatNumber(value, 2) },
        title: { text: `difference, ${length.symbol}` },
      },
      annotations: {
        yaxis: [
          { y: mean, borderColor: colour('--series-0'), strokeDashArray: 0 },
          ...(spread > 0
            ? [
                {
                  y: mean - spread,
                  y2: mean + spread,
                  fillColor: colour('--series-0'),
                  opacity: 0.12,
                  borderColor: 'transparent',
                },
              ]
            : []),
        ],
      },
    };
  }
}
