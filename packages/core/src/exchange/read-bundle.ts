import { bundleSchema, bundleVersion, UnreadablePlan, upgradePlan, type Bundle } from '@grey-keel/model';
import * as z from 'zod';
import { fieldErrors, type FieldError } from '../calculation/field-errors.ts';

export type ReadBundle =
  | { readonly ok: true; readonly bundle: Bundle }
  | { readonly ok: false; readonly detail: string; readonly errors: readonly FieldError[] };

const headSchema = z.looseObject({ format: z.literal('grey-keel-bundle'), version: z.number().int().min(1) });

/** Reads what claims to be a bundle. Nothing of it is used unless all of it obeys the schema. */
export const readBundle = (raw: unknown): ReadBundle => {
  const head = headSchema.safeParse(raw);
  if (!head.success)
    return {
      ok: false,
      detail: 'This file is no Grey Keel bundle: its "format" should be "grey-keel-bundle", with a "version".',
      errors: fieldErrors(head.error, headSchema),
    };
  if (head.data.version > bundleVersion)
    return {
      ok: false,
      detail: `The bundle is of version ${head.data.version}; this program reads up to version ${bundleVersion}. Import it with a newer Grey Keel, or export it again from the older one.`,
      errors: [{ field: 'version', message: 'The bundle is newer than this program.', range: `1 to ${bundleVersion}` }],
    };
  try {
    const upgraded = { ...head.data, plan: upgradePlan(head.data['plan']) };
    const parsed = bundleSchema.safeParse(upgraded);
    if (parsed.success) return { ok: true, bundle: parsed.data };
    const errors = fieldErrors(parsed.error, bundleSchema);
    return {
      ok: false,
      detail: `The bundle was not imported: ${errors[0]?.field ?? ''}: ${errors[0]?.message ?? ''}`,
      errors,
    };
  } catch (error) {
    if (error instanceof UnreadablePlan)
      return {
        ok: false,
        detail: error.message,
        errors: [{ field: 'plan.version', message: error.message, range: '' }],
      };
    throw error;
  }
};
