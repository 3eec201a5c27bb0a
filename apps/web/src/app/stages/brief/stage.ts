import { at, inOrder } from '@grey-keel/core';
import { boatSchema, waterSchema } from '@grey-keel/model';
import { foundFields } from '../found-fields.ts';
import { boatFields, waterFields } from './boat-fields.ts';
import type { WebStage } from '../web-stage.ts';

export const briefStage: WebStage = {
  stage: 'brief',
  title: 'Brief',
  decides: 'The boat, its waters and its work: everything later is judged against this.',
  help: [
    'Say what the boat is, where it works and what you fish for: everything later is judged against it.',
    'Draught is the keel below the waterline as the boat floats; every depth is counted from it.',
    'Salt and temperature set the speed of sound and what absorption takes; the depths set what the sonar must reach.',
    'A station is a place from which a screen is read: measure from the eye to the glass.',
    'Ways of working tie it together: in each, some transducers are on, some pages show, some keys lead there.',
    'Choose only the ways the boat is really used in; each asks for a page at every station.',
  ],
  page: () => import('./brief-page.ts').then(({ BriefPage }) => BriefPage),
  found: (plan) => [
    ...inOrder(plan.stations).map(([id, { name }]) => ({
      kind: 'station' as const,
      name,
      target: at('stations', id, 'name'),
    })),
    ...inOrder(plan.waters).map(([id, { name }]) => ({
      kind: 'water' as const,
      name,
      target: at('waters', id, 'name'),
    })),
    ...inOrder(plan.sought).map(([id, { name }]) => ({
      kind: 'sought' as const,
      name,
      target: at('sought', id, 'name'),
    })),
    ...foundFields(boatSchema.shape, boatFields, ['boat'], plan.boat.name),
    ...inOrder(plan.waters).flatMap(([id, { name }]) =>
      foundFields(waterSchema.shape, waterFields, ['waters', id], name),
    ),
  ],
};
