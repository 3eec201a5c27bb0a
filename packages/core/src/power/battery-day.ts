import { chemistrySchema } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';
import { hoursBorne } from './hours-borne.ts';

const sum = (values: readonly number[]): number => values.reduce((whole, value) => whole + value, 0);

/** The day cut where a load goes off: every load begins with the day, and runs its hours. */
const spans = (loads: readonly { readonly currentA: number; readonly hours: number }[]) => {
  const ends = [...new Set(loads.map(({ hours }) => hours))].sort((a, b) => a - b).filter((end) => end > 0);
  return ends.map((end, i) => ({
    hours: end - (ends[i - 1] ?? 0),
    currentA: sum(loads.filter(({ hours }) => hours >= end).map(({ currentA }) => currentA)),
  }));
};

/**
 * What a day's loads take from a battery. All loads begin together and each runs its hours. `usedAh` is the charge
 * drawn; `usedPercent` what that is of the battery: for lead-acid by Peukert over its rated current, span by span; for lithium the charge
 * itself. `hoursLeft`: how much longer it would bear the day's average current; null where nothing is drawn.
 * Source: Peukert 1897, as t = H (C / (I H))^k.
 */
export const batteryDay = defineCalculation({
  name: 'battery-day',
  purpose: 'What a day of loads takes from a battery, and how long it would last',
  version: 2,
  input: z.strictObject({
    loads: z
      .array(z.strictObject({ currentA: z.number().min(0).max(2000), hours: z.number().min(0).max(240) }))
      .min(1)
      .max(200),
    capacityAh: z.number().min(0.1).max(10_000),
    chemistry: chemistrySchema,
    peukert: z.number().min(1).max(1.6).default(1.2),
    ratedHours: z.number().min(1).max(100).default(20),
  }),
  output: z.strictObject({ usedAh: z.number(), usedPercent: z.number(), hoursLeft: z.number().nullable() }),
  run: ({ loads, capacityAh, chemistry, peukert, ratedHours }) => {
    const day = spans(loads);
    const dayHours = sum(day.map(({ hours }) => hours));
    const usedAh = sum(day.map(({ hours, currentA }) => hours * currentA));
    const k = chemistry === 'lead-acid' ? peukert : 1;
    const lasts = (currentA: number): number => hoursBorne(currentA, { capacityAh, peukert: k, ratedHours });
    const share = sum(day.map(({ hours, currentA }) => (currentA > 0 ? hours / lasts(currentA) : 0)));
    const meanA = dayHours > 0 ? usedAh / dayHours : 0;
    const hoursLeft = meanA > 0 ? Math.max(0, (1 - share) * lasts(meanA)) : null;
    const flags: string[] = [];
    if (share > 1) flags.push('The day takes more than the battery holds.');
    if (chemistry === 'lead-acid' && day.some(({ currentA }) => currentA > 0 && currentA < capacityAh / ratedHours))
      flags.push('Some current lies under the rated one: there the charge itself is counted, not Peukert.');
    return {
      usedAh,
      usedPercent: 100 * share,
      hoursLeft,
      flags,
      working: [
        {
          says: 'Charge drawn over the day',
          symbol: 'Q',
          value: usedAh,
          unit: 'Ah',
          expression: null,
          method: 'the sum of current times hours over all loads',
          inputs: loads.map(({ currentA, hours }, i) => given(`I${i + 1}`, currentA, 'A', `for ${hours} h`)),
          source: 'definition',
        },
        ...day
          .filter(({ currentA }) => currentA > 0)
          .map(({ hours, currentA }, i) =>
            calculated(
              {
                says: `Of the battery, span ${i + 1}`,
                symbol: `s${i + 1}`,
                value: hours / lasts(currentA),
                unit: '',
                expression: 'h / (H * (C / (I * H)) ^ k)',
                source: k === 1 ? 'charge over capacity' : 'Peukert 1897',
              },
              given('h', hours, 'h', 'hours of the span'),
              given('I', currentA, 'A', 'current in it'),
              given('C', capacityAh, 'Ah', 'capacity'),
              given('H', ratedHours, 'h', 'hours it is rated over'),
              given(
                'k',
                currentA > capacityAh / ratedHours ? k : 1,
                '',
                k === 1 ? 'lithium: none' : 'Peukert exponent, over the rated current',
              ),
            ),
          ),
      ],
    };
  },
});
