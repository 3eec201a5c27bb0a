import { at, inOrder } from '@grey-keel/core';
import type { WebStage } from '../web-stage.ts';

export const calibrateStage: WebStage = {
  stage: 'calibrate',
  title: 'Calibrate',
  decides: 'Each number the displays rely on, measured, with its uncertainty.',
  help: [
    'Correct the depth each display shows, with a lead line over a bottom you can trust.',
    'To the waterline: the display shows the depth of the water. To the keel: it shows the water under the keel.',
    'Take five pairs or more over the depths you work in; one that stands apart is named, never dropped in silence.',
    'Set the display to this water before trusting one offset: a wrong speed of sound grows with depth.',
    'The sign is said in words beside the figure: read it aloud before entering it. A wrong sign grounds the boat.',
    'When draught, water or the transducer changes, the result goes stale and the waterline rises past this stage.',
  ],
  page: () => import('./calibrate-page.ts').then(({ CalibratePage }) => CalibratePage),
  found: (plan) => [
    {
      kind: 'setting',
      name: 'Depth offset to the waterline or the keel',
      target: at('depthOffsets', inOrder(plan.transducers)[0]?.[0] ?? ''),
    },
  ],
};
