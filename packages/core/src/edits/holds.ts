import { pruneEmpty } from './by-leaf.ts';
import { calibrationKinds, type Path, type Plan } from '@grey-keel/model';

/** Where a record of things by id stands in the plan, with dots. */
type Place = string;

/** One thing that hangs on another. */
interface Hanging {
  readonly path: Path;
  /** What it hangs on. */
  readonly id: string;
}

/** Which things hang on which others, and what becomes of them once that is gone. */
interface Hold {
  /** Where what holds them may stand. */
  readonly on: readonly Place[];
  readonly hanging: (plan: Plan) => readonly Hanging[];
  readonly letGo: (plan: Plan, path: Path) => void;
}

type Entries = Record<string, object>;

const at = (plan: Plan, path: Path): Entries =>
  path.reduce<unknown>((part, key) => (part as Record<string, unknown>)[key], plan) as Entries;
const recordAt = (plan: Plan, place: Place): Entries => at(plan, place.split('.'));
const has = (plan: Plan, place: Place, id: string): boolean => Object.hasOwn(recordAt(plan, place), id);
const remove = (plan: Plan, path: Path): void => {
  delete at(plan, path.slice(0, -1))[String(path.at(-1))];
};

/** Entries that carry the id of what they are of. */
const each = (place: Place, ...on: Place[]): Hold => ({
  on,
  hanging: (plan) => Object.keys(recordAt(plan, place)).map((id) => ({ path: [...place.split('.'), id], id })),
  letGo: remove,
});

/** What something is keyed into. */
const devices: readonly Place[] = ['displays', 'transducers', 'equipment'];

/** Lines of what devices hold: each hangs on its device, and on what it is of. */
const heldLines = (idOf: (line: readonly [deviceId: string, kind: string, ofId: string]) => string): Hold => ({
  on: devices,
  hanging: (plan) =>
    Object.entries(plan.held).flatMap(([deviceId, kinds]) =>
      Object.entries(kinds as Readonly<Record<string, object>>).flatMap(([kind, lines]) =>
        Object.keys(lines).map((ofId) => ({
          path: ['held', deviceId, kind, ofId],
          id: idOf([deviceId, kind, ofId]),
        })),
      ),
    ),
  letGo: (plan, path) => {
    remove(plan, path);
    pruneEmpty(plan, path.slice(0, 2));
  },
});

/**
 * What hangs on what, once for all: what would dangle and what a deletion takes along follow from it. A feed, a cable or a
 * key that names something gone stays: it was somebody's choice, and a finding says that it leads nowhere.
 */
const holds: readonly Hold[] = [
  each('displays', 'stations'),
  each('keys', 'displays'),
  each('feeds', 'displays'),
  each('timeToActS', 'displays'),
  each('resets', ...devices),
  each('chosen.devices', ...devices),
  heldLines(([deviceId]) => deviceId),
  heldLines(([, , ofId]) => ofId),
  each('network.devices', 'displays', 'equipment'),
  each('network.links', 'transducers'),
  each('depthOffsets', 'transducers'),
  ...calibrationKinds.map((kind) =>
    each(`calibrations.${kind}`, 'transducers', 'equipment', 'stations', 'power.batteries'),
  ),
  each('sources', 'transducers', 'equipment'),
  {
    on: ['displays'],
    hanging: (plan) =>
      Object.entries(plan.pages).map(([id, { stationId }]) => ({ path: ['pages', id], id: stationId })),
    letGo: remove,
  },
  {
    on: ['power.batteries'],
    hanging: (plan) =>
      Object.entries(plan.power.circuits).flatMap(([id, { batteryId }]) =>
        batteryId === null ? [] : [{ path: ['power', 'circuits', id, 'batteryId'], id: batteryId }],
      ),
    letGo: (plan, [, , circuitId]) => {
      const circuit = plan.power.circuits[String(circuitId)];
      if (circuit) circuit.batteryId = null;
    },
  },
  {
    on: ['waters'],
    hanging: ({ working: { waterId } }) => (waterId === null ? [] : [{ path: ['working', 'waterId'], id: waterId }]),
    letGo: (plan) => {
      plan.working.waterId = Object.keys(plan.waters).sort()[0] ?? null;
    },
  },
];

const dangles = (plan: Plan, { on }: Hold, { id }: Hanging): boolean => !on.some((place) => has(plan, place, id));

/** What hangs on something that is not there: what belongs to a display that is gone, a transducer that is gone. */
export const dangling = (plan: Plan): Path[] =>
  holds.flatMap((hold) =>
    hold
      .hanging(plan)
      .filter((one) => dangles(plan, hold, one))
      .map(({ path }) => path),
  );

/** Lets go in a draft of all that hung on one thing that has been taken away, and of what hung on that. */
export const takeAlong = (draft: Plan, place: Place, goneId: string): void => {
  for (const hold of holds.filter(({ on }) => on.includes(place)))
    for (const one of hold.hanging(draft))
      if (one.id === goneId && dangles(draft, hold, one)) {
        hold.letGo(draft, one.path);
        takeAlong(draft, one.path.slice(0, -1).join('.'), String(one.path.at(-1)));
      }
};
