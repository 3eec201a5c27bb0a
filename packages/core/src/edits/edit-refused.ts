/** Thrown while an edit is applied, for one that speaks of something that is not there, or is there already. */
export class EditRefused extends Error {
  override readonly name = 'EditRefused';
  constructor(
    readonly field: string,
    message: string,
  ) {
    super(message);
  }
}
