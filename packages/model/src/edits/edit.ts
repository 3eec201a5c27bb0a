import * as z from 'zod';
import { adviceSchema } from '../plan/advice.ts';
import { boatSchema } from '../plan/boat.ts';
import { depthOffsetSchema, enteredOffsetSchema } from '../plan/depth-offset.ts';
import { fittedDisplaySchema } from '../plan/display.ts';
import { equipmentSchema } from '../plan/equipment.ts';
import { idSchema } from '../plan/id.ts';
import { loadingSchema } from '../plan/loading.ts';
import { keyActionSchema, keySlotSchema } from '../plan/key.ts';
import { backboneSchema, linkSchema, networkDeviceSchema } from '../plan/network.ts';
import { pageNumberSchema, pageSchema } from '../plan/page.ts';
import { printedCardSchema } from '../plan/plan.ts';
import { batterySchema, circuitSchema, loadSchema } from '../plan/power.ts';
import { placedFishSchema, sceneSchema } from '../plan/scene.ts';
import { soughtSchema } from '../plan/sought.ts';
import { fedQuantitySchema, feedSchema, sourceSchema, unitSettingsSchema } from '../plan/source.ts';
import { stationSchema } from '../plan/station.ts';
import { transducerSchema } from '../plan/transducer.ts';
import { waterSchema } from '../plan/water.ts';
import { waySchema } from '../plan/ways.ts';
import { depthPairSchema } from '../readings/depth-pair.ts';

/** One step of a change as plain data: a path from the plan's root and what stands there afterwards. */
export const patchSchema = z.strictObject({
  op: z.enum(['add', 'replace', 'remove']),
  path: z
    .array(
      z.union([z.string().regex(/^(?!__proto__$|constructor$|prototype$|length$)/), z.number().int().min(0).max(1000)]),
    )
    .min(1)
    .max(12),
  value: z.json().optional(),
});
export type Patch = z.output<typeof patchSchema>;

const depthOffsetSettings = depthOffsetSchema.omit({ readings: true, entered: true });

/** The closed set of changes that can be made to a plan. */
export const editSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('describeBoat'), changes: boatSchema.partial() }),
  /** Null takes it away. */
  z.strictObject({ type: z.literal('putLoading'), id: idSchema, loading: loadingSchema.nullable() }),

  z.strictObject({ type: z.literal('addStation'), id: idSchema, station: stationSchema }),
  z.strictObject({ type: z.literal('describeStation'), id: idSchema, changes: stationSchema.partial() }),
  z.strictObject({ type: z.literal('removeStation'), id: idSchema }),

  z.strictObject({ type: z.literal('addWater'), id: idSchema, water: waterSchema }),
  z.strictObject({ type: z.literal('describeWater'), id: idSchema, changes: waterSchema.partial() }),
  z.strictObject({ type: z.literal('removeWater'), id: idSchema }),

  z.strictObject({ type: z.literal('addSought'), id: idSchema, sought: soughtSchema }),
  z.strictObject({ type: z.literal('describeSought'), id: idSchema, changes: soughtSchema.partial() }),
  z.strictObject({ type: z.literal('removeSought'), id: idSchema }),

  z.strictObject({ type: z.literal('useWay'), way: waySchema, used: z.boolean() }),
  z.strictObject({ type: z.literal('workIn'), waterId: idSchema.nullable() }),
  z.strictObject({ type: z.literal('workAtDepth'), depthM: z.number().min(0.5).max(2000) }),

  z.strictObject({ type: z.literal('placeTransducer'), id: idSchema, transducer: transducerSchema }),
  z.strictObject({ type: z.literal('describeTransducer'), id: idSchema, changes: transducerSchema.partial() }),
  z.strictObject({ type: z.literal('removeTransducer'), id: idSchema }),
  z.strictObject({ type: z.literal('transmitIn'), id: idSchema, way: waySchema, transmits: z.boolean() }),

  z.strictObject({
    type: z.literal('describeDepthOffset'),
    transducerId: idSchema,
    changes: depthOffsetSettings.partial(),
  }),
  z.strictObject({
    type: z.literal('recordReading'),
    transducerId: idSchema,
    readingId: idSchema,
    reading: depthPairSchema,
  }),
  z.strictObject({
    type: z.literal('correctReading'),
    transducerId: idSchema,
    readingId: idSchema,
    changes: depthPairSchema.partial(),
  }),
  z.strictObject({ type: z.literal('removeReading'), transducerId: idSchema, readingId: idSchema }),
  z.strictObject({ type: z.literal('enterDepthOffset'), transducerId: idSchema, entered: enteredOffsetSchema }),

  z.strictObject({ type: z.literal('fitDisplay'), stationId: idSchema, display: fittedDisplaySchema }),
  z.strictObject({ type: z.literal('describeDisplay'), stationId: idSchema, changes: fittedDisplaySchema.partial() }),
  z.strictObject({ type: z.literal('removeDisplay'), stationId: idSchema }),

  /** Stands at its own place of the display's list; those from there on move up by one. */
  z.strictObject({ type: z.literal('addPage'), id: idSchema, page: pageSchema }),
  z.strictObject({
    type: z.literal('describePage'),
    id: idSchema,
    changes: pageSchema.pick({ name: true, layout: true }).partial(),
  }),
  z.strictObject({ type: z.literal('movePage'), id: idSchema, place: pageSchema.shape.place }),
  z.strictObject({ type: z.literal('removePage'), id: idSchema }),
  /** A station shows one page in a way of working: the page that showed before gives way. */
  z.strictObject({ type: z.literal('showPageIn'), id: idSchema, way: waySchema, shown: z.boolean() }),
  z.strictObject({ type: z.literal('placeNumber'), pageId: idSchema, id: idSchema, number: pageNumberSchema }),
  z.strictObject({
    type: z.literal('describeNumber'),
    pageId: idSchema,
    id: idSchema,
    changes: pageNumberSchema.partial(),
  }),
  z.strictObject({ type: z.literal('removeNumber'), pageId: idSchema, id: idSchema }),

  z.strictObject({
    type: z.literal('bindKey'),
    stationId: idSchema,
    slot: keySlotSchema,
    action: keyActionSchema.nullable(),
  }),

  z.strictObject({ type: z.literal('weighBeams'), changes: adviceSchema.partial() }),
  z.strictObject({ type: z.literal('setScene'), changes: sceneSchema.partial() }),
  z.strictObject({ type: z.literal('placeFish'), id: idSchema, fish: placedFishSchema }),
  z.strictObject({ type: z.literal('describeFish'), id: idSchema, changes: placedFishSchema.partial() }),
  z.strictObject({ type: z.literal('removeFish'), id: idSchema }),

  z.strictObject({ type: z.literal('placeEquipment'), id: idSchema, equipment: equipmentSchema }),
  z.strictObject({ type: z.literal('describeEquipment'), id: idSchema, changes: equipmentSchema.partial() }),
  z.strictObject({ type: z.literal('removeEquipment'), id: idSchema }),

  /** The places were looked over on the hull as it is now. */
  z.strictObject({ type: z.literal('confirmPlaces') }),

  z.strictObject({ type: z.literal('addBattery'), id: idSchema, battery: batterySchema }),
  z.strictObject({ type: z.literal('describeBattery'), id: idSchema, changes: batterySchema.partial() }),
  /** Its circuits stay, with nothing to hang on. */
  z.strictObject({ type: z.literal('removeBattery'), id: idSchema }),
  z.strictObject({ type: z.literal('addCircuit'), id: idSchema, circuit: circuitSchema }),
  z.strictObject({
    type: z.literal('describeCircuit'),
    id: idSchema,
    changes: circuitSchema.omit({ loads: true }).partial(),
  }),
  z.strictObject({ type: z.literal('removeCircuit'), id: idSchema }),
  /** Null takes the load off. */
  z.strictObject({ type: z.literal('putLoad'), circuitId: idSchema, id: idSchema, load: loadSchema.nullable() }),
  z.strictObject({ type: z.literal('workHours'), way: waySchema, hours: z.number().min(0).max(24) }),

  /** Null takes the cable off. */
  z.strictObject({ type: z.literal('connect'), transducerId: idSchema, link: linkSchema.nullable() }),
  /** Of a station's display or a piece of equipment. */
  z.strictObject({ type: z.literal('describeDevice'), id: idSchema, changes: networkDeviceSchema.partial() }),
  z.strictObject({ type: z.literal('describeBackbone'), changes: backboneSchema.partial() }),

  /** Of a transducer or a piece of equipment. */
  z.strictObject({ type: z.literal('describeSource'), id: idSchema, changes: sourceSchema.partial() }),
  z.strictObject({
    type: z.literal('feed'),
    stationId: idSchema,
    quantity: fedQuantitySchema,
    feed: feedSchema.nullable(),
  }),
  z.strictObject({ type: z.literal('describeUnit'), stationId: idSchema, changes: unitSettingsSchema.partial() }),

  z.strictObject({ type: z.literal('printCard'), id: idSchema, card: printedCardSchema }),

  /** Undo, redo and the settling of two people's changes: patches that lead back to, or on to, a known state. */
  z.strictObject({ type: z.literal('restore'), patches: z.array(patchSchema).min(1).max(5000) }),
]);
export type Edit = z.output<typeof editSchema>;
