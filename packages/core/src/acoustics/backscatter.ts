import type { TargetSpecies } from '@grey-keel/model';

export const bottomTypes = ['mud', 'sand', 'gravel', 'rock'] as const;
export type BottomType = (typeof bottomTypes)[number];

/** Lambert's constant 10 log µ, dB a square metre. Source: rounded from APL-UW 1994 (TR 9407) for 30 to 200 kHz. */
const lambertDb: Record<BottomType, number> = { mud: -33, sand: -27, gravel: -21, rock: -15 };

/**
 * What a square metre of bottom sends back, dB, at a grazing angle: Lambert's law, 90° straight below. Without the
 * mirror-like part that a smooth bottom adds straight below, so a reach of the bottom is the careful one.
 */
export const bottomBackscatterDb = (type: BottomType, grazingDeg: number): number =>
  lambertDb[type] + 20 * Math.log10(Math.sin((grazingDeg * Math.PI) / 180));

/** The bottom that what is sought stands over, as sound meets it. */
export const bottomOf = (over: TargetSpecies['over']): BottomType =>
  ({
    'open water': 'sand' as const,
    mud: 'mud' as const,
    sand: 'sand' as const,
    gravel: 'gravel' as const,
    rock: 'rock' as const,
    weed: 'mud' as const,
    ledges: 'rock' as const,
    wreck: 'rock' as const,
  })[over];
