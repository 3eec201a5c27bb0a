/** However much a user allows an offset to be off: where a boat grounds, more than so is never let pass, m. */
const mostM = 0.3;

/** The tolerance that stops and doubts go by: the user's, and never more than what grounds a boat. */
export const groundingToleranceM = (toleranceM: number): number => Math.min(toleranceM, mostM);
