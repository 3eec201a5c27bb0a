import type { Sentence } from '@grey-keel/model';
import { formatFigure, type UnitChoice } from './display-units.ts';

/** A sentence as plain text, its numbers in the reader's units. */
export const formatSentence = (sentence: Sentence, units: UnitChoice): string =>
  sentence.map((part) => (typeof part === 'string' ? part : formatFigure(part, units))).join('');
