import { workingStepSchema } from '@grey-keel/model';
import * as z from 'zod';
import { fieldErrors, type FieldError } from './field-errors.ts';

/** What every answer carries besides its own keys. */
export const answerFrameSchema = z.strictObject({
  /** Defaults the answer was computed with because the input left them out. */
  assumed: z.record(z.string(), z.unknown()),
  /** Reasons to trust the answer less. */
  flags: z.array(z.string()),
  working: z.array(workingStepSchema),
});
export type AnswerFrame = z.output<typeof answerFrameSchema>;

export type Outcome<T> = T & Pick<AnswerFrame, 'working' | 'flags'>;
export type Answer<T> = T & AnswerFrame;

export interface Calculation<I extends z.ZodType = z.ZodType, O extends z.ZodObject = z.ZodObject> {
  readonly name: string;
  readonly purpose: string;
  /** Goes up whenever the same input would give another answer; part of every fingerprint. */
  readonly version: number;
  readonly input: I;
  readonly output: O;
  readonly run: (input: z.output<I>) => Outcome<z.output<O>>;
}

export const defineCalculation = <I extends z.ZodType, O extends z.ZodObject>(
  calculation: Calculation<I, O>,
): Calculation<I, O> => calculation;

/** Thrown inside a calculation for values that are each in range but do not go together. */
export class OutOfRange extends Error {
  override readonly name = 'OutOfRange';
  constructor(
    readonly field: string,
    message: string,
    readonly range: string,
  ) {
    super(message);
  }
}

export type Calculated<T> = { ok: true; answer: Answer<T> } | { ok: false; errors: FieldError[] };

const assumedKeys = (raw: unknown, parsed: unknown): Record<string, unknown> => {
  if (typeof raw !== 'object' || raw === null || typeof parsed !== 'object' || parsed === null) return {};
  const given = new Set(
    Object.entries(raw)
      .filter(([, value]) => value !== undefined)
      .map(([key]) => key),
  );
  return Object.fromEntries(
    Object.entries(parsed).filter(([key, value]) => !given.has(key) && value !== undefined && value !== null),
  );
};

/** Checks the input against the calculation's schema, runs it, and says which defaults were used. Never throws for bad input. */
export const calculate = <I extends z.ZodType, O extends z.ZodObject>(
  calculation: Calculation<I, O>,
  raw: unknown,
): Calculated<z.output<O>> => {
  const parsed = calculation.input.safeParse(raw);
  if (!parsed.success) return { ok: false, errors: fieldErrors(parsed.error, calculation.input) };
  try {
    const outcome = calculation.run(parsed.data);
    return { ok: true, answer: { ...outcome, assumed: assumedKeys(raw, parsed.data) } };
  } catch (error) {
    if (error instanceof OutOfRange)
      return { ok: false, errors: [{ field: error.field, message: error.message, range: error.range }] };
    throw error;
  }
};

/** For callers inside the program, whose input is known to be in range: the answer, or the error as an exception. */
export const answerOf = <I extends z.ZodType, O extends z.ZodObject>(
  calculation: Calculation<I, O>,
  input: z.input<I>,
): Answer<z.output<O>> => {
  const result = calculate(calculation, input);
  if (result.ok) return result.answer;
  const [first] = result.errors;
  throw new OutOfRange(first?.field ?? '', first?.message ?? 'Bad input.', first?.range ?? '');
};
