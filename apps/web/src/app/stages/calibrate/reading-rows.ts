import { inOrder, type DepthOffsetAnswer } from '@grey-keel/core';
import type { DepthOffset, DepthPair, WorkingStep } from '@grey-keel/model';

/** One lead-line reading as it is listed, with what was made of it. */
export interface ReadingRow {
  readonly id: string;
  readonly place: number;
  readonly pair: DepthPair;
  readonly recorded: boolean;
  /** Lead line less what was displayed, as anyone would subtract it. */
  readonly rawM: number | null;
  readonly differenceM: number | null;
  readonly flagged: boolean;
  readonly working: readonly WorkingStep[];
}

/** The readings in their order; `used` names those the answer was made from, in its order. */
export const readingRows = (
  readings: DepthOffset['readings'],
  used: readonly string[],
  answer: DepthOffsetAnswer | null,
): ReadingRow[] =>
  inOrder(readings).map(([id, pair], place) => {
    const i = used.indexOf(id);
    const step = answer?.working[i];
    return {
      id,
      place: place + 1,
      pair,
      recorded: true,
      rawM: pair.leadLineM === null || pair.displayedM === null ? null : pair.leadLineM - pair.displayedM,
      differenceM: answer?.differencesM[i] ?? null,
      flagged: answer?.flagged.includes(i) ?? false,
      working: i >= 0 && step ? [step] : [],
    };
  });
