import type { Plan } from '@grey-keel/model';
import type { ToDo } from './to-do.ts';
import { inOrder } from './working-water.ts';
import { at } from './target.ts';

/** What several stages wait for: a display to look at. */
export const fitDisplay = (plan: Plan): ToDo => ({
  what: 'choose the display of a station, on Brief',
  stage: 'brief',
  target: at('displays', inOrder(plan.stations)[0]?.[0] ?? ''),
});

/** What several stages wait for: something that sounds. */
export const chooseTransducer: ToDo = {
  what: 'choose a transducer, on Beams',
  stage: 'beams',
  target: at('transducers'),
};
