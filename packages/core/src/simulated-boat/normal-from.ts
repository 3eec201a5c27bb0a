import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import type { RandomGenerator } from 'pure-rand/types/RandomGenerator';

/** Normal numbers from a generator, one after the other. Source: Box and Muller 1958. */
export const normalFrom = (random: RandomGenerator) => (): number =>
  Math.sqrt(-2 * Math.log(1 - uniformFloat64(random))) * Math.cos(2 * Math.PI * uniformFloat64(random));
