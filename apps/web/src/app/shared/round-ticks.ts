import { toDisplay, toSi, unitFor, type UnitChoice } from '@grey-keel/core';
import { scaleLinear } from 'd3-scale';

export interface RoundTick {
  /** Where it stands, in metres. */
  readonly atM: number;
  /** What is written there without its unit, and with it. */
  readonly figure: string;
  readonly words: string;
}

/** About so many marks of a scale from 0 to `endM`, round in the unit that is shown, with the decimals that they need. */
export const roundTicks = (
  quantity: 'depth' | 'length',
  endM: number,
  count: number,
  units: UnitChoice,
): RoundTick[] => {
  const shown = unitFor(quantity, units);
  const scale = scaleLinear([0, toDisplay(endM, shown)], [0, 1]);
  const write = scale.tickFormat(count, 'f');
  return scale.ticks(count).map((value) => {
    const figure = write(value);
    return { atM: toSi(value, shown), figure, words: `${figure} ${shown.symbol}` };
  });
};
