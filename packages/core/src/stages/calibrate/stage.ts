import type { Plan } from '@grey-keel/model';
import { chooseTransducer } from '../../plan/usual-to-dos.ts';
import { depthGivers } from '../../sources/depth-givers.ts';
import { defineStage } from '../define-stage.ts';
import { calibrateEdits } from './edits.ts';
import { offsetAboveWater, offsetScale, offsetUnsafe, offsetWrongSign } from './rules/offset-errors.ts';
import { offsetFew, offsetFlagged, offsetGeometry, offsetUncertain, readingHalf } from './rules/offset-readings.ts';
import { offsetMissing, offsetStale } from './rules/offset-standing.ts';
import { at } from '../../plan/target.ts';
import { measuredOffset } from '../../calibration/depth-offset-subject.ts';

const notMeasured = (plan: Plan) =>
  depthGivers(plan).filter(({ id }) => measuredOffset.standing(plan, id).state === 'missing');

export const calibrateStage = defineStage({
  stage: 'calibrate',
  edits: calibrateEdits,
  rules: [
    offsetWrongSign,
    offsetUnsafe,
    offsetAboveWater,
    offsetScale,
    offsetStale,
    offsetMissing,
    offsetFew,
    offsetFlagged,
    readingHalf,
    offsetUncertain,
    offsetGeometry,
  ],
  waitsFor: (plan) =>
    depthGivers(plan).length === 0
      ? [chooseTransducer]
      : notMeasured(plan).map(({ id, name }) => ({
          what: `measure the depth offset of ${name}, and enter it`,
          target: at('depthOffsets', id),
        })),
  results: [measuredOffset],
  // A depth offset taken over by mistake grounds the other boat.
  exercises: [],
  forAnotherBoat: () => ({ depthOffsets: {} }),
});
