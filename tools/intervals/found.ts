import { answerOf, calculations, type Calculation } from '@grey-keel/core';

/** What a procedure gave on one simulated boat: how far off it was, and the half interval it claimed. */
export interface Found {
  readonly off: number;
  /** Null where the procedure gives none, and says why. */
  readonly half: number | null;
  /** What it said of these readings by itself. */
  readonly flags?: readonly string[];
  /** Half the interval of the best estimator there can be, where its variance can be written down (Rao 1945). */
  readonly best?: number;
}

/** One way of taking readings, with what is hidden drawn anew for each seed; null where the runs could not be taken. */
export interface Scenario {
  readonly name: string;
  readonly find: (seed: number) => Found | null;
  /** A step or a cancelled current that all readings share: it may hold more often than 98 of 100. */
  readonly shares?:
    'a step' | 'a current that cancels' | 'the curve of its kind' | 'its strength' | 'waves that cancel';
  /** How many times the narrowest honest interval it may claim where it holds more often than 98 of 100; 1.5 unless said. */
  readonly widest?: number;
  /** It gives no interval by design, for this reason. */
  readonly none?: string;
  /** What it says by itself, where its interval cannot be trusted: every boat must be told. */
  readonly told?: string;
}

export const z95 = 1.96;

const named = (name: string): Calculation => {
  const found = calculations.get(name);
  if (!found) throw new Error(`There is no calculation ${name}.`);
  return found;
};

export type Given = Readonly<Record<string, number | null | undefined>> & { readonly flags: readonly string[] };
export const answer = (name: string, input: unknown): Given => answerOf(named(name), input) as unknown as Given;

/** A figure as an instrument shows it. */
export const stepped = (value: number, step: number): number => Math.round(value / step) * step;
/** Standard deviation of a figure with normal scatter that is shown in steps. */
export const shownSd = (sd: number, step: number): number => Math.hypot(sd, step / Math.sqrt(12));

/** Heave, roll or yaw of a sea whose waves last about 8 s, of a standard deviation, at times in seconds. */
export const sea = (uniform: () => number, normal: (uniform: () => number) => number, sd: number) => {
  const waves = Array.from({ length: 8 }, () => ({ s: 6 + 4.5 * uniform(), at: uniform(), size: normal(uniform) }));
  return (timeS: number): number =>
    waves.reduce((sum, { s, at, size }) => sum + size * Math.sin(2 * Math.PI * (timeS / s + at)), 0) * (sd / 2);
};
