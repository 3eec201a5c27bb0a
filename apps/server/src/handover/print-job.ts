import type { CatalogueEntry, Plan } from '@grey-keel/model';
import type { PrintOptions } from './sheet.ts';

export const printedSheets = ['card', 'report', 'shopping', 'wiring', 'aboard', 'photographs'] as const;
export type PrintedSheet = (typeof printedSheets)[number];

export interface PrintJob {
  readonly sheet: PrintedSheet;
  readonly plan: Plan;
  /** What the shopping sheet compares with; empty for the others. */
  readonly catalogue: readonly CatalogueEntry[];
  /** The pictures by id; empty where the sheet shows none. */
  readonly photographs: Readonly<Record<string, Uint8Array>>;
  readonly options: PrintOptions;
}
