import type { Plan } from '@grey-keel/model';
import { chooseTransducer } from '../../plan/usual-to-dos.ts';
import { depthGivers } from '../../sources/depth-givers.ts';
import { defineStage } from '../define-stage.ts';
import { calibrateEdits } from './edits.ts';
import { calibrateExercises } from './exercises/hidden-error.ts';
import { offsetAboveWater, offsetScale, offsetUnsafe, offsetWrongSign } from './rules/offset-errors.ts';
import { offsetFew, offsetFlagged, offsetGeometry, offsetUncertain, readingHalf } from './rules/offset-readings.ts';
import { soundOff } from './rules/sound-off.ts';
import { offsetMissing, offsetStale } from './rules/offset-standing.ts';
import { calibratedSensors, calibrationRows, kindWord } from '../../calibration/calibration-rows.ts';
import { standingOf } from '../../calibration/measured-by-kind.ts';
import {
  calibrationApart,
  calibrationMissing,
  calibrationOff,
  calibrationStale,
  calibrationTurned,
  calibrationUncertain,
  sidesMirrored,
} from './rules/sensors.ts';
import { alarmsHeld } from '../../plan/held-by.ts';
import { fittedStations } from '../../plan/fitted-stations.ts';
import { at } from '../../plan/target.ts';
import type { ToDo } from '../../plan/to-do.ts';
import { measuredOffset } from '../../calibration/depth-offset-subject.ts';

const notMeasured = (plan: Plan) =>
  depthGivers(plan).filter(({ id }) => measuredOffset.standing(plan, id).state === 'missing');

/** What is shown at a station and was never held against anything; a curve is for those who steer by the compass. */
const sensorsToMeasure = (plan: Plan) =>
  (['speed', 'temperature', 'heading'] as const).flatMap((kind) =>
    calibratedSensors(plan, kind)
      .filter(({ id, shown }) => shown && standingOf(plan, kind, id).state === 'missing')
      .map(({ id, name }) => ({
        what: `calibrate ${name}: ${kindWord(kind).toLowerCase()}`,
        target: at('calibrations', kind, id),
      })),
  );

/** From where on an alarm is worth having hangs on what the display shows: it is asked once the offset is entered. */
const alarmToSet = (plan: Plan): ToDo[] => {
  const fitted = fittedStations(plan);
  return fitted.length === 0 || fitted.some(({ id }) => alarmsHeld(plan, id).shallowM != null)
    ? []
    : [
        {
          what: 'set a shallow alarm at one station at least, on Sources',
          stage: 'sources',
          target: at('held', fitted[0]?.id ?? '', 'shallow-alarm', fitted[0]?.id ?? ''),
        },
      ];
};

export const calibrateStage = defineStage({
  stage: 'calibrate',
  edits: calibrateEdits,
  rules: [
    offsetWrongSign,
    offsetUnsafe,
    offsetAboveWater,
    offsetScale,
    soundOff,
    offsetStale,
    offsetMissing,
    offsetFew,
    offsetFlagged,
    readingHalf,
    offsetUncertain,
    offsetGeometry,
    sidesMirrored,
    calibrationTurned,
    calibrationOff,
    calibrationStale,
    calibrationUncertain,
    calibrationApart,
    calibrationMissing,
  ],
  waitsFor: (plan) =>
    depthGivers(plan).length === 0
      ? [chooseTransducer]
      : [
          ...notMeasured(plan).map(({ id, name }) => ({
            what: `measure the depth offset of ${name}, and enter it`,
            target: at('depthOffsets', id),
          })),
          ...sensorsToMeasure(plan),
          ...alarmToSet(plan),
        ],
  results: [measuredOffset, ...Object.values(calibrationRows).map(({ result }) => result)],
  exercises: Object.values(calibrateExercises),
});
