import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { nameSchema } from './id.ts';

export const waterKinds = ['fresh', 'brackish', 'salt'] as const;
export const clarities = ['clear', 'mixed', 'turbid'] as const;

const depthOf = (label: string) =>
  z.number().min(0.3).max(11000).nullable().register(fieldWords, { label, quantity: 'depth' });
const temperature = z.number().min(0).max(40);
const atTemperature = (label: string) => ({ label, quantity: 'temperature' as const });

export const waterSchema = z.strictObject({
  name: nameSchema.clone().register(fieldWords, { label: 'Water' }),
  kind: z.enum(waterKinds).register(fieldWords, { label: 'Kind' }),
  salinityPpt: z.number().min(0).max(40).register(fieldWords, { label: 'Salinity', quantity: 'salinity' }),
  /** The temperature the water is computed at: the usual one where the sonar works. */
  temperatureC: temperature.clone().register(fieldWords, atTemperature('Usual temperature')),
  coldestC: temperature.nullable().register(fieldWords, atTemperature('Coldest')),
  warmestC: temperature.nullable().register(fieldWords, atTemperature('Warmest')),
  shallowestM: depthOf('Shallowest'),
  usualDeepestM: depthOf('Usual deepest'),
  greatestM: depthOf('Greatest depth'),
  clarity: z.enum(clarities).register(fieldWords, { label: 'Clarity' }),
});
export type Water = z.output<typeof waterSchema>;
