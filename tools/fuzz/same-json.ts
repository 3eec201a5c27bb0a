import { isDeepStrictEqual } from 'node:util';

const asRead = (value: unknown): unknown => JSON.parse(JSON.stringify(value)) as unknown;
/** Whether two values are one as JSON: in whatever order their keys stand, and with -0 written as 0. */
export const sameJson = (a: unknown, b: unknown): boolean => isDeepStrictEqual(asRead(a), asRead(b));
export const readsOtherwise = 'taken, and reads back otherwise';
