import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { argumentAtLevel } from './directivity.ts';

const degree = Math.PI / 180;
const level = z.number().min(-30).max(-0.1);

/**
 * The same disc's beamwidth at another level: 28° quoted at -10 dB is 16.4° at -3 dB.
 * Source: piston pattern, Urick 1983, ch. 3.
 */
export const beamwidthLevel = defineCalculation({
  name: 'beamwidth-level',
  purpose: 'Beamwidth of a disc quoted at one level, at another level',
  version: 1,
  input: z.strictObject({
    beamwidthDeg: z.number().min(0.1).max(179),
    fromLevelDb: level,
    toLevelDb: level,
  }),
  output: z.strictObject({ beamwidthDeg: z.number() }),
  run: ({ beamwidthDeg, fromLevelDb, toLevelDb }) => {
    const xFrom = argumentAtLevel('piston', fromLevelDb);
    const xTo = argumentAtLevel('piston', toLevelDb);
    const sine = (Math.sin((beamwidthDeg / 2) * degree) * xTo) / xFrom;
    if (sine > 1)
      throw new OutOfRange(
        'beamwidthDeg',
        `A disc of ${beamwidthDeg}° at ${fromLevelDb} dB never falls to ${toLevelDb} dB.`,
        `0.1 to ${((2 * Math.asin(xFrom / xTo)) / degree).toFixed(1)}`,
      );
    const converted = (2 * Math.asin(sine)) / degree;
    const root = (symbol: string, value: number, levelDb: number) => ({
      says: `Where a disc's pattern falls to ${levelDb.toFixed(1)} dB`,
      symbol,
      value,
      unit: '',
      expression: null,
      method: 'the root of 2 J1(x) / x = 10^(level / 20), by bisection',
      inputs: [{ symbol: 'L', value: levelDb, unit: 'dB', meaning: 'level' }],
      source: 'Urick 1983, ch. 3',
    });
    return {
      beamwidthDeg: converted,
      flags: [],
      working: [
        root('x1', xFrom, fromLevelDb),
        root('x2', xTo, toLevelDb),
        {
          says: 'Beamwidth at the other level',
          symbol: 'theta2',
          value: converted,
          unit: '°',
          expression: '2 * asin(sin(theta1 / 2 * pi / 180) * x2 / x1) * 180 / pi',
          method: null,
          inputs: [
            { symbol: 'theta1', value: beamwidthDeg, unit: '°', meaning: `width at ${fromLevelDb.toFixed(1)} dB` },
            { symbol: 'x1', value: xFrom, unit: '', meaning: 'argument at the quoted level' },
            { symbol: 'x2', value: xTo, unit: '', meaning: 'argument at the wanted level' },
          ],
          source: 'Urick 1983, ch. 3',
        },
      ],
    };
  },
});
