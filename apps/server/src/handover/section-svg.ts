import {
  drawSection,
  formatFigure,
  svgPoints,
  type DrawnView,
  type Point,
  type Section,
  type UnitChoice,
} from '@grey-keel/core';
import { fontFor } from './fonts.ts';

const ink = '#1D272D';
const water = '#17727F';
const wash = '#D6E7E8';
const hull = '#4B5A63';
const series = ['#17727F', '#A4402D', '#4B5A63', '#A86A0B', '#3E7448', '#84503F'] as const;

/** The colour of a series on paper. */
export const seriesColour = (index: number): string => series[index % series.length] ?? ink;

export const escapeXml = (text: string): string =>
  text.replace(/[&<>"']/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&apos;' })[c] ?? c);

const number = (value: number): string => value.toFixed(2);
const polygon = (points: readonly Point[], attributes: string): string =>
  `<polygon points="${svgPoints(points)}" ${attributes}/>`;
const text = (x: number, y: number, words: string, attributes = ''): string =>
  `<text x="${number(x)}" y="${number(y)}" font-family="${fontFor(words)}" font-size="9" fill="${ink}" ${attributes}>${escapeXml(words)}</text>`;

const view = ({ title, left, beams, boat }: DrawnView, panel: number, surface: number, bottom: number): string =>
  [
    text(left, 10, title, 'font-weight="bold"'),
    `<rect x="${number(left)}" y="${number(surface)}" width="${number(panel)}" height="${number(bottom - surface)}" fill="${wash}" fill-opacity="0.5"/>`,
    ...beams.map(({ series: place, down, points }) => {
      const colour = seriesColour(place);
      return polygon(
        points,
        `fill="${colour}" fill-opacity="0.18" stroke="${colour}" stroke-width="0.8" ${down ? '' : 'stroke-dasharray="3 2"'}`,
      );
    }),
    ...boat.map((points) => polygon(points, `fill="${hull}" stroke="${ink}" stroke-width="0.4"`)),
    `<line x1="${number(left)}" x2="${number(left + panel)}" y1="${number(surface)}" y2="${number(surface)}" stroke="${water}" stroke-width="1"/>`,
    `<line x1="${number(left)}" x2="${number(left + panel)}" y1="${number(bottom)}" y2="${number(bottom)}" stroke="${ink}" stroke-width="1.4"/>`,
  ].join('');

/** The section as vectors for print: from astern and from starboard, at one scale, with the depth beside it. */
export const sectionSvg = (section: Section, units: UnitChoice, width: number, height: number): string => {
  const gap = 14;
  const margin = 44;
  const panel = (width - margin - gap) / 2;
  const top = 34;
  const { surface, bottom, views } = drawSection(section, {
    left: margin,
    panel,
    gap,
    surface: top,
    perMetre: Math.min(panel / (2 * section.halfWidthM), (height - top - 14) / section.depthM),
    amidships: 0.5,
  });
  const depth = (value: number): string => formatFigure({ value, quantity: 'depth' }, units, { decimals: 1 });
  const clip = (id: string, from: number): string =>
    `<clipPath id="${id}"><rect x="${number(from)}" y="0" width="${number(panel)}" height="${number(height)}"/></clipPath>`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">`,
    `<defs>${views.map((one, i) => clip(`view-${i}`, one.left)).join('')}</defs>`,
    ...views.map((one, i) => `<g clip-path="url(#view-${i})">${view(one, panel, surface, bottom)}</g>`),
    text(0, surface + 3, depth(0)),
    text(0, bottom + 3, depth(section.depthM), 'font-weight="bold"'),
    '</svg>',
  ].join('');
};
