import type { Procedure } from './procedure.ts';
import { inThePlan } from './usual-words.ts';

export const batteryProcedure: Procedure = {
  ...inThePlan,
  title: 'Battery',
  where: 'Through a usual day, from full in the morning to the voltage you come home with.',
  steps: [
    'Read voltage, current and what was taken since it was full, now at rest, now with all screens on.',
    'Six readings or more over the day; a lead-acid pack wants rest for a true voltage, so read it early and late. Iron phosphate tells nothing before it is nearly empty: discharge it at a known current and count.',
    'Read it again on later trips, counted on: what it loses from trip to trip comes out by itself.',
  ],
  people: 'One person is enough.',
  caution:
    'No loose jewellery and no tools across the posts. Lithium packs by their maker’s rules; shore power by a licensed marine electrician.',
  reading: 'reading',
  group: 'Noise and power',
  picture: 'voltages',
  live: { by: 'one value', quantity: 'voltageV', figure: 'voltsV', near: 0.1, averageS: 5 },
};
