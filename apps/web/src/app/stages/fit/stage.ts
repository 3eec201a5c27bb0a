import { at, inOrder } from '@grey-keel/core';
import type { WebStage } from '../web-stage.ts';

export const fitStage: WebStage = {
  stage: 'fit',
  title: 'Fit',
  decides: 'Where everything goes, and what it hangs on: hull, wires and batteries.',
  help: [
    'Drag each thing to where it is on the hull, or type it: forward of the transom, starboard of the centre, above the keel.',
    'What a place breaks is said as you drag: blades, wash, stirred water, a blocked view, iron near the compass.',
    'Marks are saved where the antenna is: the line from it to a transducer is how far each mark is off.',
    'School of the own battery: the picture does not dip when the engine starts. School of the shared one: less to charge.',
    'A fuse stands at the battery\u2019s post, over what the load draws and under what the wire bears; it stops no voltage.',
    'Engine off and propeller clear before anyone leans over the transom; makers and local codes come first.',
  ],
  page: () => import('./fit-page.ts').then(({ FitPage }) => FitPage),
  found: (plan) => [
    ...inOrder(plan.equipment).map(([id, { name }]) => ({
      kind: 'equipment' as const,
      name,
      target: at('equipment', id, 'name'),
    })),
    ...inOrder(plan.power.batteries).map(([id, { name }]) => ({
      kind: 'equipment' as const,
      name: `${name}, battery`,
      target: at('power', 'batteries', id, 'name'),
    })),
    ...inOrder(plan.power.circuits).map(([id, { name }]) => ({
      kind: 'equipment' as const,
      name: `${name}, circuit`,
      target: at('power', 'circuits', id, 'name'),
    })),
    ...inOrder(plan.transducers).map(([id, { name }]) => ({
      kind: 'field' as const,
      name: `Socket of ${name}`,
      target: at('network', 'links', id),
    })),
  ],
};
