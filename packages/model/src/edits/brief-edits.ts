import * as z from 'zod';
import { assumedPlaceSchema } from '../plan/assumed.ts';
import { boatSchema } from '../plan/boat.ts';
import { idSchema } from '../plan/id.ts';
import { loadingSchema } from '../plan/loading.ts';
import { photographSchema } from '../plan/photograph.ts';
import { restorePointSchema } from '../plan/restore-point.ts';
import { targetSpeciesSchema } from '../plan/target-species.ts';
import { stationSchema } from '../plan/station.ts';
import { waterSchema } from '../plan/water.ts';
import { waySchema } from '../plan/ways.ts';

/** Changes of the brief: the boat, its stations, waters and the target species. */
export const briefEditSchemas = {
  describeBoat: z.strictObject({ type: z.literal('describeBoat'), changes: boatSchema.partial() }),
  /** What a template assumed is so. */
  confirmAssumed: z.strictObject({
    type: z.literal('confirmAssumed'),
    places: z.array(assumedPlaceSchema).min(1).max(100),
  }),
  /** Null takes it away. */
  putLoading: z.strictObject({ type: z.literal('putLoading'), id: idSchema, loading: loadingSchema.nullable() }),
  /** Gives a state a name to go back to by; null takes the name away. */
  putRestorePoint: z.strictObject({
    type: z.literal('putRestorePoint'),
    id: idSchema,
    point: restorePointSchema.nullable(),
  }),
  /** The picture of that id is stored before; null takes it off the boat, and it can be had back by undo. */
  putPhotograph: z.strictObject({
    type: z.literal('putPhotograph'),
    id: idSchema,
    photograph: photographSchema.nullable(),
  }),
  addStation: z.strictObject({ type: z.literal('addStation'), id: idSchema, station: stationSchema }),
  describeStation: z.strictObject({
    type: z.literal('describeStation'),
    id: idSchema,
    changes: stationSchema.partial(),
  }),
  removeStation: z.strictObject({ type: z.literal('removeStation'), id: idSchema }),
  addWater: z.strictObject({ type: z.literal('addWater'), id: idSchema, water: waterSchema }),
  describeWater: z.strictObject({ type: z.literal('describeWater'), id: idSchema, changes: waterSchema.partial() }),
  removeWater: z.strictObject({ type: z.literal('removeWater'), id: idSchema }),
  addSought: z.strictObject({ type: z.literal('addSought'), id: idSchema, sought: targetSpeciesSchema }),
  describeSought: z.strictObject({
    type: z.literal('describeSought'),
    id: idSchema,
    changes: targetSpeciesSchema.partial(),
  }),
  removeSought: z.strictObject({ type: z.literal('removeSought'), id: idSchema }),
  useWay: z.strictObject({ type: z.literal('useWay'), way: waySchema, used: z.boolean() }),
  workIn: z.strictObject({ type: z.literal('workIn'), waterId: idSchema.nullable() }),
  workAtDepth: z.strictObject({ type: z.literal('workAtDepth'), depthM: z.number().min(0.5).max(2000) }),
};
