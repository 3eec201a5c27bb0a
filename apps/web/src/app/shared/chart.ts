import { ChangeDetectionStrategy, Component, effect, ElementRef, inject, input, viewChild } from '@angular/core';
import { Store } from '@ngrx/store';
import type ApexCharts from 'apexcharts';
import { selectTheme } from '../state/view.ts';

/** The value of a colour of the theme that is shown, by its name in the style sheets. */
export type Colour = (name: string) => string;

/** What every chart has in common: no motion, no toolbar, the theme's ink and type. */
export const chartFrame = (colour: Colour, type: 'line' | 'scatter', height: number): ApexCharts.ApexOptions => ({
  chart: {
    type,
    height,
    animations: { enabled: false },
    toolbar: { show: false },
    zoom: { enabled: false },
    foreColor: colour('--ink'),
    fontFamily: 'Archivo Variable',
  },
  legend: { show: false },
  tooltip: { enabled: false },
  grid: { borderColor: colour('--rule') },
});

/** Labels of an axis, in the type of figures. */
export const axisLabels = (colour: Colour) => ({
  style: { colors: colour('--ink'), fontFamily: 'Spline Sans Mono Variable', fontSize: '12px' },
});

/** A chart in the theme that is shown. What it shows is said in `label`, and stands as a table beside it. */
@Component({
  selector: 'gk-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div #host role="img" [attr.aria-label]="label()" [style.min-height.px]="height()"></div>`,
})
export class Chart {
  readonly label = input.required<string>();
  readonly height = input.required<number>();
  readonly options = input.required<(colour: Colour) => ApexCharts.ApexOptions>();

  private readonly host = viewChild.required<ElementRef<HTMLElement>>('host');
  private readonly theme = inject(Store).selectSignal(selectTheme);
  private chart: ApexCharts | null = null;

  constructor() {
    effect((onCleanup) => {
      this.theme();
      const style = getComputedStyle(document.documentElement);
      const colour: Colour = (name) => style.getPropertyValue(name).trim();
      const options = this.options()(colour);
      // The library's own lines are nearly white, in every theme.
      const line = { color: colour('--rule') };
      options.xaxis = { axisBorder: line, axisTicks: line, ...options.xaxis };
      let stopped = false;
      onCleanup(() => (stopped = true));
      void import('apexcharts').then(({ default: Apex }) => {
        if (stopped) return;
        this.chart?.destroy();
        this.chart = new Apex(this.host().nativeElement, options);
        void this.chart.render();
      });
    });
  }
}
