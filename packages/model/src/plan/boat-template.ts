import * as z from 'zod';

/** What kind of boat a new one is started from, by hull and propulsion. */
export const boatTemplates = [
  'open boat, one outboard',
  'open boat, bow motor',
  'cabin boat, twin outboards',
  'cabin boat, sterndrive',
  'catamaran, twin outboards',
  'flat-bottomed, electric',
  'displacement, inboard shaft',
] as const;
export const boatTemplateSchema = z.enum(boatTemplates);
export type BoatTemplate = z.output<typeof boatTemplateSchema>;
