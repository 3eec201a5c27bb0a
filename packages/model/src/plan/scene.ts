import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';

/** A fish or a mark put into the section by hand. Boat coordinates, depth below the surface. */
export const placedFishSchema = z.strictObject({
  lengthCm: z.number().min(1).max(1500).register(fieldWords, { label: 'Length', quantity: 'fishLength' }),
  forwardM: z.number().min(-500).max(500).register(fieldWords, { label: 'Forward of transom', quantity: 'length' }),
  starboardM: z.number().min(-500).max(500).register(fieldWords, { label: 'Starboard of centre', quantity: 'length' }),
  depthM: z.number().min(0.1).max(2000).register(fieldWords, { label: 'Depth', quantity: 'depth' }),
});
export type PlacedFish = z.output<typeof placedFishSchema>;

/** What a forward-facing fan is turned to: upright and ahead, upright and down, or lying flat. */
export const forwardModes = ['ahead', 'down', 'flat'] as const;

export const forwardSettingSchema = z.strictObject({
  mode: z.enum(forwardModes),
  /** Below the level; forward of straight down for the fan that looks down. */
  tiltDeg: z.number().min(0).max(44).register(fieldWords, { label: 'Tilt, down', quantity: 'angle' }),
  rangeM: z.number().min(1).max(500).register(fieldWords, { label: 'Set to look as far as', quantity: 'length' }),
});
export type ForwardSetting = z.output<typeof forwardSettingSchema>;

/** What the section shows besides the boat: the lie of the bottom, layers, and how the boat sits. */
export const sceneSchema = z.strictObject({
  /** Falls to starboard where positive. */
  slopeDeg: z.number().min(-45).max(45).register(fieldWords, { label: 'Slope, down to starboard', quantity: 'angle' }),
  /** Where the water below is colder, and by how much; null for water mixed through. */
  thermocline: z
    .strictObject({
      depthM: z.number().min(0.5).max(500).register(fieldWords, { label: 'Colder layer from', quantity: 'depth' }),
      colderByC: z
        .number()
        .min(0.1)
        .max(25)
        .register(fieldWords, { label: 'Colder by', quantity: 'temperatureDifference' }),
    })
    .nullable(),
  windMps: z.number().min(0).max(25).register(fieldWords, { label: 'Wind', quantity: 'speed' }),
  rollDeg: z.number().min(-30).max(30).register(fieldWords, { label: 'Roll to starboard', quantity: 'angle' }),
  /** Bow up where positive; level where left out. */
  pitchDeg: z.number().min(-30).max(30).optional().register(fieldWords, { label: 'Pitch, bow up', quantity: 'angle' }),
  /** How the forward-facing and sector units are set; ahead and level where left out. */
  forward: forwardSettingSchema.optional(),
});
export type Scene = z.output<typeof sceneSchema>;
