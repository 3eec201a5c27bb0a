import * as z from 'zod';
import { severitySchema, stageSchema, stageStateSchema } from './findings/finding.ts';
import { boatTemplateSchema } from './plan/boat-template.ts';
import { hullForms } from './plan/boat.ts';
import { idSchema, instantSchema, nameSchema, lineSchema } from './plan/id.ts';

/** One boat as the fleet lists it. */
export const fleetEntrySchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  lengthM: z.number().nullable(),
  hullForm: z.string(),
  water: z.string(),
  /** A copy to practise on with the simulated boat. */
  practice: z.boolean(),
  stages: z.array(z.strictObject({ number: z.number().int(), state: stageStateSchema })),
  stops: z.number().int(),
  checks: z.number().int(),
  /** The worst of what there is to say about it; null where there is nothing but notes. */
  gravest: z.strictObject({ severity: severitySchema, title: z.string() }).nullable(),
  /** What is to be done next; null where every stage is done. */
  next: z.strictObject({ stage: stageSchema, what: z.string() }).nullable(),
  number: z.number().int(),
  keptAt: instantSchema,
});
export type FleetEntry = z.output<typeof fleetEntrySchema>;

/** A boat that was deleted and can be had back. */
export const removedBoatSchema = fleetEntrySchema.pick({ id: true, name: true }).extend({ removedAt: instantSchema });
export type RemovedBoat = z.output<typeof removedBoatSchema>;

/** Which boats are listed. */
export const fleetShows = ['all', 'with a stop', 'with findings', 'not finished', 'finished'] as const;
export type FleetShow = (typeof fleetShows)[number];

/** What they can be put in order by. */
export const fleetOrders = ['name', 'finding', 'next', 'water', 'changed'] as const;
export type FleetOrder = (typeof fleetOrders)[number];

/** A page of the fleet, asked for in the address: which boats, in which order, from which on and how many. */
export const fleetQuerySchema = z.strictObject({
  search: lineSchema(200).default(''),
  show: z.enum(fleetShows).default('all'),
  by: z.enum(fleetOrders).default('name'),
  downward: z.stringbool({ truthy: ['true'], falsy: ['false'] }).default(false),
  first: z.coerce.number().int().min(0).max(1_000_000).default(0),
  count: z.coerce.number().int().min(1).max(200).default(50),
});
export type FleetQuery = z.output<typeof fleetQuerySchema>;

export const fleetPageSchema = z.strictObject({
  boats: z.array(fleetEntrySchema),
  /** How many there are of those asked for. */
  found: z.number().int(),
  /** How many there are at all. */
  all: z.number().int(),
  /** How many still wait for their line to be made anew, so that their place and their filter are of before. */
  waiting: z.number().int(),
});
export type FleetPage = z.output<typeof fleetPageSchema>;

/** A boat to be made: its name, and as much of its hull as is known, or the kind of boat it is started from. */
export const newBoatSchema = z.strictObject({
  name: nameSchema,
  hullForm: z.enum(hullForms).optional(),
  template: boatTemplateSchema.optional(),
});
export type NewBoat = z.output<typeof newBoatSchema>;
