import type { WorkingInput, WorkingStep } from '@grey-keel/model';

export const given = (symbol: string, value: number, unit: string, meaning: string): WorkingInput => ({
  symbol,
  value,
  unit,
  meaning,
});

/** A step whose value is arithmetic on its inputs, so that a reader can evaluate it again. */
export const calculated = (
  step: Pick<WorkingStep, 'says' | 'symbol' | 'value' | 'unit' | 'source'> & { readonly expression: string },
  ...inputs: WorkingInput[]
): WorkingStep => ({ ...step, method: null, inputs });
