import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';

/**
 * Distance over the ground of a side-scan target from its slant range, for a target on a flat bottom or at a height
 * above it, beside the rule that takes off the water column. Source: Blondel 2009, ch. 2.
 */
export const groundRange = defineCalculation({
  name: 'ground-range',
  purpose: 'Distance over the ground from slant range, against the usual rule',
  version: 1,
  input: z.strictObject({
    slantRangeM: z.number().min(0.01).max(5000),
    heightM: z.number().min(0).max(5000),
    targetHeightM: z.number().min(0).max(5000).default(0),
  }),
  output: z.strictObject({ groundRangeM: z.number(), ruleM: z.number(), ruleErrorM: z.number() }),
  run: ({ slantRangeM, heightM, targetHeightM }) => {
    const below = heightM - targetHeightM;
    if (slantRangeM < Math.abs(below))
      throw new OutOfRange(
        'slantRangeM',
        `"slantRangeM" is ${slantRangeM}: shorter than the ${Math.abs(below)} m straight down to the target.`,
        `${Math.abs(below)} or more`,
      );
    const groundRangeM = Math.sqrt(slantRangeM ** 2 - below ** 2);
    const ruleM = slantRangeM - heightM;
    const inputs = [
      { symbol: 's', value: slantRangeM, unit: 'm', meaning: 'slant range' },
      { symbol: 'h', value: heightM, unit: 'm', meaning: 'height of the unit above the bottom' },
      { symbol: 't', value: targetHeightM, unit: 'm', meaning: 'height of the target above the bottom' },
    ];
    return {
      groundRangeM,
      ruleM,
      ruleErrorM: ruleM - groundRangeM,
      flags: [],
      working: [
        {
          says: 'Distance over the ground',
          symbol: 'g',
          value: groundRangeM,
          unit: 'm',
          expression: 'sqrt(s ^ 2 - (h - t) ^ 2)',
          method: null,
          inputs,
          source: 'Blondel 2009, ch. 2',
        },
        {
          says: 'Usual rule: the water column taken off',
          symbol: 'g_rule',
          value: ruleM,
          unit: 'm',
          expression: 's - h',
          method: null,
          inputs,
          source: 'usual rule',
        },
      ],
    };
  },
});
