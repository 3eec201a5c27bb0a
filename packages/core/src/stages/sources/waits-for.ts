import type { Plan } from '@grey-keel/model';
import { looksAside } from '../../calibration/calibrated-sensors.ts';
import { fittedStations } from '../../plan/fitted-stations.ts';
import { heldBy, sidesHeld, typeHeld } from '../../plan/held-by.ts';
import { setUpIn } from '../../plan/read-at.ts';
import type { ToDo } from '../../plan/to-do.ts';
import { chooseTransducer, fitDisplay } from '../../plan/usual-to-dos.ts';
import { inOrder } from '../../plan/working-water.ts';
import { at } from '../../plan/target.ts';

/** Every transducer is named, its tag read and its type selected; every screen has its depth, its water, its north and its sides. */
export const sourcesWaitFor = (plan: Plan): ToDo[] => {
  const transducers = inOrder(plan.transducers);
  const fitted = fittedStations(plan);
  const aside = transducers.some(([, { kind }]) => looksAside.includes(kind));
  return [
    ...(transducers.length ? [] : [chooseTransducer]),
    ...(fitted.length ? [] : [fitDisplay(plan)]),
    ...transducers.flatMap(([id, { name }]): ToDo[] => {
      const source = plan.sources[id];
      return [
        ...(source?.tag ? [] : [{ what: `read the tag of ${name}`, target: at('sources', id, 'tag') }]),
        ...(typeHeld(plan, id)
          ? []
          : [{ what: `select the type of ${name}`, target: at('held', setUpIn(plan, id), 'type', id) }]),
        ...(source?.name ? [] : [{ what: `name ${name}`, target: at('sources', id, 'name') }]),
      ];
    }),
    ...fitted.flatMap(({ id, station: { name } }): ToDo[] => {
      return [
        ...(plan.feeds[id]?.depth
          ? []
          : [{ what: `say where ${name} takes its depth from`, target: at('feeds', id, 'depth') }]),
        ...(heldBy(plan, id, 'sound')
          ? []
          : [{ what: `look at the water ${name} is set to`, target: at('held', id, 'sound', id) }]),
        ...(heldBy(plan, id, 'depth-display')
          ? []
          : [{ what: `say which unit ${name} shows depth in`, target: at('held', id, 'depth-display', id) }]),
        ...(heldBy(plan, id, 'north')
          ? []
          : [{ what: `look at the north ${name} counts from`, target: at('held', id, 'north', id) }]),
        ...(sidesHeld(plan, id) || !aside
          ? []
          : [{ what: `look whether ${name} draws port on port`, target: at('held', id, 'sides') }]),
      ];
    }),
  ];
};
