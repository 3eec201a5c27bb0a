import { Pipe, type PipeTransform } from '@angular/core';
import { formatFigure, formatSentence, type FormatOptions, type UnitChoice } from '@grey-keel/core/units';
import type { Quantity, Sentence } from '@grey-keel/model';

/** A number with its unit, in the reader's units. */
@Pipe({ name: 'figure' })
export class FigurePipe implements PipeTransform {
  transform(
    value: number | null | undefined,
    quantity: Quantity,
    units: UnitChoice,
    options: FormatOptions = {},
  ): string {
    return value === null || value === undefined ? '' : formatFigure({ value, quantity }, units, options);
  }
}

@Pipe({ name: 'sentence' })
export class SentencePipe implements PipeTransform {
  transform(sentence: Sentence, units: UnitChoice): string {
    return formatSentence(sentence, units);
  }
}
