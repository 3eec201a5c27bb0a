import { displayOf } from '@grey-keel/core';
import type {
  Circuit,
  FittedDisplay,
  Layout,
  Load,
  PageNumber,
  Readout,
  Source,
  Transducer,
  UnitSettings,
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
  selected: tag,
  temperature: 'none',
  appearsAfterS: 40,
  ...changes,
});

export const unit = (
  waterType: UnitSettings['waterType'],
  done: UnitSettings['done'],
  alarms: UnitSettings['alarms'] = {},
): UnitSettings => ({
  waterType,
  antennaOffsetSet: true,
  depthUnit: 'm',
  depthStep: 0.1,
  north: 'true',
  sidesRight: 'right',
  done,
  alarms,
});
