import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { ofOneBoat } from '../fields/of-one-boat.ts';
import { adviceSchema } from './advice.ts';
import { assumedSchema } from './assumed.ts';
import { mostPhotographs, photographSchema } from './photograph.ts';
import { restorePointSchema } from './restore-point.ts';
import { boatSchema, fittedHullSchema } from './boat.ts';
import { calibrationsSchema, noCalibrations, readingsOf } from './calibration.ts';
import { depthOffsetSchema } from './depth-offset.ts';
import { fittedDisplaySchema } from './display.ts';
import { equipmentSchema } from './equipment.ts';
import { idSchema, instantSchema, recordById } from './id.ts';
import { boundKeysSchema } from './key.ts';
import { loadingSchema } from './loading.ts';
import { networkSchema } from './network.ts';
import { pageSchema } from './page.ts';
import { powerSchema } from './power.ts';
import { placedFishSchema, sceneSchema } from './scene.ts';
import { targetSpeciesSchema } from './target-species.ts';
import { chosenSchema, heldSchema, resetsSchema } from './held.ts';
import { feedSchema, fedQuantitySchema, sourceSchema, timeToActSchema } from './source.ts';
import { stationSchema } from './station.ts';
import { transducerSchema } from './transducer.ts';
import { waterSchema } from './water.ts';
import { waySetSchema } from './ways.ts';

/** The version this code writes. Older ones are brought up by `upgradePlan`; newer ones are refused. */
export const planVersion = 13;

export const printedCardSchema = z.strictObject({
  at: instantSchema,
  fingerprint: z.string().regex(/^[0-9a-f]{64}$/),
});

/** Everything that is known about one boat, part by part. Collections are records by id, so that edits to different things never meet. */
export const planShape = z.strictObject({
  format: z.literal('grey-keel-plan'),
  version: z.literal(planVersion),
  /** A copy to practise on: what is read on it is of the simulated boat, and nothing of it holds for a real one. */
  practice: z.literal(true).optional().register(ofOneBoat, {}),
  boat: boatSchema,
  /** What a template filled in and nobody has confirmed; left out where nothing is. */
  assumed: assumedSchema.optional(),
  /** States of this boat that were given a name; left out where none was. */
  restorePoints: recordById(restorePointSchema, 100).optional().register(ofOneBoat, {}),
  /** Pictures of the boat and of the work; left out where none was taken. */
  photographs: recordById(photographSchema, mostPhotographs).optional().register(ofOneBoat, {}),
  /** Besides the draught of the brief, at which the boat was calibrated. */
  loadings: recordById(loadingSchema, 30),
  stations: recordById(stationSchema, 30),
  waters: recordById(waterSchema, 60),
  sought: recordById(targetSpeciesSchema, 60),
  ways: waySetSchema,
  /** The water and depth that the pictures and the card are drawn for. */
  working: z.strictObject({
    waterId: idSchema.nullable(),
    depthM: z
      .number()
      .min(0.5)
      .max(2000)
      .register(fieldWords, { label: 'Working depth', quantity: 'depth', decimals: 1 }),
  }),
  transducers: recordById(transducerSchema, 60),
  /** By transducer. One taken over by mistake would ground the other boat. */
  depthOffsets: recordById(depthOffsetSchema, 60).register(ofOneBoat, { begins: {} }),
  calibrations: calibrationsSchema.register(ofOneBoat, { begins: noCalibrations() }),
  cards: recordById(printedCardSchema, 1000).register(ofOneBoat, { begins: {} }),
  /** By station: each has one display at most. */
  displays: recordById(fittedDisplaySchema, 30),
  pages: recordById(pageSchema, 600),
  /** By station. */
  keys: recordById(boundKeysSchema, 30),
  advice: adviceSchema,
  scene: sceneSchema,
  fish: recordById(placedFishSchema, 200),
  equipment: recordById(equipmentSchema, 120),
  /** The hull as it was when the first thing was put on it, or when the places were last looked over; left out before. */
  fittedHull: fittedHullSchema.optional(),
  power: powerSchema,
  network: networkSchema,
  /** By transducer or piece of equipment. */
  sources: recordById(sourceSchema, 180),
  /** By station: where each thing it shows comes from. */
  feeds: recordById(z.partialRecord(fedQuantitySchema, feedSchema), 30),
  /** By station: 10 s where nothing is said. */
  timeToActS: recordById(timeToActSchema, 30),
  /** What is in each device: read off it and keyed into it, on this boat alone. */
  held: heldSchema.register(ofOneBoat, { begins: {} }),
  resets: resetsSchema.register(ofOneBoat, { begins: {} }),
  chosen: chosenSchema,
});

/** What the simulated boat said stands on practice copies alone: of any other boat it would be a lie. */
export const simulatedOnlyInPractice = ({
  practice,
  calibrations,
  depthOffsets,
}: Pick<z.output<typeof planShape>, 'practice' | 'calibrations' | 'depthOffsets'>): boolean =>
  practice === true ||
  ![
    ...readingsOf(calibrations),
    ...Object.values(depthOffsets).flatMap(({ readings }) => Object.values(readings)),
  ].some(({ from }) => from?.simulated);

export const simulatedElsewhere =
  'A reading of the simulated boat stands on practice copies alone. Take it on a practice copy, or from instruments aboard.';

/** Everything that is known about one boat, as a whole. */
export const planSchema = planShape.refine(simulatedOnlyInPractice, {
  path: ['calibrations'],
  error: simulatedElsewhere,
});
export type Plan = z.output<typeof planSchema>;

const emptyNetwork = (): z.output<typeof networkSchema> => ({
  links: {},
  devices: {},
  backbone: { lengthM: null, terminators: 2, supplies: 1, supplyA: 3 },
});

/** A boat of which nothing but the name is known. */
export const emptyPlan = (name: string): Plan => ({
  format: 'grey-keel-plan',
  version: planVersion,
  boat: {
    name,
    lengthM: null,
    beamM: null,
    draughtM: null,
    hullForm: 'planing monohull',
    hullMaterial: 'solid laminate',
    propulsion: 'single outboard',
    cruiseSpeedMps: null,
    topSpeedMps: null,
    systemVoltageV: null,
    notes: '',
  },
  loadings: {},
  stations: {},
  waters: {},
  sought: {},
  ways: {},
  working: { waterId: null, depthM: 20 },
  transducers: {},
  depthOffsets: {},
  calibrations: noCalibrations(),
  cards: {},
  displays: {},
  pages: {},
  keys: {},
  advice: { school: 'by the brief', weights: {} },
  scene: { slopeDeg: 0, thermocline: null, windMps: 4, rollDeg: 0 },
  fish: {},
  equipment: {},
  power: { batteries: {}, circuits: {}, hours: {} },
  network: emptyNetwork(),
  sources: {},
  feeds: {},
  timeToActS: {},
  held: {},
  resets: {},
  chosen: { boat: {}, devices: {} },
});
