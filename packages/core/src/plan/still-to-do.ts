import type { Plan } from '@grey-keel/model';
import { fittedStations } from '../findings/rules/pages.ts';
import { inOrder } from './working-water.ts';

/** Something a stage still waits for, and the id of the element where it is done. */
export interface ToDo {
  readonly what: string;
  readonly target: string;
}

/** Every screen has its place, and something to hang on. */
export const fitToDo = (plan: Plan): ToDo[] => {
  const fitted = fittedStations(plan);
  return [
    ...(fitted.length ? [] : [{ what: 'fit a display to a station, on Pages', target: 'hull-title' }]),
    ...fitted.flatMap(({ id, station }) =>
      station.place
        ? []
        : [{ what: `put the screen of ${station.name} where it stands`, target: `thing-station-${id}` }],
    ),
    ...(Object.keys(plan.power.circuits).length
      ? []
      : [{ what: 'say what hangs on which battery, under power', target: 'circuit-add' }]),
  ];
};

/** Every transducer is named, its tag read and its type selected; every screen has its depth, its water, its north and its sides. */
export const sourcesToDo = (plan: Plan): ToDo[] => {
  const transducers = inOrder(plan.transducers);
  const fitted = fittedStations(plan);
  return [
    ...(transducers.length ? [] : [{ what: 'choose a transducer, on Beams', target: 'tags-title' }]),
    ...(fitted.length ? [] : [{ what: 'fit a display to a station, on Pages', target: 'feeds-title' }]),
    ...transducers.flatMap(([id, { name }]): ToDo[] => {
      const source = plan.sources[id];
      return [
        ...(source?.tag ? [] : [{ what: `read the tag of ${name}`, target: `source-tag-${id}` }]),
        ...(source?.selected ? [] : [{ what: `select the type of ${name}`, target: `source-selected-${id}` }]),
        ...(source?.name ? [] : [{ what: `name ${name}`, target: `source-name-${id}` }]),
      ];
    }),
    ...fitted.flatMap(({ id, station: { name } }): ToDo[] => {
      const unit = plan.units[id];
      return [
        ...(plan.feeds[id]?.depth
          ? []
          : [{ what: `say where ${name} takes its depth from`, target: `feed-${id}-depth` }]),
        ...(unit?.waterType ? [] : [{ what: `look at the water ${name} is set to`, target: `unit-water-${id}` }]),
        ...(unit?.north ? [] : [{ what: `look at the north ${name} counts from`, target: `unit-north-${id}` }]),
        ...(unit && unit.sidesRight !== 'not looked at'
          ? []
          : [{ what: `look whether ${name} draws port on port`, target: `unit-sides-${id}` }]),
      ];
    }),
  ];
};
