import { type CalibrationKind, calibrationParts, type FieldWords, wordsOf } from '@grey-keel/model';
import type * as z from 'zod';

type Role = NonNullable<FieldWords['role']>;

/** The settings of a kind of calibration that have a role, by name, in their order. */
export const settingsFor = (kind: CalibrationKind, role: Role): readonly (readonly [string, FieldWords])[] =>
  Object.entries<z.ZodType>(calibrationParts[kind].settings.shape).flatMap(([name, schema]) => {
    const words = wordsOf(schema);
    return words?.role === role ? [[name, words] as const] : [];
  });
