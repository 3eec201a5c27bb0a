import * as z from 'zod';
import { equipmentSchema } from '../plan/equipment.ts';
import { idSchema } from '../plan/id.ts';
import { backboneSchema, linkSchema, networkDeviceSchema } from '../plan/network.ts';
import { batterySchema, circuitSchema, loadSchema } from '../plan/power.ts';
import { waySchema } from '../plan/ways.ts';

/** Changes of fit: equipment, power and the network. */
export const fitEditSchemas = {
  placeEquipment: z.strictObject({ type: z.literal('placeEquipment'), id: idSchema, equipment: equipmentSchema }),
  describeEquipment: z.strictObject({
    type: z.literal('describeEquipment'),
    id: idSchema,
    changes: equipmentSchema.partial(),
  }),
  removeEquipment: z.strictObject({ type: z.literal('removeEquipment'), id: idSchema }),
  /** The places were looked over on the hull as it is now. */
  confirmPlaces: z.strictObject({ type: z.literal('confirmPlaces') }),
  addBattery: z.strictObject({ type: z.literal('addBattery'), id: idSchema, battery: batterySchema }),
  describeBattery: z.strictObject({
    type: z.literal('describeBattery'),
    id: idSchema,
    changes: batterySchema.partial(),
  }),
  /** Its circuits stay, with nothing to hang on. */
  removeBattery: z.strictObject({ type: z.literal('removeBattery'), id: idSchema }),
  addCircuit: z.strictObject({ type: z.literal('addCircuit'), id: idSchema, circuit: circuitSchema }),
  describeCircuit: z.strictObject({
    type: z.literal('describeCircuit'),
    id: idSchema,
    changes: circuitSchema.omit({ loads: true }).partial(),
  }),
  removeCircuit: z.strictObject({ type: z.literal('removeCircuit'), id: idSchema }),
  /** Null takes the load off. */
  putLoad: z.strictObject({
    type: z.literal('putLoad'),
    circuitId: idSchema,
    id: idSchema,
    load: loadSchema.nullable(),
  }),
  workHours: z.strictObject({ type: z.literal('workHours'), way: waySchema, hours: z.number().min(0).max(24) }),
  /** Null takes the cable off. */
  connect: z.strictObject({ type: z.literal('connect'), transducerId: idSchema, link: linkSchema.nullable() }),
  /** Of a station's display or a piece of equipment. */
  describeDevice: z.strictObject({
    type: z.literal('describeDevice'),
    id: idSchema,
    changes: networkDeviceSchema.partial(),
  }),
  describeBackbone: z.strictObject({ type: z.literal('describeBackbone'), changes: backboneSchema.partial() }),
};
