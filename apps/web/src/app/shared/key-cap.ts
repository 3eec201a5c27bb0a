import type { Screen } from '@grey-keel/model';

const roman = ['', 'I', 'II', 'III', 'IV', 'V', 'VI', 'VII', 'VIII', 'IX', 'X', 'XI', 'XII'];

/** What a programmable key is called, in its list and on the drawing of its display; keys are counted from 1. */
export const keyCap = (number: number): string => roman[number] ?? String(number);

/** How many programmable keys a display has, and where, as far as it is known. */
export const keysInWords = ({ keys, keysAt }: Pick<Screen, 'keys' | 'keysAt'>): string =>
  keys === 0 ? 'no programmable keys' : `${keys} programmable keys${keysAt ? ` ${keysAt} the glass` : ''}`;
