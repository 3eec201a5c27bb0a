import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { chenMilleroMps } from './chen-millero.ts';
import { mackenzieMps, marczakMps, medwinMps } from './other-sound-speeds.ts';
import { pressureAtDepthDbar } from './pressure-at-depth.ts';

const models = ['unesco', 'mackenzie', 'medwin', 'pure-water'] as const;

const input = z.strictObject({
  temperatureC: z.number().min(0).max(40),
  salinityPpt: z.number().min(0).max(40),
  depthM: z.number().min(0).max(9700).default(0),
  pressureDbar: z.number().min(0).max(10_000).optional(),
  latitudeDeg: z.number().min(-90).max(90).default(45),
  model: z.enum(models).default('unesco'),
});
type Input = z.output<typeof input>;

const within = (field: string, value: number, low: number, high: number, model: string): void => {
  if (value < low || value > high)
    throw new OutOfRange(
      field,
      `"${field}" is ${value}: outside what the ${model} model is valid for.`,
      `${low} to ${high}`,
    );
};

const sources: Record<Input['model'], string> = {
  unesco: 'Chen and Millero 1977, UNESCO form',
  mackenzie: 'Mackenzie 1981',
  medwin: 'Medwin 1975',
  'pure-water': 'Marczak 1997',
};

const speedOf = (given: Input, pressureDbar: number): number => {
  const { temperatureC: t, salinityPpt: s, depthM, model } = given;
  switch (model) {
    case 'unesco':
      return chenMilleroMps(t, s, pressureDbar);
    case 'mackenzie':
      within('temperatureC', t, 2, 30, model);
      within('salinityPpt', s, 25, 40, model);
      within('depthM', depthM, 0, 8000, model);
      return mackenzieMps(t, s, depthM);
    case 'medwin':
      within('temperatureC', t, 0, 35, model);
      within('depthM', depthM, 0, 1000, model);
      return medwinMps(t, s, depthM);
    case 'pure-water':
      within('salinityPpt', s, 0, 0.5, model);
      within('depthM', depthM, 0, 10, model);
      return marczakMps(t);
  }
};

/** Speed of sound in water of a temperature, salinity and depth. Sources by model: see `sources`. */
export const soundSpeed = defineCalculation({
  name: 'sound-speed',
  purpose: 'Speed of sound in water from temperature, salinity and depth',
  version: 1,
  input,
  output: z.strictObject({ soundSpeedMps: z.number(), pressureDbar: z.number() }),
  run: (given) => {
    if (given.pressureDbar !== undefined && (given.model === 'mackenzie' || given.model === 'medwin'))
      throw new OutOfRange('pressureDbar', `The ${given.model} model takes a depth, not a pressure.`, 'depthM instead');
    const pressureDbar = given.pressureDbar ?? pressureAtDepthDbar(given.depthM, given.latitudeDeg);
    if (pressureDbar > 10_000) within('depthM', given.depthM, 0, 9700, 'pressure');
    const soundSpeedMps = speedOf(given, pressureDbar);
    const working: WorkingStep[] = [
      {
        says: 'Pressure at that depth',
        symbol: 'p',
        value: pressureDbar,
        unit: 'dbar',
        expression: null,
        method:
          given.pressureDbar === undefined ? 'the root of the depth equation at this latitude' : 'given with the input',
        inputs: [
          { symbol: 'z', value: given.depthM, unit: 'm', meaning: 'depth' },
          { symbol: 'lat', value: given.latitudeDeg, unit: '°', meaning: 'latitude' },
        ],
        source: 'Saunders 1981',
      },
      {
        says: 'Speed of sound',
        symbol: 'c',
        value: soundSpeedMps,
        unit: 'm/s',
        expression: null,
        method: `polynomial of the ${given.model} model in temperature, salinity and pressure or depth`,
        inputs: [
          { symbol: 'T', value: given.temperatureC, unit: '°C', meaning: 'temperature (ITS-90)' },
          { symbol: 'S', value: given.salinityPpt, unit: 'ppt', meaning: 'salinity' },
          { symbol: 'p', value: pressureDbar, unit: 'dbar', meaning: 'pressure' },
        ],
        source: sources[given.model],
      },
    ];
    return { soundSpeedMps, pressureDbar, working, flags: [] };
  },
});
