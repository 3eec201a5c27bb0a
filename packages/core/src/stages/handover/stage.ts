import { defineStage } from '../define-stage.ts';
import { handoverEdits } from './edits.ts';
import { cardStale } from './rules/card-standing.ts';
import { at } from '../../plan/target.ts';
import { printedCard } from '../../handover/card.ts';

export const handoverStage = defineStage({
  stage: 'handover',
  edits: handoverEdits,
  rules: [cardStale],
  waitsFor: (plan) =>
    printedCard.standing(plan, 'card').state === 'missing'
      ? [{ what: 'print the card for the dash', target: at('cards') }]
      : [],
  results: [printedCard],
  exercises: [],
});
