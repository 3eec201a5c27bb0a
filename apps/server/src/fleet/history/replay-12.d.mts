/**
 * Edits of plan version 12 on a plan of that version, by the rules of that version: schemas and appliers as they were, in
 * one file that nothing else of the program changes. Throws where an edit does not apply.
 */
export const replay: (plan: unknown, edits: unknown) => Record<string, unknown>;
