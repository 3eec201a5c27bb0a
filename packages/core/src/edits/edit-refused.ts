/** Why an edit is refused, for a program: `gone` and `taken` are of things that are not there any more, or there already. */
export type RefusalCode = 'gone' | 'taken' | 'schema' | 'nothing to restore' | 'hangs on nothing' | 'simulated';

/** Thrown while an edit is applied, for one that speaks of something that is not there, or is there already. */
export class EditRefused extends Error {
  override readonly name = 'EditRefused';
  constructor(
    readonly code: RefusalCode,
    readonly field: string,
    message: string,
  ) {
    super(message);
  }
}
