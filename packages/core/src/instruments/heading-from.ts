import type { Sentence } from '@grey-keel/model';
import type { Sample } from './steady-run.ts';

/** What instruments say of the heading: from true north, from magnetic north, and what lies between the two there. */
export interface HeadingSamples {
  readonly trueDeg: readonly Sample[];
  readonly magneticDeg: readonly Sample[];
  /** East positive. */
  readonly variationDeg: readonly Sample[];
}

/** The swing's: the compass itself, and the true headings that are no use for it. */
export interface CompassSamples {
  readonly compassDeg: readonly Sample[];
  readonly trueDeg: readonly Sample[];
}

/**
 * What a swing is recorded from: the compass itself, before any deviation is added. A true heading is refused and never
 * turned back: which variation and which corrections its sender put in is not known.
 */
export const compassFrom = ({
  compassDeg,
  trueDeg,
}: CompassSamples): { readonly samples: readonly Sample[] } | { readonly why: Sentence } =>
  compassDeg.length === 0 && trueDeg.length > 0
    ? {
        why: [
          'A true heading comes in and no compass: variation and corrections are already in it. Let the compass send HDG or HDM, or type what the compass shows.',
        ],
      }
    : { samples: compassDeg };

/**
 * The headings from the north that a display shows them from. One from the other north is turned by the variation that the
 * instruments tell with it; where they tell none, it is refused with what to do: taken as it is, the variation would be taken
 * for an error of the compass.
 */
export const headingFrom = (
  north: 'true' | 'magnetic',
  { trueDeg, magneticDeg, variationDeg }: HeadingSamples,
): { readonly samples: readonly Sample[] } | { readonly why: Sentence } => {
  const [wanted, other] = north === 'true' ? [trueDeg, magneticDeg] : [magneticDeg, trueDeg];
  if (wanted.length > 0 || other.length === 0) return { samples: wanted };
  const variation = variationDeg[variationDeg.length - 1];
  if (!variation)
    return {
      why: [
        north === 'true'
          ? 'The heading that comes in is from magnetic north, and no variation comes with it: below, say that it is shown from magnetic north, and give the variation.'
          : 'The heading that comes in is from true north: below, say that it is shown from true north.',
      ],
    };
  const byDeg = north === 'true' ? variation.value : -variation.value;
  return { samples: other.map(({ atS, value }) => ({ atS, value: (((value + byDeg) % 360) + 360) % 360 })) };
};
