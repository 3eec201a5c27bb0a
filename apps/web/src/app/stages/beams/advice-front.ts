import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatFigure, toDisplay, unitFor, type Place, type Ranking, type UnitChoice } from '@grey-keel/core';
import { scaleLinear } from 'd3-scale';
import { axisLabels, Chart, chartFrame, type Colour } from '../../shared/chart.ts';
import { FigurePipe } from '../../shared/figure-pipe.ts';

/** The ranked as points: what is to spare at the bottom of the boat's water, against the footprint. */
@Component({
  selector: 'gk-advice-front',
  imports: [Chart, FigurePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" aria-labelledby="front-title">
      <h2 id="front-title">Signal against footprint</h2>
      <p class="small faint">
        Over what the fish needs, at {{ ranking().requirements.waterM | figure: 'depth' : units() : rounded }}. Filled:
        none beats it in both. The score is not the only way to look at it.
      </p>
      <gk-chart [label]="frontWords()" [height]="250" [options]="front()" />
    </section>
  `,
  styles: `
    :host {
      display: contents;
    }
  `,
})
export class AdviceFront {
  readonly ranking = input.required<Ranking>();
  readonly units = input.required<UnitChoice>();
  /** The name of the one that is open in the list. */
  readonly open = input.required<string>();
  protected readonly rounded = { decimals: 0, figures: 3 };

  protected readonly frontWords = computed(
    () =>
      `Signal to spare against footprint: ${this.ranking()
        .places.map(
          ({ name, measures, onFront }) =>
            `${name} ${measures.spareDb.toFixed(0)} dB and ${formatFigure({ value: measures.footprintM, quantity: 'length' }, this.units())}${onFront ? ', beaten by none' : ''}`,
        )
        .join('; ')}`,
  );

  protected readonly front = computed(() => {
    const places = this.ranking().places;
    const length = unitFor('length', this.units());
    const chosen = this.open();
    const levels = places.map(({ measures }) => measures.spareDb);
    const [lowestDb = 0, highestDb = 1] = scaleLinear([Math.min(0, ...levels), Math.max(1, ...levels)], [0, 1])
      .nice(5)
      .domain();
    const widest = Math.max(1, ...places.map(({ measures }) => toDisplay(measures.footprintM, length)));
    const [, end = widest] = scaleLinear([0, widest * 1.02], [0, 1])
      .nice(5)
      .domain();
    const middle = Math.max(0, ...places.map(({ measures }) => measures.footprintM)) / 2;
    // The one that is open is named first; a name that would lie on another is left to the list beside.
    const named = places
      .filter(({ onFront, name }) => onFront || name === chosen)
      .sort((a, b) => Number(b.name === chosen) - Number(a.name === chosen))
      .reduce<Place[]>((apart, place) => {
        const clear = apart.every(
          ({ measures }) => Math.abs(measures.spareDb - place.measures.spareDb) > (highestDb - lowestDb) / 9,
        );
        return clear ? [...apart, place] : apart;
      }, []);
    const points = (which: (place: Place) => boolean) =>
      places.filter(which).map(({ measures }) => ({ x: toDisplay(measures.footprintM, length), y: measures.spareDb }));
    return (colour: Colour): ApexCharts.ApexOptions => ({
      ...chartFrame(colour, 'scatter', 250),
      series: [
        { name: 'beaten', data: points(({ onFront, name }) => !onFront && name !== chosen) },
        { name: 'on the front', data: points(({ onFront, name }) => onFront && name !== chosen) },
        { name: 'open in the list', data: points(({ name }) => name === chosen) },
      ],
      colors: [colour('--sheet'), colour('--water'), colour('--series-1')],
      markers: {
        size: [6, 7, 9],
        strokeColors: [colour('--hull'), colour('--water'), colour('--series-1')],
        strokeWidth: 2,
      },
      xaxis: {
        type: 'numeric',
        min: 0,
        max: end,
        tickAmount: scaleLinear([0, end], [0, 1]).ticks(5).length - 1,
        labels: { ...axisLabels(colour), formatter: (value: string) => Number(value).toFixed(0) },
        title: { text: `footprint at the working depth, ${length.symbol}` },
      },
      yaxis: {
        min: lowestDb,
        max: highestDb,
        tickAmount: scaleLinear([lowestDb, highestDb], [0, 1]).ticks(5).length - 1,
        labels: { ...axisLabels(colour), minWidth: 46, formatter: (value: number) => value.toFixed(0) },
        title: { text: 'signal to spare, dB' },
      },
      annotations: {
        points: named.map(({ name, measures }) => ({
          x: toDisplay(measures.footprintM, length),
          y: measures.spareDb,
          marker: { size: 0 },
          label: {
            text: name,
            textAnchor: measures.footprintM < middle ? 'start' : 'end',
            offsetX: measures.footprintM < middle ? 8 : -8,
            offsetY: 14,
            borderWidth: 0,
            style: { background: 'transparent', color: colour('--ink'), fontSize: '11px' },
          },
        })),
      },
    });
  });
}
