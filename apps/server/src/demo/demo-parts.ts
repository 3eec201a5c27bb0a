import { alarmKinds, type AlarmsHeld, displayOf } from '@grey-keel/core';
import type {
  Circuit,
  FittedDisplay,
  Held,
  Layout,
  Load,
  PageNumber,
  Readout,
  SettingKind,
  SettingValue,
  Source,
  Transducer,
  View,
  WaySet,
} from '@grey-keel/model';
import { shippedCatalogue } from '../catalogue/shipped.ts';

type Place = Pick<Transducer, 'mounting' | 'forwardM' | 'starboardM' | 'aboveKeelM' | 'workingBeam'>;

export const fromCatalogue = (entryId: string, place: Place, transmitsIn: WaySet): Transducer => {
  const entry = shippedCatalogue.find(({ id }) => id === entryId);
  if (entry?.item.type !== 'transducer') throw new Error(`The catalogue ships no transducer "${entryId}".`);
  return { ...entry.item.element, catalogue: { entryId, version: 1 }, ...place, transmitsIn };
};

export const displayFrom = (entryId: string, changes: Partial<FittedDisplay> = {}): FittedDisplay => {
  const entry = shippedCatalogue.find(({ id }) => id === entryId);
  const display = entry && displayOf({ ...entry, version: 1 });
  if (!display) throw new Error(`The catalogue ships no display "${entryId}".`);
  return { ...display, ...changes };
};

/** Bands of views with their weights: `[[2, 'side-scan'], [1, 'chart', 'sounder']]`. */
export const layoutOf = (
  bandsLie: Layout['bandsLie'],
  ...bands: readonly (readonly [share: number, ...views: View[]])[]
): Layout => ({
  bandsLie,
  bands: bands.map(([share, ...views]) => ({
    share: share / 4,
    panes: views.map((view) => ({ share: 0.5, view, rangeM: null })),
  })),
});

export const number = (shows: Readout, heightPx: number, x: number, y: number): PageNumber => ({
  shows,
  heightPx,
  x,
  y,
});

export const load = (
  name: string,
  deviceId: string | null,
  currentA: number,
  runsIn: WaySet,
  lowestV: number,
  highestV: number,
): Load => ({ name, deviceId, currentA, runsIn, lowestV, highestV });

export const circuit = (
  changes: Pick<Circuit, 'name' | 'batteryId' | 'oneWayLengthM' | 'gauge' | 'fuseA' | 'loads'>,
): Circuit => ({
  conductor: 'stranded-tinned',
  temperatureC: 30,
  fuseFromPostM: 0.15,
  ...changes,
});

export const source = (name: string, tag: string, changes: Partial<Source> = {}): Source => ({
  name,
  tag,
  temperature: 'none',
  appearsAfterS: 40,
  ...changes,
});

const found = (value: unknown) => ({ asFound: { value, at: null, by: null }, asLeft: null });
const left = (value: unknown) => ({ asFound: null, asLeft: { value, at: null, by: null, seenAgainAt: null } });

interface Display {
  readonly water: 'fresh' | 'brackish' | 'salt';
  /** Whose picture has port on port, as far as anybody looked. */
  readonly sides?: readonly string[];
  readonly alarms?: AlarmsHeld;
  /** What has been seen to, with how it was left. */
  readonly seenTo?: { readonly [K in SettingKind]?: SettingValue<K> };
  /** The sources that are set up in it, each by the type on its tag and its name. */
  readonly sources: Readonly<Record<string, Source>>;
}

/** A device's sources, set up as their tags have it. */
export const setUp = (sources: Readonly<Record<string, Source>>): Held[string] => {
  const each = (of: (source: Source) => string) =>
    Object.fromEntries(Object.entries(sources).map(([id, one]) => [id, left(of(one))]));
  return { type: each(({ tag }) => tag), name: each(({ name }) => name) } as Held[string];
};

/** What a station's display was found set to, and what has been keyed into it since. */
export const display = (id: string, { water, sides = [], alarms = {}, seenTo = {}, sources }: Display): Held[string] =>
  ({
    sound: { [id]: found({ waterType: water }) },
    'depth-display': { [id]: found({ unit: 'm', step: 0.1 }) },
    north: { [id]: found('true') },
    'antenna-offset': { [id]: left(null) },
    ...(sides.length ? { sides: Object.fromEntries(sides.map((of) => [of, found('right')])) } : {}),
    ...Object.fromEntries(
      Object.entries(alarms).map(([key, value]) => [alarmKinds[key as keyof AlarmsHeld], { [id]: left(value) }]),
    ),
    ...Object.fromEntries(Object.entries(seenTo).map(([kind, value]) => [kind, { [id]: left(value) }])),
    ...setUp(sources),
  }) as Held[string];
