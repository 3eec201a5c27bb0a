import { defineStage } from '../define-stage.ts';
import { fitEdits } from './edits.ts';
import { fitRules } from './rules/fit.ts';
import { networkRules } from './rules/network.ts';
import { placeRules } from './rules/places.ts';
import { powerRules } from './rules/power.ts';
import { fitWaitsFor } from './waits-for.ts';
import { placesLookedOver } from '../../fit/places.ts';

export const fitStage = defineStage({
  stage: 'fit',
  edits: fitEdits,
  rules: [...placeRules, ...fitRules, ...powerRules, ...networkRules],
  waitsFor: fitWaitsFor,
  results: [placesLookedOver],
  exercises: [],
});
