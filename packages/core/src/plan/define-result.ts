import type { Plan } from '@grey-keel/model';
import canonicalize from 'canonicalize';
import { fingerprint, quantised } from './fingerprint.ts';
import { remembered } from './remembered.ts';

/** Whether what was measured, printed or looked over still holds, and what has changed since, in words. */
export interface ResultStanding {
  readonly state: 'missing' | 'fresh' | 'stale';
  readonly changed: readonly string[];
}

/** Something of a stage that can go stale: for which keys it is asked for, and how each stands. */
export interface Result {
  readonly keys: (plan: Plan) => readonly string[];
  readonly standing: (plan: Plan, key: string) => ResultStanding;
}

export interface ResultParts<S extends object, A> {
  /** What it is asked for: transducers by their ids; one key where there is one of it. */
  readonly keys: (plan: Plan) => readonly string[];
  /** Everything it depends on and nothing else, as plain data; null where there is nothing it could be of. */
  readonly slice: (plan: Plan, key: string) => S | null;
  /** Goes up when the same slice gives another answer. */
  readonly version: number;
  /** Sees the slice alone. */
  readonly compute: (slice: S) => A;
  /** What was noted when it was entered or printed last; null while it never was. */
  readonly noted: (plan: Plan, key: string) => { readonly fingerprint: string; readonly inputs?: unknown } | null;
  /** What the parts of the slice are called in what has changed. */
  readonly words: { readonly [K in keyof S]: string };
}

/**
 * The one way in which something that is measured or printed, and can go stale, is defined. It is stale when the
 * fingerprint of its slice, with the version, is another than the one that was noted.
 */
export const defineResult = <S extends object, A>({
  keys,
  slice,
  version,
  compute,
  noted,
  words,
}: ResultParts<S, A>) => {
  const sliceOf = remembered((plan, key) => {
    const found = slice(plan, key);
    return found && quantised(found);
  });
  const answers = remembered((plan, key) => {
    const found = sliceOf(plan, key);
    return found && compute(found);
  });
  const fingerprintOf = (of: S): string => fingerprint(of, version);
  const changedSince = (then: unknown, now: S): string[] => {
    const before = typeof then === 'object' && then !== null ? (then as Readonly<Record<string, unknown>>) : {};
    const current = now as Readonly<Record<string, unknown>>;
    // What is left out where it is not said may have been said before.
    return [...new Set([...Object.keys(now), ...Object.keys(before)])]
      .filter((part) => part in words && canonicalize(before[part]) !== canonicalize(current[part]))
      .map((part) => words[part as keyof S]);
  };
  const standing = remembered((plan, key): ResultStanding => {
    const [now, then] = [sliceOf(plan, key), noted(plan, key)];
    if (!now || !then) return { state: 'missing', changed: [] };
    if (fingerprintOf(now) === then.fingerprint) return { state: 'fresh', changed: [] };
    return { state: 'stale', changed: then.inputs === undefined ? [] : changedSince(then.inputs, now) };
  });
  return { keys, slice: sliceOf, of: answers, compute, fingerprint: fingerprintOf, standing };
};
