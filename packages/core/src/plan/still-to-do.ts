import type { Plan, Stage } from '@grey-keel/model';
import { fittedStations } from '../findings/rules/pages.ts';
import { circuitOf } from '../power/circuit-of.ts';
import { inOrder } from './working-water.ts';

/** Something a stage still waits for, and the id of the element where it is done. */
export interface ToDo {
  readonly what: string;
  readonly target: string;
  /** Where it is done on another stage than the one that waits for it. */
  readonly stage?: Stage;
}

const chooseTransducer: ToDo = { what: 'choose a transducer, on Beams', stage: 'beams', target: 'catalogue' };
const fitDisplay = (plan: Plan): ToDo => ({
  what: 'fit a display to a station, on Pages',
  stage: 'pages',
  target: `display-${inOrder(plan.stations)[0]?.[0] ?? ''}`,
});

/** Every screen has its place, and a circuit to hang on. */
export const fitToDo = (plan: Plan): ToDo[] => {
  const fitted = fittedStations(plan);
  return [
    ...(fitted.length ? [] : [fitDisplay(plan)]),
    ...fitted.flatMap(({ id, station }) =>
      station.place
        ? []
        : [{ what: `put the screen of ${station.name} where it stands`, target: `thing-station-${id}` }],
    ),
    ...fitted.flatMap(({ id, station: { name } }) =>
      circuitOf(plan, id) === null
        ? [{ what: `say which circuit the screen of ${name} hangs on, under power`, target: 'circuit-add' }]
        : [],
    ),
  ];
};

/** Every transducer is named, its tag read and its type selected; every screen has its depth, its water, its north and its sides. */
export const sourcesToDo = (plan: Plan): ToDo[] => {
  const transducers = inOrder(plan.transducers);
  const fitted = fittedStations(plan);
  return [
    ...(transducers.length ? [] : [chooseTransducer]),
    ...(fitted.length ? [] : [fitDisplay(plan)]),
    ...(fitted.length && !fitted.some(({ id }) => plan.units[id]?.alarms?.shallowM != null)
      ? [{ what: 'set a shallow alarm at one station at least', target: `alarm-shallow-${fitted[0]?.id ?? ''}` }]
      : []),
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
        ...(unit?.waterType || unit?.ownSoundSpeedMps != null
          ? []
          : [{ what: `look at the water ${name} is set to`, target: `unit-water-${id}` }]),
        ...(unit?.depthUnit ? [] : [{ what: `say which unit ${name} shows depth in`, target: `unit-depth-${id}` }]),
        ...(unit?.north ? [] : [{ what: `look at the north ${name} counts from`, target: `unit-north-${id}` }]),
        ...(unit && unit.sidesRight !== 'not looked at'
          ? []
          : [{ what: `look whether ${name} draws port on port`, target: `unit-sides-${id}` }]),
      ];
    }),
  ];
};
