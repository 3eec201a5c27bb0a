import type { Section } from './section.ts';
import type { Point } from './silhouette.ts';

/** Where on a sheet the two views of a section stand: in the sheet's own units, y downward. */
export interface SectionFrame {
  readonly left: number;
  /** Width of each view, and the gap between them. */
  readonly panel: number;
  readonly gap: number;
  /** Where the waterline lies. */
  readonly surface: number;
  readonly perMetre: number;
  /** Where amidships stands in the view from the side, as a share of its width. */
  readonly amidships: number;
}

export interface DrawnView {
  readonly title: 'From astern' | 'From starboard';
  readonly left: number;
  readonly beams: readonly {
    readonly id: string;
    /** The beam's place among all: its colour. */
    readonly series: number;
    /** Whether it looks straight down; the others are drawn broken. */
    readonly down: boolean;
    readonly points: readonly Point[];
  }[];
  readonly boat: readonly (readonly Point[])[];
}

export interface SectionDrawing {
  readonly surface: number;
  readonly bottom: number;
  readonly views: readonly [DrawnView, DrawnView];
}

/** A section's boat and beams as polygons on a sheet, from astern and from starboard, at one scale. */
export const drawSection = (section: Section, frame: SectionFrame): SectionDrawing => {
  const { left, panel, gap, surface, perMetre, amidships } = frame;
  const y = (metres: number): number => surface + metres * perMetre;
  const view = (title: DrawnView['title'], which: 'astern' | 'side', from: number, zeroAt: number): DrawnView => {
    const x = (metres: number): number => zeroAt + metres * perMetre;
    return {
      title,
      left: from,
      beams: section.beams.flatMap((beam, series) =>
        beam[which].map((outline) => ({
          id: beam.id,
          series,
          down: beam.onBottom !== null,
          points: outline.map((point) => ({ x: x(point.x), y: y(point.y) })),
        })),
      ),
      // A boat's outline counts upward from the waterline.
      boat: section.boat[which].map((outline) => outline.map((point) => ({ x: x(point.x), y: y(-point.y) }))),
    };
  };
  const right = left + panel + gap;
  return {
    surface,
    bottom: y(section.depthM),
    views: [
      view('From astern', 'astern', left, left + panel / 2),
      view('From starboard', 'side', right, right + panel * amidships - (section.boat.lengthM / 2) * perMetre),
    ],
  };
};

/** Points as a polygon of SVG takes them. */
export const svgPoints = (points: readonly Point[]): string =>
  points.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
