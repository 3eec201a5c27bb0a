import { at, calibratedSensors, inOrder, kindWord } from '@grey-keel/core';
import { calibrationKinds } from '@grey-keel/model';
import type { WebStage } from '../web-stage.ts';

export const calibrateStage: WebStage = {
  stage: 'calibrate',
  title: 'Calibrate',
  decides: 'Each number the displays rely on, measured, with its uncertainty.',
  help: [
    'Depth: a lead line over a bottom you can trust, five pairs or more. To the waterline it shows the water, to the keel what is under it.',
    'Speed and heading: straight runs there and back; a current cancels in the difference. Temperature: beside a thermometer.',
    'Pictures and marks: which side is which, where a view points, what ranges and marks are worth. Then own noise and battery.',
    'Readings are typed, taken from instruments as they settle, or cut out of a recording; one that stands apart is named.',
    'Set the display to this water before trusting one offset: a wrong speed of sound grows with depth.',
    'The sign is said in words beside the figure: read it aloud before entering it. What changes afterwards makes a result stale.',
  ],
  page: () => import('./calibrate-page.ts').then(({ CalibratePage }) => CalibratePage),
  found: (plan) => [
    {
      kind: 'setting',
      name: 'Depth offset to the waterline or the keel',
      target: at('depthOffsets', inOrder(plan.transducers)[0]?.[0] ?? ''),
    },
    ...calibrationKinds.flatMap((kind) =>
      calibratedSensors(plan, kind).map(({ id, name }) => ({
        kind: 'setting' as const,
        name: `${kindWord(kind)}, ${name}`,
        target: at('calibrations', kind, id),
      })),
    ),
  ],
};
