import { bottomKinds, type TargetSpecies } from '@grey-keel/model';

/** From the one that sends back least to the one that sends back most. */
export const bottomTypes = bottomKinds;
export type BottomType = (typeof bottomTypes)[number];

/** Lambert's constant 10 log µ, dB a square metre. Source: rounded from APL-UW 1994 (TR 9407) for 30 to 200 kHz. */
const lambertDb: Record<BottomType, number> = { mud: -33, sand: -27, gravel: -21, rock: -15 };

/**
 * What a square metre of bottom sends back, dB, at a grazing angle: Lambert's law, 90° straight below. Without the
 * mirror-like part that a smooth bottom adds straight below, so a reach of the bottom is the careful one.
 */
export const bottomBackscatterDb = (type: BottomType, grazingDeg: number): number =>
  lambertDb[type] + 20 * Math.log10(Math.sin((grazingDeg * Math.PI) / 180));

type Ground = TargetSpecies['over'][number];

/** As sound meets it; open water says nothing of the bottom under it. */
const bottomUnder: Readonly<Record<Ground, BottomType | null>> = {
  'open water': null,
  mud: 'mud',
  sand: 'sand',
  gravel: 'gravel',
  rock: 'rock',
  weed: 'mud',
  ledges: 'rock',
  wreck: 'rock',
};

/** Where nobody says what lies below. */
const usualBottom: BottomType = 'sand';

/**
 * The softest and the hardest bottom among the grounds that target species stand over: the softest is the first to be
 * lost, the hardest the first to hide a fish, to be drawn again and to carry one unit's sound to another.
 */
export const bottomsOf = (
  grounds: readonly Ground[],
): { readonly softest: BottomType; readonly hardest: BottomType } => {
  const there = new Set(grounds.map((ground) => bottomUnder[ground]));
  const bySound = bottomTypes.filter((type) => there.has(type));
  return { softest: bySound[0] ?? usualBottom, hardest: bySound.at(-1) ?? usualBottom };
};
