import type { Mounting, Plan, Sentence } from '@grey-keel/model';
import type { BottomType } from '../acoustics/backscatter.ts';
import { electricalFloorOf } from '../acoustics/electrical-floor.ts';
import { idleMps } from '../acoustics/noise.ts';
import { beamRangeTerms } from '../beams/beam-range.ts';
import { deepestAcoustics } from '../beams/element-acoustics.ts';
import { requirementsOf } from '../beams/requirements.ts';
import { workingBeamOf } from '../beams/working-beam.ts';
import { calculate } from '../calculation/calculation.ts';
import { inOrder } from '../plan/working-water.ts';
import { sonars } from './calibrated-sensors.ts';
import { defineCalibration } from './define-calibration.ts';
import { measuredNoise } from './measured-noise.ts';
import { calibrationOf, level, type Measurement, notMeasured, ofOneValue } from './sensor-calibration.ts';

/** Everything that a boat's own noise, as a unit hears it, depends on. */
export interface NoiseInputs {
  readonly readings: readonly {
    readonly id: string;
    readonly lost: 'bottom' | 'sinker' | 'lure';
    readonly depthM: number;
    readonly speedMps: number;
    readonly sizeCm: number;
  }[];
  /** How the beam works, set to see as deep as it can; null while the water is not described. */
  readonly beam: {
    readonly frequencyHz: number;
    readonly sourceLevelDb: number;
    readonly processingGainDb: number;
    readonly bandwidthHz: number;
    readonly directivityIndexDb: number;
    readonly receiveEfficiency: number;
    readonly acrossDeg: number;
    readonly resolutionM: number;
    readonly absorptionDbPerM: number;
    readonly windMps: number;
  } | null;
  /** Under where the bottom was lost; null while nobody said. */
  readonly bottom: BottomType | null;
  readonly mounting: Mounting;
  /** The floor that is taken under way where nothing was read at rest; null where something was. */
  readonly electricalFloorDb: number | null;
}

/** Within what the plan takes. */
const within = (db: number, least: number, most: number): number => Math.min(most, Math.max(least, db));

const compute = ({ readings, beam, bottom, mounting, electricalFloorDb }: NoiseInputs): Measurement => {
  if (readings.length === 0)
    return notMeasured(
      'Nothing yet: where the bottom, a sinker or a lure was just lost from the picture, and at which speed.',
    );
  if (beam === null) return notMeasured('The water is not described: say in the brief what you fish in.');
  if (bottom === null && readings.some(({ lost }) => lost === 'bottom'))
    return notMeasured('Say what the bottom is where it was lost: rock answers twelve decibels stronger than sand.');
  const result = calculate(measuredNoise, {
    readings: readings.map(({ id: _, ...reading }) => reading),
    ...beam,
    ...(bottom === null ? {} : { bottom }),
    mounting,
    electricalFloorDb,
  });
  if (!result.ok) return notMeasured(result.errors[0]?.message ?? 'The readings do not go together.');
  const { answer } = result;
  const floor = answer.electricalFloorDb;
  const louder = answer.louderByDb;
  const main = floor ?? louder ?? 0;
  const half = floor === null ? answer.louderHalfInterval95Db : answer.floorHalfInterval95Db;
  const also: Sentence[] = [
    ...(floor === null ? [] : [['Electrical noise at rest ', level(floor), ' in 1 kHz.']]),
    ...(louder === null
      ? []
      : [
          [
            'Under way the boat is ',
            level(Math.abs(louder)),
            ` ${louder > 0 ? 'louder' : 'quieter'} than the round figure for its mounting and speed.`,
          ],
        ]),
  ];
  return {
    ...ofOneValue,
    measured: level(main),
    half: half === null ? null : level(half),
    enter: [...(floor === null ? [] : [level(floor)]), ...(louder === null ? [] : [level(louder)])],
    enterWords: [
      ...(floor === null ? [] : ['at rest, in 1 kHz']),
      ...(louder === null ? [] : ['under way, over the round figure']),
    ],
    sign: [
      'Entered, it replaces the round figures: reach, advice and interference are worked out anew with it. More noise means less reach.',
    ],
    inPlaceOf: {
      boat: {
        ...(floor === null ? {} : { electricalFloorDb: within(floor, 20, 130) }),
        ...(louder === null ? {} : { ownNoiseByDb: within(louder, -40, 40) }),
      },
    },
    residuals: readings.flatMap(({ id, speedMps }, i) => {
      const gives = answer.givesDb[i];
      const of = speedMps <= idleMps ? floor : louder;
      return gives == null || of === null ? [] : [{ id, left: level(gives - of) }];
    }),
    apart: [],
    also,
    readings: readings.length,
    flags: answer.flags,
    working: answer.working,
  };
};

/** The boat's own noise as each unit that sounds down hears it. */
export const noiseCalibration = defineCalibration({
  kind: 'noise',
  word: 'Own noise',
  of: sonars(['sounder']),
  heldByDevice: false,
  enters: [['level'], ['level']],
  slice: (plan: Plan, id): NoiseInputs | null => {
    const transducer = plan.transducers[id];
    if (!transducer) return null;
    const requirements = requirementsOf(plan);
    const readings = inOrder(calibrationOf(plan, 'noise', id).readings).flatMap(
      ([readingId, { lost, depthM, speedMps, sizeCm, leftOut }]) =>
        // The bottom has no size.
        leftOut || lost === null || depthM === null || speedMps === null || (sizeCm === null && lost !== 'bottom')
          ? []
          : [{ id: readingId, lost, depthM, speedMps, sizeCm: sizeCm ?? 0 }],
    );
    const acoustics = deepestAcoustics(transducer, workingBeamOf(transducer));
    const terms = requirements && beamRangeTerms(acoustics, transducer.mounting, requirements.conditions);
    const atRest = readings.some(({ speedMps }) => speedMps <= idleMps);
    return {
      readings,
      beam: terms &&
        requirements && {
          frequencyHz: acoustics.frequencyHz,
          sourceLevelDb: acoustics.sourceLevelDb,
          processingGainDb: acoustics.processingGainDb,
          bandwidthHz: acoustics.bandwidthHz,
          directivityIndexDb: acoustics.shape.directivityIndexDb,
          receiveEfficiency: acoustics.receiveEfficiency,
          acrossDeg: terms.acrossDeg,
          resolutionM: terms.resolutionM,
          absorptionDbPerM: terms.absorptionDbPerM,
          windMps: requirements.conditions.windMps,
        },
      bottom: calibrationOf(plan, 'noise', id).bottom ?? null,
      mounting: transducer.mounting,
      electricalFloorDb: atRest ? null : electricalFloorOf(plan).in1kHzDb,
    };
  },
  version: measuredNoise.version,
  compute,
  words: {
    readings: 'what was lost where',
    beam: 'the transducer or the water',
    bottom: 'the bottom it was lost over',
    mounting: 'where it is mounted',
    electricalFloorDb: 'the electrical noise at rest',
  },
});
