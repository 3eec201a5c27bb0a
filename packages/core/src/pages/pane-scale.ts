import { views } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation.ts';
import { given, reckoned } from '../working-step.ts';

/** Views that look to both sides, so that their range is drawn twice across the pane. */
const bothSides = new Set<string>(['side-scan']);
/** Views whose range lies along the pane's width; the others lay it along the height. */
const alongWidth = new Set<string>(['side-scan', 'chart']);

/**
 * Metres of water or ground that one pixel of a pane stands for. Side-scan lays its range twice along the width, a chart
 * once; sounder, down fan, forward-facing and sector lay it along the height. Source: plane geometry.
 */
export const paneScale = defineCalculation({
  name: 'pane-scale',
  purpose: 'Metres a pixel of a view stands for in its pane',
  version: 1,
  input: z.strictObject({
    view: z.enum(views),
    rangeM: z.number().min(0.5).max(100_000),
    widthPx: z.number().min(1).max(8000),
    heightPx: z.number().min(1).max(8000),
  }),
  output: z.strictObject({ metresPerPixel: z.number(), along: z.enum(['width', 'height']), pixels: z.number() }),
  run: ({ view, rangeM, widthPx, heightPx }) => {
    const along = alongWidth.has(view) ? ('width' as const) : ('height' as const);
    const pixels = along === 'width' ? widthPx : heightPx;
    const sides = bothSides.has(view) ? 2 : 1;
    const metresPerPixel = (sides * rangeM) / pixels;
    return {
      metresPerPixel,
      along,
      pixels,
      flags: [],
      working: [
        reckoned(
          {
            says: `Metres a pixel, along the ${along}`,
            symbol: 's',
            value: metresPerPixel,
            unit: 'm/px',
            expression: 'k * R / n',
            source: 'plane geometry',
          },
          given('k', sides, '', sides === 2 ? 'both sides are drawn' : 'drawn once'),
          given('R', rangeM, 'm', 'range of the view'),
          given('n', pixels, 'px', `pixels along the ${along}`),
        ),
      ],
    };
  },
});
