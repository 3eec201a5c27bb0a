/** Units and how numbers are written: an entry of its own, so that a first view need not carry the acoustics. */
export {
  depthUnits,
  formatFigure,
  formatNumber,
  lengthUnits,
  speedUnits,
  temperatureUnits,
  toDisplay,
  toSi,
  unitFor,
  unitChoiceSchema,
  unitSets,
  type DisplayUnit,
  type FormatOptions,
  type UnitChoice,
} from './display-units.ts';
export { parseFigure, type ParsedFigure } from './parse-figure.ts';
export { formatSentence } from './format-sentence.ts';
export { shortName } from './short-name.ts';
