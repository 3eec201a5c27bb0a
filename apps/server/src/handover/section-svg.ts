import { formatFigure, type Point, type Section, type SectionBeam, type UnitChoice } from '@grey-keel/core';
import { fontFor } from './fonts.ts';

const ink = '#1D272D';
const water = '#17727F';
const wash = '#D6E7E8';
const hull = '#4B5A63';
const series = ['#17727F', '#A4402D', '#4B5A63', '#A86A0B', '#3E7448', '#84503F'] as const;

export const escapeXml = (text: string): string =>
  text.replace(/[&<>"']/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&apos;' })[c] ?? c);

interface Frame {
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
}

const number = (value: number): string => value.toFixed(2);
const polygon = (points: readonly Point[], { x, y }: Frame, attributes: string): string =>
  `<polygon points="${points.map((p) => `${number(x(p.x))},${number(y(p.y))}`).join(' ')}" ${attributes}/>`;
const text = (x: number, y: number, words: string, attributes = ''): string =>
  `<text x="${number(x)}" y="${number(y)}" font-family="${fontFor(words)}" font-size="9" fill="${ink}" ${attributes}>${escapeXml(words)}</text>`;

const upsideDown = (points: readonly Point[]): Point[] => points.map(({ x, y }) => ({ x, y: -y }));

const view = (
  title: string,
  beams: readonly { beam: SectionBeam; outlines: readonly (readonly Point[])[] }[],
  boat: readonly (readonly Point[])[],
  frame: Frame,
  left: number,
  right: number,
  depthM: number,
): string => {
  const surface = frame.y(0);
  const bottom = frame.y(depthM);
  return [
    text(left, 10, title, 'font-weight="bold"'),
    `<rect x="${number(left)}" y="${number(surface)}" width="${number(right - left)}" height="${number(bottom - surface)}" fill="${wash}" fill-opacity="0.5"/>`,
    ...beams.map(({ beam, outlines }, i) =>
      outlines
        .map((points) => {
          const colour = series[i % series.length] ?? ink;
          const dash = beam.onBottom ? '' : 'stroke-dasharray="3 2"';
          return polygon(
            points,
            frame,
            `fill="${colour}" fill-opacity="0.18" stroke="${colour}" stroke-width="0.8" ${dash}`,
          );
        })
        .join(''),
    ),
    ...boat.map((points) => polygon(upsideDown(points), frame, `fill="${hull}" stroke="${ink}" stroke-width="0.4"`)),
    `<line x1="${number(left)}" x2="${number(right)}" y1="${number(surface)}" y2="${number(surface)}" stroke="${water}" stroke-width="1"/>`,
    `<line x1="${number(left)}" x2="${number(right)}" y1="${number(bottom)}" y2="${number(bottom)}" stroke="${ink}" stroke-width="1.4"/>`,
  ].join('');
};

/** The section as vectors for print: from astern and from starboard, at one scale, with the depth beside it. */
export const sectionSvg = (section: Section, units: UnitChoice, width: number, height: number): string => {
  const gap = 14;
  const margin = 44;
  const half = (width - margin - gap) / 2;
  const top = 34;
  const scale = Math.min(half / (2 * section.halfWidthM), (height - top - 14) / section.depthM);
  const y = (metres: number): number => top + metres * scale;
  const middle = margin + half / 2;
  const astern: Frame = { x: (m) => middle + m * scale, y };
  const sideMiddle = margin + half + gap + half / 2;
  const side: Frame = { x: (m) => sideMiddle + (m - section.boat.lengthM / 2) * scale, y };
  const clip = (id: string, from: number): string =>
    `<clipPath id="${id}"><rect x="${number(from)}" y="0" width="${number(half)}" height="${number(height)}"/></clipPath>`;
  const shown = section.beams.map((beam) => ({ beam }));
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">`,
    `<defs>${clip('left', margin)}${clip('right', margin + half + gap)}</defs>`,
    `<g clip-path="url(#left)">${view(
      'From astern',
      shown.map(({ beam }) => ({ beam, outlines: beam.astern })),
      section.boat.astern,
      astern,
      margin,
      margin + half,
      section.depthM,
    )}</g>`,
    `<g clip-path="url(#right)">${view(
      'From starboard',
      shown.map(({ beam }) => ({ beam, outlines: beam.side })),
      section.boat.side,
      side,
      margin + half + gap,
      width,
      section.depthM,
    )}</g>`,
    text(0, y(0) + 3, formatFigure({ value: 0, quantity: 'depth' }, units, { decimals: 1 })),
    text(
      0,
      y(section.depthM) + 3,
      formatFigure({ value: section.depthM, quantity: 'depth' }, units, { decimals: 1 }),
      'font-weight="bold"',
    ),
    '</svg>',
  ].join('');
};

export const seriesColour = (index: number): string => series[index % series.length] ?? ink;
