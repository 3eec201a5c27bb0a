import { drawSection, formatFigure, svgPoints, type Section, type UnitChoice } from '@grey-keel/core';
import type { Way } from '@grey-keel/model';
import { roundTicks } from '../../shared/round-ticks.ts';
import { seriesVariable } from '../../shared/series.ts';
import { shortName } from '@grey-keel/core/units';

export const width = 900;
export const gap = 12;
export const left = 94;
export const panel = (width - left - gap) / 2;
export const top = 62;
export const waterHeight = 230;
export const planTop = 332;
export const planHeight = 128;
export const height = planTop + planHeight;
/** Two beside each other leave each other room. */
export const labelWidth = panel / 2 - 8;
/** Letters of a name that stand beside a cone: two names share the width of the section. */
const longestLabel = 24;
export const leastM = 0.5;
export const greatestM = 2000;

/** The next round figure above a depth: where the depth scale ends. */
export const axisEnd = (depthM: number): number => {
  const wanted = depthM * 1.18;
  const power = 10 ** Math.floor(Math.log10(wanted));
  return ([1, 1.5, 2, 3, 4, 5, 6, 8, 10].find((step) => step * power >= wanted) ?? 10) * power;
};

/** Everything but a disc, for cutting it out of another. */
const allBut = ({ cx, cy, r }: Circle): string =>
  `M0 0H${width}V${height}H0Z M${cx - r} ${cy}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;

interface Circle {
  readonly cx: number;
  readonly cy: number;
  readonly r: number;
}

/** Pixels a metre: the depth scale, the footprints in plan and the boat all have to fit. */
export const scaleOf = (section: Section, endM: number): number => {
  const { boat } = section;
  const spread = Math.max(boat.lengthM * 1.15, boat.beamM);
  return Math.min(waterHeight / endM, planHeight / spread, panel / (boat.lengthM * 1.4));
};

const ticksOf = (units: UnitChoice, endM: number, y: (metres: number) => number, bottom: number) =>
  roundTicks('depth', endM, 6, units).map(({ atM, figure, words }) => {
    const at = y(atM);
    return { y: at, label: atM === 0 ? words : figure, hidden: Math.abs(at - bottom) < 18 };
  });

/** Names beside the cones: those that look down alternately to port and starboard, the rest in the side view. */
const labelsOf = (section: Section) => {
  const down = section.beams.filter(({ onBottom }) => onBottom);
  const quoted = ({ beam }: Section['beams'][number]): boolean => beam.levelDb < -3;
  const pitch = section.beams.some(quoted) ? 58 : 44;
  return section.beams.map((beam, i) => {
    const kHz = (beam.beam.frequencyHz / 1000).toFixed(0);
    const sheet = quoted(beam) ? `sheet: ${beam.beam.beamwidthDeg.toFixed(1)}° at ${beam.beam.levelDb} dB` : null;
    const wide = `${beam.cone.acrossDeg.toFixed(1)}° at -3 dB, ${kHz} kHz`;
    const place = beam.onBottom ? down.indexOf(beam) : section.beams.filter(({ onBottom }) => !onBottom).indexOf(beam);
    const toPort = place % 2 === 0;
    const row = (beam.onBottom ? Math.floor(place / 2) : place) * pitch;
    const toEnd = beam.onBottom !== null && !toPort;
    const x = beam.onBottom ? (toPort ? left + 8 : left + panel - 8) : left + panel + gap + panel - 190;
    return {
      key: beam.id,
      name: beam.transducer.name,
      shown: shortName(beam.transducer.name, longestLabel),
      wide,
      /** As its data sheet has it, where that is at another level: on a line of its own. */
      sheet,
      cone: sheet ? `${wide} (${sheet})` : wide,
      steps: beam.cone.working,
      colour: seriesVariable(i),
      anchor: toEnd ? 'end' : 'start',
      x,
      left: toEnd ? x - labelWidth : x,
      y: top + 24 + row,
    };
  });
};

/** The wide footprint with the narrow one cut out of it: where a mark that only the wide cone sees must be. */
const ringOf = (section: Section, x: (m: number) => number, y: (m: number) => number, scale: number) => {
  const circle = (id: string | undefined): Circle | null => {
    const on = section.beams.find((beam) => beam.id === id)?.onBottom;
    return on ? { cx: x(on.centre.x), cy: y(on.centre.y), r: on.acrossM * scale } : null;
  };
  const wide = circle(section.ring?.wideId);
  const narrow = circle(section.ring?.narrowId);
  return wide && narrow ? { wide, notNarrow: allBut(narrow) } : null;
};

/** Everything that is drawn of a section, in pixels of the picture. */
export const pictureOf = (
  section: Section,
  {
    depthM,
    endM,
    scale,
    units,
    way,
  }: {
    readonly depthM: number;
    /** Where the depth scale ends. */
    readonly endM: number;
    readonly scale: number;
    readonly units: UnitChoice;
    /** Units that are silent in it are drawn so. */
    readonly way: Way | null;
  },
) => {
  const y = (metres: number): number => top + metres * scale;
  const asternX = (metres: number): number => left + panel / 2 + metres * scale;
  const half = section.boat.lengthM / 2;
  const planY = (forward: number): number => planTop + planHeight / 2 - (forward - half) * scale;
  const silentIds = new Set(
    section.beams.flatMap(({ id, transducer }) => (way !== null && !transducer.transmitsIn[way] ? [id] : [])),
  );
  const depth = formatFigure({ value: depthM, quantity: 'depth' }, units, { decimals: 1 });
  const { bottom, views } = drawSection(section, {
    left,
    panel,
    gap,
    surface: top,
    perMetre: scale,
    amidships: 0.42,
  });
  return {
    bottom,
    depth,
    views: views.map((view, i) => ({
      clip: i === 0 ? 'clip-astern' : 'clip-side',
      left: view.left,
      beams: view.beams.map(({ id, series, down, points }, k) => ({
        key: `${id}-${k}`,
        points: svgPoints(points),
        colour: seriesVariable(series),
        down,
        silent: silentIds.has(id),
      })),
      boat: view.boat.map(svgPoints),
    })),
    labels: labelsOf(section),
    ticks: ticksOf(units, endM, y, bottom),
    planBoat: svgPoints(section.boat.plan.map((p) => ({ x: asternX(p.x), y: planY(p.y) }))),
    footprints: section.beams.flatMap((beam, i) =>
      beam.onBottom
        ? [
            {
              key: beam.id,
              cx: asternX(beam.onBottom.centre.x),
              cy: planY(beam.onBottom.centre.y),
              rx: beam.onBottom.acrossM * scale,
              ry: Math.max(1, beam.onBottom.alongM * scale),
              colour: seriesVariable(i),
              silent: silentIds.has(beam.id),
            },
          ]
        : [],
    ),
    ring: ringOf(section, asternX, planY, scale),
  };
};
