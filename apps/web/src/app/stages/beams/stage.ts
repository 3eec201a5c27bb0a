import { act, at, inOrder } from '@grey-keel/core';
import type { WebStage } from '../web-stage.ts';

export const beamsStage: WebStage = {
  stage: 'beams',
  title: 'Beams',
  decides: 'Which cones, at which frequencies, for the working depth.',
  help: [
    'Look at the cones over your depth, drag the bottom; the advice ranks the catalogue for this boat and says why.',
    'School of the wide: the first transducer finds fish, so it should see much water.',
    'School of the narrow: the first transducer should tell what lies straight below, cleanly.',
    'Two cones together say where a mark is: in the wide one only it lies in the ring, which says how far to move.',
    'Frequency is a choice of its own: absorption, not the cone, is what limits depth. See the losses beside the cones.',
    'Sheets quote cones at -3 or at -10 dB; here every cone is drawn at -3 dB, whatever the sheet says.',
  ],
  page: () => import('./beams-page.ts').then(({ BeamsPage }) => BeamsPage),
  found: (plan) => [
    ...inOrder(plan.transducers).map(([id, { name }]) => ({
      kind: 'transducer' as const,
      name,
      target: at('transducers', id),
    })),
    { kind: 'setting', name: 'Working depth', target: at('working', 'depthM') },
    { kind: 'number', name: 'Ring, how far to move after a mark', target: act('show the section') },
    { kind: 'number', name: 'Footprint of each cone', target: act('show the section') },
    { kind: 'number', name: 'Absorption by frequency', target: act('show the absorption') },
    { kind: 'number', name: 'Speed at which the bottom is lost', target: act('show the speeds') },
  ],
};
