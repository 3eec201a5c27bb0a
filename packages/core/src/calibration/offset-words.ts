import type { DepthReference, Sentence } from '@grey-keel/model';

interface Spoken {
  /** The offset to be entered. */
  readonly offsetM: number;
  /** The offset in the display until now. */
  readonly offsetSetM: number;
  readonly reference: DepthReference;
  readonly draughtM: number | null;
}

const fromWhere: Record<DepthReference, string> = {
  waterline: 'depth from the surface',
  keel: 'depth below the keel',
};

/** What entering an offset does to the display, in words: the sign is never left to be guessed. */
export const signInWords = ({ offsetM, offsetSetM, reference }: Omit<Spoken, 'draughtM'>): Sentence => {
  const change = offsetM - offsetSetM;
  if (Math.abs(change) < 0.005) return [`The display will show what it shows now: ${fromWhere[reference]}.`];
  return [
    'The display will then show ',
    { value: Math.abs(change), quantity: 'length' },
    ` ${change > 0 ? 'more' : 'less'} than now: ${fromWhere[reference]}.`,
  ];
};

/** What the display shows when the keel touches, once the offset is in it. */
export const agroundInWords = ({ reference, draughtM }: Pick<Spoken, 'reference' | 'draughtM'>): Sentence => {
  if (reference === 'keel') return ['', { value: 0, quantity: 'length' }, ' on the display is aground.'];
  if (draughtM === null) return ['The draught is missing: what the display shows when she touches is unknown.'];
  return [
    'The keel is ',
    { value: draughtM, quantity: 'length' },
    ' down, so ',
    { value: draughtM, quantity: 'length' },
    ' on the display is aground.',
  ];
};
