import * as z from 'zod';

/** One number that goes into a step: its symbol as the expression writes it, and what it stands for. */
export const workingInputSchema = z.strictObject({
  symbol: z.string(),
  value: z.number(),
  unit: z.string(),
  meaning: z.string(),
});
export type WorkingInput = z.output<typeof workingInputSchema>;

/** One step of the way from input to answer. `expression` is arithmetic that can be evaluated again from `inputs`. */
export const workingStepSchema = z.strictObject({
  says: z.string(),
  symbol: z.string(),
  value: z.number(),
  unit: z.string(),
  /** null where the value comes from a search or an integral; `method` then says which. */
  expression: z.string().nullable(),
  method: z.string().nullable(),
  inputs: z.array(workingInputSchema),
  source: z.string(),
});
export type WorkingStep = z.output<typeof workingStepSchema>;
