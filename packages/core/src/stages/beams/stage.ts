import { chooseTransducer } from '../../plan/usual-to-dos.ts';
import { defineStage } from '../define-stage.ts';
import { beamsEdits } from './edits.ts';
import { beamsExercises } from './exercises/exercises.ts';
import { absorptionHeavy } from './rules/absorption-heavy.ts';
import { bottomOnPlane } from './rules/bottom-on-plane.ts';
import { brackishAbsorption } from './rules/brackish-absorption.ts';
import { coneLevel } from './rules/cone-level.ts';
import { faceAboveWater } from './rules/face-above-water.ts';
import { narrowOutsideWide } from './rules/narrow-outside-wide.ts';
import { noTransducer } from './rules/no-transducer.ts';
import { sameBand } from './rules/same-band.ts';
import { sameName } from './rules/same-name.ts';
import { sheetEfficiency } from './rules/sheet-efficiency.ts';
import { transmitsForNothing } from './rules/transmits-for-nothing.ts';
import { transmitsOnTrailer } from './rules/transmits-on-trailer.ts';

export const beamsStage = defineStage({
  stage: 'beams',
  edits: beamsEdits,
  rules: [
    noTransducer,
    faceAboveWater,
    transmitsOnTrailer,
    transmitsForNothing,
    coneLevel,
    sheetEfficiency,
    bottomOnPlane,
    sameBand,
    sameName,
    absorptionHeavy,
    brackishAbsorption,
    narrowOutsideWide,
  ],
  waitsFor: (plan) => (Object.keys(plan.transducers).length > 0 ? [] : [chooseTransducer]),
  results: [],
  exercises: Object.values(beamsExercises),
});
