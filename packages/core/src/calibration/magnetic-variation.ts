import geomagnetism from 'geomagnetism';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { given } from '../calculation/working-step.ts';

/** The days the model is made for: it is fitted to 2025.0 and carried on by its yearly change. */
export const variationModel = { name: 'World Magnetic Model 2025', from: '2024-11-13', to: '2029-11-13' } as const;

/**
 * Magnetic variation at a place and day, degrees, east positive, at sea level; beside it the dip, downward positive.
 *
 * latitudeDeg north positive, longitudeDeg east positive, date as 2026-05-01 within the days of the model. Near the magnetic
 * poles, where the horizontal field is weak, a compass is of no use and the answer says so.
 * Source: World Magnetic Model 2025 (NOAA and British Geological Survey 2024), by the package geomagnetism.
 */
export const magneticVariation = defineCalculation({
  name: 'magnetic-variation',
  purpose: 'Magnetic variation at a place and day, by the World Magnetic Model',
  version: 1,
  input: z.strictObject({
    latitudeDeg: z.number().min(-90).max(90),
    longitudeDeg: z.number().min(-180).max(180),
    date: z.iso.date(),
  }),
  output: z.strictObject({
    variationDeg: z.number(),
    dipDeg: z.number(),
    /** Of the horizontal field, which turns a compass. */
    horizontalNt: z.number(),
    model: z.string(),
    validTo: z.string(),
  }),
  run: ({ latitudeDeg, longitudeDeg, date }) => {
    const { name, from, to } = variationModel;
    if (date < from || date > to)
      throw new OutOfRange(
        'date',
        `The ${name} holds from ${from} to ${to}: for another day take the variation from a chart of that year.`,
        `${from} to ${to}`,
      );
    const { decl, incl, h } = geomagnetism.model(new Date(`${date}T12:00:00Z`)).point([latitudeDeg, longitudeDeg]);
    return {
      variationDeg: decl,
      dipDeg: incl,
      horizontalNt: h,
      model: name,
      validTo: to,
      flags:
        h < blackoutNt
          ? ['So near a magnetic pole a compass is of no use: the horizontal field is too weak.']
          : h < cautionNt
            ? ['Near a magnetic pole a compass is sluggish, and variation changes within a few miles.']
            : [],
      working: [
        {
          says: 'Variation, east positive',
          symbol: 'D',
          value: decl,
          unit: '°',
          expression: null,
          method: 'angle of the horizontal field from true north, from the model’s spherical harmonics to degree 12',
          inputs: [
            given('lat', latitudeDeg, '°', 'latitude, north positive'),
            given('lon', longitudeDeg, '°', 'longitude, east positive'),
            given('year', Number(date.slice(0, 4)), '', `year of ${date}`),
          ],
          source: 'World Magnetic Model 2025 (NOAA and British Geological Survey 2024)',
        },
      ],
    };
  },
});

/** Horizontal fields under which the model's makers warn (caution and blackout zones), nanotesla. */
const cautionNt = 6000;
const blackoutNt = 2000;
