import { requiredSnrDb, targetSnrDb, toDisplay, unitFor, type BeamMeasures, type UnitChoice } from '@grey-keel/core';
import { shortName } from '@grey-keel/core/units';
import { scaleLinear } from 'd3-scale';
import { axisLabels, chartFrame, type Colour } from '../../shared/chart.ts';

const curvePoints = 60;

/** A beam as its curve is drawn: with what is not known of the fish's strength, and the colour of its transducer. */
export interface DetectionRangeCurve {
  readonly name: string;
  readonly beam: BeamMeasures;
  readonly uncertaintyDb: number;
  readonly series: number;
}

/** Signal over noise against depth, each beam with the same fish lying well and badly. */
export const detectionRangeCurves = (
  beams: readonly DetectionRangeCurve[],
  {
    deepestM,
    workingM,
    units,
    narrow,
  }: { readonly deepestM: number; readonly workingM: number; readonly units: UnitChoice; readonly narrow: boolean },
): ((colour: Colour) => ApexCharts.ApexOptions) => {
  const depth = unitFor('depth', units);
  const line = (of: (depthM: number) => number) =>
    Array.from({ length: curvePoints }, (_, i) => {
      const depthM = 1 + ((deepestM - 1) * i) / (curvePoints - 1);
      return { x: of(depthM), y: toDisplay(depthM, depth) };
    }).reverse();
  const drawn = beams.flatMap(({ name, beam, uncertaintyDb, series }) =>
    [0, -uncertaintyDb, uncertaintyDb].map((offDb) => ({
      name: `${name} ${beam.frequencyHz / 1000} ${offDb}`,
      series,
      main: offDb === 0,
      data: line((depthM) => targetSnrDb(beam.terms, beam.targetStrengthDb + offDb, depthM)),
    })),
  );
  const levels = drawn.flatMap(({ data }) => data.map(({ x }) => x));
  const [least, most] = [Math.floor(Math.min(0, ...levels) / 20) * 20, Math.ceil(Math.max(40, ...levels) / 20) * 20];
  const [, bottom = 1] = scaleLinear([0, toDisplay(deepestM, depth)], [0, 1])
    .nice(6)
    .domain();
  return (colour: Colour): ApexCharts.ApexOptions => ({
    ...chartFrame(colour, 'line', 380),
    series: drawn.map(({ name, data }) => ({ name, data })),
    colors: drawn.map(({ series }) => colour(`--series-${series}`)),
    stroke: {
      width: drawn.map(({ main }) => (main ? 2.5 : 1)),
      dashArray: drawn.map(({ main }) => (main ? 0 : 5)),
      curve: 'straight',
    },
    xaxis: {
      type: 'numeric',
      min: least,
      max: most,
      tickAmount: (most - least) / 20,
      labels: { ...axisLabels(colour), formatter: (value: string) => Number(value).toFixed(0) },
      title: { text: 'signal over noise, dB' },
    },
    yaxis: {
      reversed: true,
      min: 0,
      max: bottom,
      tickAmount: scaleLinear([0, bottom], [0, 1]).ticks(6).length - 1,
      labels: { ...axisLabels(colour), minWidth: 46, formatter: (value: number) => value.toFixed(0) },
      title: { text: `depth below the face, ${depth.symbol}` },
    },
    annotations: {
      xaxis: [
        {
          x: requiredSnrDb,
          borderColor: colour('--ink'),
          strokeDashArray: 3,
          label: {
            text: 'seen from here',
            orientation: 'vertical',
            borderWidth: 0,
            style: { background: 'transparent', color: colour('--ink') },
          },
        },
      ],
      yaxis: [
        {
          y: toDisplay(workingM, depth),
          borderColor: colour('--water'),
          strokeDashArray: 0,
          label: {
            text: 'working depth',
            borderWidth: 0,
            style: { background: 'transparent', color: colour('--water') },
          },
        },
      ],
      points: beams.map(({ name, beam, series }, i) => {
        const depthM = deepestM * (0.3 + 0.15 * i);
        const snrDb = targetSnrDb(beam.terms, beam.targetStrengthDb, depthM);
        // Towards where there is more room.
        const toLeft = snrDb > (least + most) / 2;
        return {
          x: snrDb,
          y: toDisplay(depthM, depth),
          marker: { size: 0 },
          label: {
            text: `${shortName(name, narrow ? 12 : 24)}, ${beam.frequencyHz / 1000} kHz`,
            textAnchor: toLeft ? 'end' : 'start',
            offsetX: toLeft ? -8 : 8,
            offsetY: 6,
            borderWidth: 0,
            style: { background: colour('--sheet'), color: colour(`--series-${series}`), fontSize: '12px' },
          },
        };
      }),
    },
  });
};
