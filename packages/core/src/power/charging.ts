import type { Battery } from '@grey-keel/model';
import { cellKindOf, cellsOf, type Pack } from './battery-curve.ts';

/** The most one cell bears while it is charged, V; round figures of the kinds, the maker's sheet comes first. */
const cellBearsV = { 'lead-acid': 2.67, flat: 3.65, sloping: 4.2 } as const;
/** What one cell is usually charged at. */
const cellChargedV = { 'lead-acid': 2.4, flat: 3.6, sloping: 4.2 } as const;
/** Over so much lead-acid gases; equalising and cold reach it, and no day should. */
const gassingV = 2.5;

/** What a pack bears while it is charged, and how that is known. */
export interface ChargingLimit {
  readonly mostV: number;
  /** From here on it is worth a look; the same as the most where there is nothing between. */
  readonly lookFromV: number;
  readonly by: 'sheet' | 'cell count' | 'nominal voltage';
  readonly cells: number;
  readonly cellMostV: number;
}

/** The highest charging voltage of a pack: by its sheet, else by its cells, counted or guessed from the nominal voltage. */
export const chargingLimit = (battery: Pack & Pick<Battery, 'highestChargingV' | 'cells'>): ChargingLimit => {
  const kind = cellKindOf(battery);
  const cells = cellsOf(battery);
  const cellMostV = cellBearsV[kind];
  if (battery.highestChargingV != null)
    return { mostV: battery.highestChargingV, lookFromV: battery.highestChargingV, by: 'sheet', cells, cellMostV };
  const mostV = cells * cellMostV;
  return {
    mostV,
    lookFromV: kind === 'lead-acid' ? cells * gassingV : mostV,
    by: battery.cells != null ? 'cell count' : 'nominal voltage',
    cells,
    cellMostV,
  };
};

/** What such a pack is usually charged at, V: where a charger starts that is set for it. */
export const usualChargingV = (battery: Pack & Pick<Battery, 'highestChargingV'>): number => {
  const usualV = Math.round(100 * cellsOf(battery) * cellChargedV[cellKindOf(battery)]) / 100;
  return battery.highestChargingV == null ? usualV : Math.min(usualV, battery.highestChargingV);
};
