import type { Edit, Plan } from '@grey-keel/model';
import type * as z from 'zod';

/** One kind of edit: what it has to say, and what it does. */
export interface EditRow<E extends Edit = Edit> {
  readonly schema: z.ZodType<E>;
  /** Makes the edit in a draft. Throws EditRefused for what is not there, or there already. */
  readonly apply: (draft: Plan, edit: E) => void;
}

type Applies<S extends Record<string, z.ZodType<Edit>>> = {
  readonly [K in keyof S]: (draft: Plan, edit: z.output<S[K]>) => void;
};
type Rows<S extends Record<string, z.ZodType<Edit>>> = { readonly [K in keyof S]: EditRow<z.output<S[K]>> };

/** The rows of a stage's edits: each schema with what applies it. A kind without one does not compile. */
export const editRows = <S extends Record<string, z.ZodType<Edit>>>(schemas: S, applies: Applies<S>): Rows<S> =>
  Object.fromEntries(
    Object.entries(schemas).map(([kind, schema]) => [kind, { schema, apply: applies[kind] }]),
  ) as unknown as Rows<S>;
