import { at } from '@grey-keel/core';
import type { WebStage } from '../web-stage.ts';

export const handoverStage: WebStage = {
  stage: 'handover',
  title: 'Handover',
  decides: 'The card for the dash, with what is stale and what is missing.',
  help: [
    'Print the card for the dash: cones, offsets, pages and keys as they are now.',
    'What is stale or missing is printed on it, so that nobody trusts a figure that no longer holds.',
    'The card goes out of date when a figure on it changes; the ladder says so.',
    'The bundle is the whole boat as one file: for another shop, or for a second boat of the same build.',
    'A copy of a boat takes over its gear, pages and keys, never what was measured on it.',
    'The makers\u2019 instructions, local codes and a look-out come before this card.',
  ],
  page: () => import('./handover-page.ts').then(({ HandoverPage }) => HandoverPage),
  found: () => [{ kind: 'setting', name: 'Dash cards, report and bundle', target: at('cards') }],
};
