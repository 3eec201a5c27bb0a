import { defineStage } from '../define-stage.ts';
import { sourcesEdits } from './edits.ts';
import { sourceRules } from './rules/sources.ts';
import { sourcesWaitFor } from './waits-for.ts';

export const sourcesStage = defineStage({
  stage: 'sources',
  edits: sourcesEdits,
  rules: sourceRules,
  waitsFor: sourcesWaitFor,
  results: [],
  exercises: [],
});
