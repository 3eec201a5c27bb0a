import { fedQuantities, type Plan, type Stage, type Target, type View, type Way } from '@grey-keel/model';
import { alarmKinds, alarmsHeld, heldBy } from '../plan/held-by.ts';
import { pageFor, shownWays } from '../plan/pages-at.ts';
import { inOrder } from '../plan/working-water.ts';
import { act, at } from '../plan/target.ts';

/** One setting, and between which stations a change of it travels. */
export interface TravellingSetting {
  readonly setting: string;
  /** Stations whose displays pass it on to each other; empty where fewer than two do. */
  readonly shared: readonly string[];
  /** Stations whose displays keep it to themselves. */
  readonly own: readonly string[];
  /** Stations of whose displays it is not known. */
  readonly unknown: readonly string[];
}

/**
 * What travels over the network and what stays, by the makes of the displays aboard: a setting travels between two that
 * both pass it on.
 */
export const whatTravels = (plan: Plan): TravellingSetting[] => {
  const displays = inOrder(plan.displays);
  const settings = [...new Set(displays.flatMap(([, { travels }]) => travels ?? []))].sort();
  return settings.map((setting) => {
    const passing = displays.filter(([, { travels }]) => travels?.includes(setting)).map(([id]) => id);
    const shared = passing.length > 1 ? passing : [];
    return {
      setting,
      shared,
      own: displays.filter(([id, { travels }]) => travels && !shared.includes(id)).map(([id]) => id),
      unknown: displays.filter(([, { travels }]) => !travels).map(([id]) => id),
    };
  });
};

/** What changes when a setting is turned at a station: that station, and those it travels to. */
export const changesWith = (plan: Plan, setting: string, stationId: string): readonly string[] => {
  const shared = whatTravels(plan).find((one) => one.setting === setting)?.shared ?? [];
  return shared.includes(stationId) ? shared : [stationId];
};

/** Something wanted differently at two stations between which it travels: the one set last wins on both. */
export interface TravelConflict {
  readonly setting: string;
  readonly what: string;
  readonly stationIds: readonly [string, string];
  /** Where it is set at the second of them. */
  readonly stage: Stage;
  readonly target: Target;
}

/** Names of the settings that carry the choice of sources, the water, the alarms, and the range of the sonar views. */
const carries = { sources: 'sources', water: 'water kind', alarms: 'alarms', range: 'range' } as const;

type Wanted = Pick<TravelConflict, 'what' | 'stage' | 'target'>;

const feedConflicts = (plan: Plan, a: string, b: string): Wanted[] =>
  fedQuantities.flatMap((quantity) => {
    const [one, other] = [plan.feeds[a]?.[quantity], plan.feeds[b]?.[quantity]];
    return one && other && one.sourceId !== other.sourceId
      ? [{ what: `source of ${quantity}`, stage: 'sources', target: at('feeds', b, quantity) }]
      : [];
  });

const waterConflicts = (plan: Plan, a: string, b: string): Wanted[] => {
  const typeOf = (id: string): string | null => {
    const sound = heldBy(plan, id, 'sound');
    return sound && 'waterType' in sound ? sound.waterType : null;
  };
  const [one, other] = [typeOf(a), typeOf(b)];
  return one && other && one !== other ? [{ what: 'water', stage: 'sources', target: at('held', b, 'sound', b) }] : [];
};

const alarms = [
  { key: 'shallowM', what: 'shallow alarm' },
  { key: 'lowVoltageV', what: 'low voltage alarm' },
  { key: 'engineTemperatureC', what: 'engine temperature alarm' },
] as const;

const alarmConflicts = (plan: Plan, a: string, b: string): Wanted[] =>
  alarms.flatMap(({ key, what }) => {
    const [one, other] = [a, b].map((id) => alarmsHeld(plan, id)[key] ?? null);
    return one !== null && other !== null && one !== other
      ? [{ what, stage: 'sources', target: at('held', b, alarmKinds[key], b) }]
      : [];
  });

/** The ranges each sonar view is set to on the page a station shows in a way of working, in order; null is automatic. */
const rangesAt = (plan: Plan, stationId: string, way: Way): ReadonlyMap<View, string> => {
  const panes = (pageFor(plan, stationId, way)?.page.layout.bands ?? []).flatMap((band) => band.panes);
  const views = new Set(panes.map(({ view }) => view).filter((view) => view !== 'chart'));
  return new Map(
    [...views].map((view) => [
      view,
      panes
        .filter((pane) => pane.view === view)
        .map(({ rangeM }) => String(rangeM))
        .sort()
        .join(' '),
    ]),
  );
};

const rangeConflicts = (plan: Plan, a: string, b: string): Wanted[] =>
  shownWays(plan).flatMap((way) => {
    const [here, there] = [rangesAt(plan, a, way), rangesAt(plan, b, way)];
    return [...here].flatMap(([view, ranges]): Wanted[] =>
      there.has(view) && there.get(view) !== ranges
        ? [{ what: `range of the ${view} while ${way}`, stage: 'pages', target: act('choose a page', b, way) }]
        : [],
    );
  });

const conflictsOf: Readonly<Record<keyof typeof carries, (plan: Plan, a: string, b: string) => Wanted[]>> = {
  sources: feedConflicts,
  water: waterConflicts,
  alarms: alarmConflicts,
  range: rangeConflicts,
};

export const travelConflicts = (plan: Plan): TravelConflict[] => {
  const travelling = whatTravels(plan);
  return Object.entries(carries).flatMap(([key, setting]) => {
    const shared = travelling.find((one) => one.setting === setting)?.shared ?? [];
    return shared.flatMap((a, i) =>
      shared.slice(i + 1).flatMap((b) =>
        conflictsOf[key as keyof typeof carries](plan, a, b).map((wanted): TravelConflict => ({
          setting,
          stationIds: [a, b],
          ...wanted,
        })),
      ),
    );
  });
};
