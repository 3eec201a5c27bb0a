import { pageFor, shownWays } from '../../plan/pages-at.ts';
import { inOrder } from '../../plan/working-water.ts';
import { defineStage } from '../define-stage.ts';
import { pagesEdits } from './edits.ts';
import {
  displayMissing,
  numberSmall,
  pageMissing,
  panesTooMany,
  viewQuiet,
  viewWithoutTransducer,
} from './rules/pages.ts';
import { act, at } from '../../plan/target.ts';

export const pagesStage = defineStage({
  stage: 'pages',
  edits: pagesEdits,
  rules: [displayMissing, pageMissing, numberSmall, panesTooMany, viewWithoutTransducer, viewQuiet],
  /** Every station has its display, and a page for each way of working that shows one. */
  waitsFor: (plan) => {
    const stations = inOrder(plan.stations);
    if (stations.length === 0) return [{ what: 'add a station, on Brief', stage: 'brief', target: at('stations') }];
    return stations.flatMap(([id, { name }]) =>
      plan.displays[id]
        ? shownWays(plan).flatMap((way) =>
            pageFor(plan, id, way)
              ? []
              : [{ what: `show a page while ${way} at ${name}`, target: act('choose a page', id, way) }],
          )
        : [{ what: `fit a display to ${name}`, target: at('displays', id) }],
    );
  },
  results: [],
  exercises: [],
});
