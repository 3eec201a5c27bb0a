import type { AbstractControl, ValidationErrors, ValidatorFn } from '@angular/forms';
import type * as z from 'zod';

/** The schema that everything else is judged by, as the validator of a form or of one of its controls. */
export const zodValidator =
  (schema: z.ZodType): ValidatorFn =>
  ({ value }): ValidationErrors | null => {
    const parsed = schema.safeParse(value);
    return parsed.success ? null : { zod: parsed.error.issues[0]?.message ?? 'That cannot be saved.' };
  };

/** What the schema says first of what is wrong, or nothing. */
export const zodProblem = ({ errors }: AbstractControl): string | null => {
  const words: unknown = errors?.['zod'];
  return typeof words === 'string' ? words : null;
};
