import { conductorSchema, gaugeSchema } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';
import { copperPerKelvin, ohmPerKm20, wireSource } from './wire.ts';

/**
 * Drop of a direct current over a pair of wires, there and back, volts and per cent of the supply.
 * Source: Ohm's law; resistance as in `wire.ts`.
 */
export const voltageDrop = defineCalculation({
  name: 'voltage-drop',
  purpose: 'Voltage lost over a pair of wires by gauge, length and temperature',
  version: 1,
  input: z.strictObject({
    oneWayLengthM: z.number().min(0).max(200),
    currentA: z.number().min(0).max(100_000),
    gauge: gaugeSchema,
    supplyV: z.number().min(1).max(600),
    temperatureC: z.number().min(-40).max(120).default(20),
    conductor: conductorSchema.default('stranded-tinned'),
  }),
  output: z.strictObject({ dropV: z.number(), dropPercent: z.number(), ohmPerKm: z.number() }),
  run: ({ oneWayLengthM, currentA, gauge, supplyV, temperatureC, conductor }) => {
    const at20 = ohmPerKm20(gauge, conductor);
    const ohmPerKm = at20 * (1 + copperPerKelvin * (temperatureC - 20));
    const dropV = (2 * oneWayLengthM * currentA * ohmPerKm) / 1000;
    const dropPercent = (100 * dropV) / supplyV;
    return {
      dropV,
      dropPercent,
      ohmPerKm,
      flags:
        dropV > supplyV ? ['More would be lost than the supply has: such a current does not flow in these wires.'] : [],
      working: [
        calculated(
          {
            says: 'Resistance of one wire',
            symbol: 'R',
            value: ohmPerKm,
            unit: 'ohm/km',
            expression: 'R20 * (1 + a * (T - 20))',
            source: wireSource,
          },
          given('R20', at20, 'ohm/km', `${gauge}, ${conductor}, at 20 °C`),
          given('a', copperPerKelvin, '1/K', 'of copper'),
          given('T', temperatureC, '°C', 'of the wire'),
        ),
        calculated(
          {
            says: 'Lost over both wires',
            symbol: 'U',
            value: dropV,
            unit: 'V',
            expression: '2 * L * I * R / 1000',
            source: 'Ohm’s law',
          },
          given('L', oneWayLengthM, 'm', 'length, one way'),
          given('I', currentA, 'A', 'current'),
          given('R', ohmPerKm, 'ohm/km', 'resistance of one wire'),
        ),
        calculated(
          {
            says: 'Of the supply',
            symbol: 'p',
            value: dropPercent,
            unit: '%',
            expression: '100 * U / S',
            source: 'definition',
          },
          given('U', dropV, 'V', 'lost'),
          given('S', supplyV, 'V', 'supply'),
        ),
      ],
    };
  },
});
