import type { Plan } from '@grey-keel/model';

/** By rule: a plan that makes it speak, with the figure it says, and one a step away that keeps it silent. */
export type RuleCases = Readonly<
  Record<string, { readonly speaks: Plan; readonly silent: Plan; readonly value?: number }>
>;
