import type { Plan, Sentence } from '@grey-keel/model';
import { calculate } from '../calculation/calculation.ts';
import { inOrder } from '../plan/working-water.ts';
import { antennaVector } from './antenna-vector.ts';
import { stations } from './calibrated-sensors.ts';
import { defineCalibration } from './define-calibration.ts';
import {
  calibrationOf,
  length,
  type Measurement,
  notMeasured,
  sensorOf,
  type SensorPlace,
  standApart,
  wholeReadings,
} from './sensor-calibration.ts';

/** Everything that says how far a station's marks lie off. */
export interface AntennaInputs {
  readonly readings: readonly {
    readonly id: string;
    readonly headingDeg: number;
    readonly latitudeDeg: number;
    readonly longitudeDeg: number;
  }[];
  readonly setForwardM: number;
  readonly setStarboardM: number;
  /** As they are placed on the drawing; null where one is not known. */
  readonly antenna: SensorPlace | null;
  readonly face: SensorPlace | null;
}

const byDrawing = ({ antenna, face }: AntennaInputs): Sentence[] =>
  antenna && face
    ? [
        [
          'By the drawing the face lies ',
          length(Math.abs(face.forwardM - antenna.forwardM)),
          face.forwardM < antenna.forwardM ? ' astern and ' : ' ahead and ',
          length(Math.abs(face.starboardM - antenna.starboardM)),
          ` to ${face.starboardM < antenna.starboardM ? 'port' : 'starboard'} of the antenna.`,
        ],
      ]
    : [];

const compute = (inputs: AntennaInputs): Measurement => {
  const { readings, setForwardM, setStarboardM } = inputs;
  if (readings.length < 2)
    return notMeasured('Two passes at least: set a mark when the buoy is straight over the face, on two headings.');
  const result = calculate(antennaVector, {
    marks: readings.map(({ headingDeg, latitudeDeg, longitudeDeg }) => ({ headingDeg, latitudeDeg, longitudeDeg })),
  });
  if (!result.ok) return notMeasured(result.errors[0]?.message ?? 'The marks do not go together.');
  const { forwardM, starboardM, lengthM, halfInterval95M, residualsM, flags, working } = result.answer;
  return {
    known: true,
    measured: length(lengthM),
    half: halfInterval95M === null ? null : length(halfInterval95M),
    enter: [length(setForwardM + forwardM), length(setStarboardM + starboardM)],
    enterWords: ['forward', 'starboard'],
    sign: [
      'Its marks lie ',
      length(lengthM),
      ` off: what was straight under the face is marked ${forwardM > 0 ? 'astern' : 'ahead'} by `,
      length(Math.abs(forwardM)),
      ` and to ${starboardM > 0 ? 'port' : 'starboard'} by `,
      length(Math.abs(starboardM)),
      '. Once both are entered, marks lie where they were seen.',
    ],
    residuals: readings.map(({ id }, i) => ({ id, left: length(residualsM[i] ?? 0) })),
    apart: readings.length < 4 ? [] : standApart(readings, residualsM, 1),
    current: null,
    naive: null,
    also: byDrawing(inputs),
    readings: readings.length,
    fitted: 4,
    equations: 2,
    together: 1,
    flags,
    working,
  };
};

const hasAntenna = (plan: Plan): boolean =>
  Object.values(plan.equipment).some(({ kind }) => kind === 'position antenna');

/** How far each station's marks lie off, from the antenna's distance to the face that feeds it. */
export const antennaCalibration = defineCalibration({
  kind: 'antenna',
  word: 'Antenna to transducer',
  of: (plan) => (hasAntenna(plan) ? stations(plan) : []),
  heldByDevice: true,
  enters: [
    ['length', ' forward'],
    ['length', ' starboard'],
  ],
  slice: (plan: Plan, id): AntennaInputs | null => {
    if (!plan.displays[id]) return null;
    const { readings, setForwardM, setStarboardM } = calibrationOf(plan, 'antenna', id);
    const feeds = plan.feeds[id];
    const antennaId =
      feeds?.position?.sourceId ?? inOrder(plan.equipment).find(([, { kind }]) => kind === 'position antenna')?.[0];
    const faceId = feeds?.depth?.sourceId;
    return {
      readings: wholeReadings<'antenna'>(readings),
      setForwardM,
      setStarboardM,
      antenna: (antennaId && sensorOf(plan, antennaId)) || null,
      face: (faceId && sensorOf(plan, faceId)) || null,
    };
  },
  version: antennaVector.version,
  compute,
  words: {
    readings: 'the marks',
    setForwardM: 'what was set forward',
    setStarboardM: 'what was set to starboard',
    antenna: 'the antenna or its place',
    face: 'the transducer or its place',
  },
});
