/** One picture of a view, for the pictures of the documents: what is pressed and chosen before it is taken. */
export interface Picture {
  readonly name: string;
  readonly theme: 'shop' | 'sun' | 'night';
  readonly press: readonly string[];
  /** What is chosen in a list after that, by the beginning of its label. */
  readonly choose?: readonly (readonly [css: string, label: string])[];
}

/** The views of a stage: what is walked in the browser's tests and what is pictured is told by this one list. */
export interface StageViews {
  /** What its tabs are called, or of a list the kinds in it; none where it is one view. */
  readonly tabs: readonly string[];
  readonly pictures: readonly Picture[];
}
