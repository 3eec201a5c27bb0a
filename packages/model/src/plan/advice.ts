import * as z from 'zod';

/** Which transducer first, where there is money for one: two schools, or whatever the brief asks for. */
export const beamSchools = ['by the brief', 'wide first', 'narrow first'] as const;
export const beamSchoolSchema = z.enum(beamSchools);
export type BeamSchool = z.output<typeof beamSchoolSchema>;

/** What a transducer is weighed by. */
export const criteria = [
  'reach',
  'footprint',
  'bottom detail',
  'separation',
  'dead zone',
  'blanking zone',
  'speed',
  'fitting',
  'power',
] as const;
export const criterionSchema = z.enum(criteria);
export type Criterion = z.output<typeof criterionSchema>;

/** How the shop weighs for this boat: a school, and weights of its own where it moved them. */
export const adviceSchema = z.strictObject({
  school: beamSchoolSchema,
  /** 0 to 10; a criterion without one takes the school's. */
  weights: z.partialRecord(criterionSchema, z.number().min(0).max(10)),
});
export type Advice = z.output<typeof adviceSchema>;
