import { ChangeDetectionStrategy, Component, effect, ElementRef, inject, input, viewChild } from '@angular/core';
import { formatNumber, toDisplay, unitFor, type UnitChoice } from '@grey-keel/core';
import { Store } from '@ngrx/store';
import type ApexCharts from 'apexcharts';
import { scaleLinear } from 'd3-scale';
import { selectTheme } from '../state/view.ts';

export interface Difference {
  readonly depthM: number;
  readonly differenceM: number;
  readonly flagged: boolean;
}

/** Differences of the readings against depth, with their mean and its interval. */
@Component({
  selector: 'gk-differences-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div #host role="img" [attr.aria-label]="words()"></div>`,
  styles: `
    div {
      min-height: 216px;
    }
  `,
})
export class DifferencesChart {
  readonly points = input.required<readonly Difference[]>();
  readonly meanM = input.required<number>();
  readonly halfIntervalM = input.required<number | null>();
  readonly units = input.required<UnitChoice>();

  private readonly host = viewChild.required<ElementRef<HTMLElement>>('host');
  private readonly theme = inject(Store).selectSignal(selectTheme);
  private chart: ApexCharts | null = null;

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

  constructor() {
    effect((onCleanup) => {
      const options = this.options();
      let stopped = false;
      onCleanup(() => (stopped = true));
      void import('apexcharts').then(({ default: Chart }) => {
        if (stopped) return;
        this.chart?.destroy();
        this.chart = new Chart(this.host().nativeElement, options);
        void this.chart.render();
      });
    });
  }

  private options(): ApexCharts.ApexOptions {
    this.theme();
    const style = getComputedStyle(document.documentElement);
    const colour = (name: string): string => style.getPropertyValue(name).trim();
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
    const label = { style: { colors: colour('--ink'), fontFamily: 'DejaVu Mono', fontSize: '12px' } };
    return {
      chart: {
        type: 'scatter',
        height: 216,
        animations: { enabled: false },
        toolbar: { show: false },
        zoom: { enabled: false },
        foreColor: colour('--ink'),
        fontFamily: 'Archivo Variable',
      },
      series: [
        { name: 'readings', data: of(false) },
        { name: 'stand apart', data: of(true) },
      ],
      colors: [colour('--series-0'), colour('--check')],
      markers: { size: [6, 7], shape: ['circle', 'square'], strokeColors: colour('--sheet') },
      legend: { show: false },
      tooltip: { enabled: false },
      grid: { borderColor: colour('--rule') },
      xaxis: {
        type: 'numeric',
        axisBorder: { color: colour('--rule') },
        axisTicks: { color: colour('--rule') },
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
