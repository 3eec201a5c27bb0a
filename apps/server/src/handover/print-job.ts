import type { CatalogueEntry, Plan } from '@grey-keel/model';
import type { PrintOptions } from './sheet.ts';

export const printedSheets = ['card', 'report', 'shopping', 'wiring', 'aboard'] as const;
export type PrintedSheet = (typeof printedSheets)[number];

export interface PrintJob {
  readonly sheet: PrintedSheet;
  readonly plan: Plan;
  /** What the shopping sheet compares with; empty for the others. */
  readonly catalogue: readonly CatalogueEntry[];
  readonly options: PrintOptions;
}
