import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';

const radian = Math.PI / 180;
const cone = z.number().min(0.01).max(170);
const place = z.tuple([z.number().min(-60).max(60), z.number().min(-60).max(60)]);

/** Area shared by two discs of radii a and b, d apart. */
const sharedArea = (a: number, b: number, d: number): number => {
  if (d >= a + b) return 0;
  if (d <= Math.abs(a - b)) return Math.PI * Math.min(a, b) ** 2;
  const cosine = (numerator: number, denominator: number): number =>
    Math.acos(Math.max(-1, Math.min(1, numerator / denominator)));
  const angleA = cosine(d * d + a * a - b * b, 2 * d * a);
  const angleB = cosine(d * d + b * b - a * a, 2 * d * b);
  const kite = Math.sqrt(Math.max(0, (-d + a + b) * (d + a - b) * (d - a + b) * (d + a + b))) / 2;
  return a * a * angleA + b * b * angleB - kite;
};

/**
 * Where a mark must be that the wide cone sees and the narrow one does not: its area, and how far the narrow
 * transducer has to be moved to stand over it. Places are [forward, starboard] in metres, depth below the faces.
 * Both distances are null where the narrow cone covers all of the wide one. Source: plane geometry of two circles.
 */
export const targetRing = defineCalculation({
  name: 'target-ring',
  purpose: 'Where a mark seen only by the wide cone must be, and how far to move',
  version: 1,
  input: z.strictObject({
    wideDeg: cone,
    narrowDeg: cone,
    depthM: z.number().min(0.01).max(11_000),
    wideAtM: place.default([0, 0]),
    narrowAtM: place.default([0, 0]),
  }),
  output: z.strictObject({
    areaM2: z.number(),
    nearestM: z.number().nullable(),
    farthestM: z.number().nullable(),
    /** Part of the narrow footprint that the wide cone does not see, as a fraction. */
    narrowOutsideWide: z.number(),
  }),
  run: ({ wideDeg, narrowDeg, depthM, wideAtM, narrowAtM }) => {
    const wideM = depthM * Math.tan((wideDeg / 2) * radian);
    const narrowM = depthM * Math.tan((narrowDeg / 2) * radian);
    const apartM = Math.hypot(wideAtM[0] - narrowAtM[0], wideAtM[1] - narrowAtM[1]);
    const shared = sharedArea(wideM, narrowM, apartM);
    const wideArea = Math.PI * wideM ** 2;
    const narrowArea = Math.PI * narrowM ** 2;
    const covered = apartM + wideM <= narrowM;
    const areaM2 = covered ? 0 : wideArea - shared;
    const nearestM = covered ? null : Math.max(narrowM, apartM - wideM);
    const farthestM = covered ? null : apartM + wideM;

    const inputs = [
      { symbol: 'd', value: depthM, unit: 'm', meaning: 'depth of the mark below the faces' },
      { symbol: 'W', value: wideDeg * radian, unit: 'rad', meaning: `wide cone, ${wideDeg}°` },
      { symbol: 'N', value: narrowDeg * radian, unit: 'rad', meaning: `narrow cone, ${narrowDeg}°` },
      { symbol: 'a', value: apartM, unit: 'm', meaning: 'distance between the two transducers' },
    ];
    const step = (
      says: string,
      symbol: string,
      value: number,
      unit: string,
      expression: string | null,
    ): WorkingStep => ({
      says,
      symbol,
      value,
      unit,
      expression,
      method: expression === null ? 'area of the wide disc less the lens it shares with the narrow one' : null,
      inputs,
      source: 'plane geometry of two circles',
    });
    const narrowOutsideWide = Math.max(0, 1 - shared / narrowArea);
    const working = [
      step('Area in the wide cone only', 'A', areaM2, 'm²', null),
      {
        ...step(
          'Part of the narrow footprint outside the wide one',
          'out',
          narrowOutsideWide,
          '',
          '1 - S / (pi * (d * tan(N / 2)) ^ 2)',
        ),
        inputs: [
          ...inputs,
          { symbol: 'S', value: Math.min(shared, narrowArea), unit: 'm²', meaning: 'area both footprints share' },
        ],
      },
    ];
    if (nearestM !== null && farthestM !== null)
      working.push(
        step('Least distance to move', 'near', nearestM, 'm', 'max(d * tan(N / 2), a - d * tan(W / 2))'),
        step('Greatest distance to move', 'far', farthestM, 'm', 'a + d * tan(W / 2)'),
      );
    return {
      areaM2,
      nearestM,
      farthestM,
      narrowOutsideWide,
      flags: covered ? ['The narrow cone covers all of the wide one here: there is no ring.'] : [],
      working,
    };
  },
});
