import { fedQuantities, type Plan } from '@grey-keel/model';
import { inOrder } from '../plan/working-water.ts';

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

/** Something set differently at two stations between which it travels: the one set last wins on both. */
export interface TravelClash {
  readonly setting: string;
  readonly what: string;
  readonly stationIds: readonly [string, string];
}

/** The name of the setting that carries the choice of sources, and of the one that carries the water. */
const sourcesSetting = 'sources';
const waterSetting = 'water kind';

export const travelClashes = (plan: Plan): TravelClash[] => {
  const travelling = whatTravels(plan);
  const pairs = (setting: string): (readonly [string, string])[] => {
    const shared = travelling.find((one) => one.setting === setting)?.shared ?? [];
    return shared.flatMap((a, i) => shared.slice(i + 1).map((b) => [a, b] as const));
  };
  return [
    ...pairs(sourcesSetting).flatMap(([a, b]) =>
      fedQuantities.flatMap((quantity): TravelClash[] => {
        const [one, other] = [plan.feeds[a]?.[quantity], plan.feeds[b]?.[quantity]];
        if (!one || !other || one.sourceId === other.sourceId) return [];
        return [{ setting: sourcesSetting, what: `source of ${quantity}`, stationIds: [a, b] }];
      }),
    ),
    ...pairs(waterSetting).flatMap(([a, b]): TravelClash[] => {
      const [one, other] = [plan.units[a]?.waterType, plan.units[b]?.waterType];
      if (!one || !other || one === other) return [];
      return [{ setting: waterSetting, what: 'water', stationIds: [a, b] }];
    }),
  ];
};
