import type { DepthReference, Sentence, WorkingStep } from '@grey-keel/model';
import type { Aground } from './aground.ts';
import { given, calculated } from '../calculation/working-step.ts';

interface Spoken {
  /** The offset to be entered. */
  readonly offsetM: number;
  /** The offset in the display until now. */
  readonly offsetSetM: number;
  readonly reference: DepthReference;
}

const fromWhere: Record<DepthReference, string> = {
  waterline: 'depth from the surface',
  keel: 'depth below the keel',
};

/** What entering an offset does to the display, in words: the sign is never left to be guessed. */
export const signInWords = ({ offsetM, offsetSetM, reference }: Spoken): Sentence => {
  const change = offsetM - offsetSetM;
  if (Math.abs(change) < 0.005) return [`The display will show what it shows now: ${fromWhere[reference]}.`];
  return [
    'The display will then show ',
    { value: Math.abs(change), quantity: 'length' },
    ` ${change > 0 ? 'more' : 'less'} than now: ${fromWhere[reference]}.`,
  ];
};

/** How much more the display will show once an offset is entered, as the last step of its working. */
export const changeOnEntering = ({ offsetM, offsetSetM }: Pick<Spoken, 'offsetM' | 'offsetSetM'>): WorkingStep =>
  calculated(
    {
      says: 'What entering it changes on the display',
      symbol: 'change',
      value: offsetM - offsetSetM,
      unit: 'm',
      expression: 'offset - o',
      source: 'difference of the two offsets',
    },
    given('offset', offsetM, 'm', 'offset to enter'),
    given('o', offsetSetM, 'm', 'offset set in the display'),
  );

/** What the display shows when the first part of the boat touches, once the offset is in it. */
export const agroundInWords = (aground: Omit<Aground, 'working'> | null): Sentence => {
  if (!aground) return ['The draught is missing: what the display shows when the boat touches is unknown.'];
  const { lowest, reference, shownM, waterM, loading } = aground;
  const shown = { value: shownM, quantity: 'length' as const };
  const loaded: Sentence =
    loading.name === 'as calibrated'
      ? []
      : [` Loaded "${loading.name}" that is in `, { value: waterM, quantity: 'length' }, ' of water.'];
  if (lowest.id === null)
    return reference === 'keel'
      ? ['', shown, ' on the display is aground.', ...loaded]
      : ['The keel is ', shown, ' down, so ', shown, ' on the display is aground.', ...loaded];
  return [
    `${lowest.name} reaches `,
    { value: lowest.belowKeelM, quantity: 'length' },
    ' below the keel and strikes when the display shows ',
    shown,
    '.',
    ...loaded,
  ];
};
