import { views, type View } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';

/** How often a view lays its range along a side of its pane: to port and starboard twice, ahead of the boat once. */
const laidOut: Readonly<Record<View, { readonly times: 1 | 2; readonly along: 'width' | 'height' | 'shorter' }>> = {
  chart: { times: 1, along: 'width' },
  sounder: { times: 1, along: 'height' },
  'down fan': { times: 1, along: 'height' },
  'side-scan': { times: 2, along: 'width' },
  // Ahead of the boat along the width, depth along the height, as in `forward-view`.
  'forward-facing': { times: 1, along: 'width' },
  // A circle about the boat has to fit whole.
  sector: { times: 2, along: 'shorter' },
};

/**
 * Metres of water or ground that one pixel of a pane stands for. Side-scan lays its range twice along the width, a chart
 * and a forward-facing view once; sounder and down fan along the height; a sector, which turns about the boat, twice
 * along the shorter side. Source: plane geometry.
 */
export const paneScale = defineCalculation({
  name: 'pane-scale',
  purpose: 'Metres a pixel of a view stands for in its pane',
  version: 2,
  input: z.strictObject({
    view: z.enum(views),
    rangeM: z.number().min(0.5).max(100_000),
    widthPx: z.number().min(1).max(8000),
    heightPx: z.number().min(1).max(8000),
  }),
  output: z.strictObject({ metresPerPixel: z.number(), along: z.enum(['width', 'height']), pixels: z.number() }),
  run: ({ view, rangeM, widthPx, heightPx }) => {
    const { times: sides, along: side } = laidOut[view];
    const along = side === 'shorter' ? (widthPx <= heightPx ? ('width' as const) : ('height' as const)) : side;
    const pixels = along === 'width' ? widthPx : heightPx;
    const metresPerPixel = (sides * rangeM) / pixels;
    return {
      metresPerPixel,
      along,
      pixels,
      flags: [],
      working: [
        calculated(
          {
            says: `Metres a pixel, along the ${along}`,
            symbol: 's',
            value: metresPerPixel,
            unit: 'm/px',
            expression: 'k * R / n',
            source: 'plane geometry',
          },
          given('k', sides, '', sides === 2 ? 'drawn to both sides of the boat' : 'drawn once'),
          given('R', rangeM, 'm', 'range of the view'),
          given('n', pixels, 'px', `pixels along the ${along}`),
        ),
      ],
    };
  },
});
