import type { Plan, SettingValue } from '@grey-keel/model';
import { heldBy } from '../plan/held-by.ts';
import { depthUnits } from '../units/display-units.ts';

type DepthUnit = SettingValue<'depth-display'>['unit'];

/** How a display writes depths: its unit, and the smallest step it shows and is set in. */
export interface DepthDisplay {
  readonly unit: DepthUnit;
  readonly symbol: string;
  readonly metresPerUnit: number;
  /** In its own unit. */
  readonly step: number;
  /** False where nobody looked: metres in tenths are taken. */
  readonly said: boolean;
}

export const depthDisplayOf = (plan: Plan, stationId: string): DepthDisplay => {
  const held = heldBy(plan, stationId, 'depth-display');
  const unit = held?.unit ?? 'm';
  const { symbol, perSi } = depthUnits[unit];
  return {
    unit,
    symbol,
    metresPerUnit: 1 / perSi,
    step: held?.step ?? 0.1,
    said: held !== null,
  };
};

/** The next depth at or over one that a display can be set to, m. */
export const upToStepM = (depthM: number, { metresPerUnit, step }: DepthDisplay): number =>
  Math.ceil(Math.round((depthM / metresPerUnit / step) * 1e6) / 1e6) * step * metresPerUnit;

/** A depth as that display writes it: with its own unit, no coarser than its step. */
export const asShown = (depthM: number, { metresPerUnit, step, symbol }: DepthDisplay): string => {
  const value = depthM / metresPerUnit;
  const steps = value / step;
  const whole = Math.abs(steps - Math.round(steps)) < 1e-6;
  const decimals = whole ? Math.max(0, Math.min(2, (step.toString().split('.')[1] ?? '').length)) : 2;
  return `${value.toFixed(decimals)}\u00a0${symbol}`;
};
