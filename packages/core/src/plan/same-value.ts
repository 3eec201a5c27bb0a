import canonicalize from 'canonicalize';
import { quantised } from './fingerprint.ts';

/** Whether two values are the same to what anything is measured to, in whatever order their parts are written. */
export const sameValue = (a: unknown, b: unknown): boolean => canonicalize(quantised(a)) === canonicalize(quantised(b));
