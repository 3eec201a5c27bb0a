import { defineStage } from '../define-stage.ts';
import { briefEdits } from './edits.ts';
import { assumedToConfirm, assumedValues } from './rules/assumed-values.ts';
import { briefMissing, missingFacts } from './rules/brief-missing.ts';
import { orderOfValues } from './rules/order-of-values.ts';
import { tooShallow } from './rules/too-shallow.ts';
import { salinityKind } from './rules/salinity-kind.ts';

export const briefStage = defineStage({
  stage: 'brief',
  edits: briefEdits,
  rules: [tooShallow, briefMissing, assumedValues, salinityKind, orderOfValues],
  waitsFor: (plan) => [
    ...missingFacts(plan).map(({ name, target }) => ({ what: `give ${name}`, target: target(plan) })),
    ...assumedToConfirm(plan),
  ],
  results: [],
  exercises: [],
});
