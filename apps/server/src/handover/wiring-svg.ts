import { diagramOf, laidDiagram, layoutGraph, svgPoints, type LaidDiagram } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import { fontFor } from './fonts.ts';
import { escapeXml } from './section-svg.ts';

const ink = '#1D272D';
const water = '#17727F';
const faint = '#4B5A63';
const wash = '#D6E7E8';

const text = (x: number, y: number, words: string, look: string): string =>
  `<text x="${x.toFixed(1)}" y="${y.toFixed(1)}" font-family="${fontFor(words)}" ${look}>${escapeXml(words)}</text>`;

const svgOf = ({ width, height, nodes, lines }: LaidDiagram): string =>
  [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width.toFixed(1)}" height="${height.toFixed(1)}" viewBox="0 0 ${width.toFixed(1)} ${height.toFixed(1)}">`,
    ...lines.map(
      ({ points, kind }) =>
        `<polyline points="${svgPoints(points)}" fill="none" stroke-width="1.4" ${kind === 'backbone' ? `stroke="${water}" stroke-dasharray="6 4"` : `stroke="${ink}"`}/>`,
    ),
    ...lines.filter(({ label }) => label).map(({ x, y, label }) => text(x, y, label, `font-size="12" fill="${faint}"`)),
    ...nodes.map(({ x, y, width: w, height: h, kind, lines: words }) =>
      [
        `<rect x="${x.toFixed(1)}" y="${y.toFixed(1)}" width="${w.toFixed(1)}" height="${h.toFixed(1)}" fill="${kind === 'transducer' ? wash : '#FFFFFF'}" stroke="${ink}" stroke-width="${kind === 'backbone' ? 3 : 1.2}"/>`,
        ...words.map((line, i) =>
          text(x + 10, y + 22 + 16 * i, line, `font-size="13" fill="${ink}"${i === 0 ? ' font-weight="bold"' : ''}`),
        ),
      ].join(''),
    ),
    '</svg>',
  ].join('');

/** The wiring diagram as it is printed, with its size; null for a boat with nothing to wire. */
export const wiringSvg = async (plan: Plan): Promise<{ svg: string; width: number; height: number } | null> => {
  const diagram = diagramOf(plan);
  if (diagram.nodes.length === 0) return null;
  const { default: Elk } = await import('elkjs/lib/elk.bundled.js');
  const laid = laidDiagram(diagram, await new Elk().layout(layoutGraph(diagram)));
  return { svg: svgOf(laid), width: laid.width, height: laid.height };
};
