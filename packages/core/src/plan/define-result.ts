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

/** What a result rested on when it was noted: as a whole, and by its parts, as short hashes or in full. */
export interface Noted {
  readonly fingerprint: string;
  readonly parts?: Readonly<Record<string, string>> | undefined;
  readonly inputs?: unknown;
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
  readonly noted: (plan: Plan, key: string) => Noted | null;
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
  /** Of each part by itself, so short that it only tells one from another. */
  const partsOf = (of: S): Record<string, string> =>
    Object.fromEntries(
      Object.entries({ ...of } as Readonly<Record<string, unknown>>).map(([part, value]) => [
        part,
        fingerprint({ value }, 0).slice(0, 12),
      ]),
    );
  const changedBetween = (then: Readonly<Record<string, string>>, now: S): string[] => {
    const current = partsOf(now);
    return [...new Set([...Object.keys(current), ...Object.keys(then)])]
      .filter((part) => part in words && then[part] !== current[part])
      .map((part) => words[part as keyof S]);
  };
  const changedSince = (then: unknown, now: S): string[] => {
    const before = typeof then === 'object' && then !== null ? (then as Readonly<Record<string, unknown>>) : {};
    const current = now as Readonly<Record<string, unknown>>;
    // What is left out where it is not said may have been said before.
    return [...new Set([...Object.keys(now), ...Object.keys(before)])]
      .filter((part) => part in words && canonicalize(before[part]) !== canonicalize(current[part]))
      .map((part) => words[part as keyof S]);
  };
  /** How something that was noted stands to what it would be now. */
  const since = (plan: Plan, key: string, then: Noted | null): ResultStanding => {
    const now = sliceOf(plan, key);
    if (!now || !then) return { state: 'missing', changed: [] };
    if (fingerprintOf(now) === then.fingerprint) return { state: 'fresh', changed: [] };
    const { inputs, parts = {} } = then;
    if (inputs !== undefined) return { state: 'stale', changed: changedSince(inputs, now) };
    return { state: 'stale', changed: Object.keys(parts).length ? changedBetween(parts, now) : [] };
  };
  const standing = remembered((plan, key): ResultStanding => since(plan, key, noted(plan, key)));
  return { keys, slice: sliceOf, of: answers, compute, fingerprint: fingerprintOf, parts: partsOf, since, standing };
};
