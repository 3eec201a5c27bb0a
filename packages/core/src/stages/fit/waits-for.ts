import type { Plan } from '@grey-keel/model';
import { fittedStations } from '../../plan/fitted-stations.ts';
import type { ToDo } from '../../plan/to-do.ts';
import { fitDisplay } from '../../plan/usual-to-dos.ts';
import { circuitOf } from '../../power/circuit-of.ts';
import { inOrder } from '../../plan/working-water.ts';
import { at } from '../../plan/target.ts';

/** Every screen has its place and a circuit to hang on, every transducer a socket. */
export const fitWaitsFor = (plan: Plan): ToDo[] => {
  const fitted = fittedStations(plan);
  return [
    ...(fitted.length ? [] : [fitDisplay(plan)]),
    ...fitted.flatMap(({ id, station }) =>
      station.place
        ? []
        : [{ what: `put the screen of ${station.name} where it stands`, target: at('stations', id, 'place') }],
    ),
    ...inOrder(plan.transducers).flatMap(([id, { name }]) =>
      plan.network.links[id]
        ? []
        : [{ what: `connect ${name} to a socket, under network`, target: at('network', 'links', id) }],
    ),
    ...fitted.flatMap(({ id, station: { name } }) =>
      circuitOf(plan, id) === null
        ? [{ what: `say which circuit the screen of ${name} hangs on, under power`, target: at('power', 'circuits') }]
        : [],
    ),
  ];
};
