import {
  type CalibrationKind,
  calibrationKinds,
  type Figure,
  type Plan,
  type Quantity,
  type Sentence,
} from '@grey-keel/model';
import { calibratedSensors, calibrationRows, kindWord } from '../calibration/calibration-rows.ts';
import { measuredOffset } from '../calibration/depth-offset-subject.ts';
import { isHeld, standingOf } from '../calibration/measured-by-kind.ts';
import type { ResultStanding } from '../plan/define-result.ts';
import { enteredResult } from '../plan/held-by.ts';
import { depthGivers } from '../sources/depth-givers.ts';

/** A calibration that was entered: what, on what, by whom and when, and whether it was looked at again after power off. */
export interface EnteredAboard {
  readonly key: string;
  readonly of: string;
  readonly value: Sentence;
  readonly state: ResultStanding['state'];
  readonly by: string;
  readonly at: string;
  /** Null where nobody looked yet. */
  readonly seenAgainAt: string | null;
  /** A display holds it, and may lose it with its power; a card and the plan do not. */
  readonly held: boolean;
}

/** What is added to what is shown: its sign is said even where it is plus. */
const added: readonly Quantity[] = ['length', 'angle', 'temperatureDifference'];

const signed = (figure: Figure): Sentence => [figure.value > 0 && added.includes(figure.quantity) ? '+' : '', figure];

/** What was entered, in words, with the sign of what is added; null while nothing is. */
export const enteredInWords = (plan: Plan, kind: CalibrationKind, id: string): Sentence | null => {
  const values = enteredResult(plan, kind, id)?.values;
  if (!values) return null;
  const { enters, inWords } = calibrationRows[kind];
  if (inWords) return inWords(values);
  return values.flatMap((value, i) => {
    const [quantity, word = ''] = enters[i] ?? ['count' as const];
    return [i > 0 ? ' and ' : '', ...signed({ value, quantity }), word];
  });
};

/** All that was entered on a boat, depths first. */
export const enteredAboard = (plan: Plan): EnteredAboard[] => [
  ...depthGivers(plan).flatMap(({ id, name }): EnteredAboard[] => {
    const it = enteredResult(plan, 'depth', id);
    if (!it) return [];
    return [
      {
        key: `depth ${id}`,
        of: `Depth offset, ${name}`,
        value: signed({ value: it.values[0] ?? 0, quantity: 'length' }),
        state: measuredOffset.standing(plan, id).state,
        by: it.by ?? '',
        at: it.at,
        seenAgainAt: it.seenAgainAt,
        held: true,
      },
    ];
  }),
  ...calibrationKinds.flatMap((kind) =>
    calibratedSensors(plan, kind).flatMap(({ id, name }): EnteredAboard[] => {
      const it = enteredResult(plan, kind, id);
      const value = enteredInWords(plan, kind, id);
      if (!it || !value) return [];
      return [
        {
          key: `${kind} ${id}`,
          of: `${kindWord(kind)}, ${name}`,
          value,
          state: standingOf(plan, kind, id).state,
          by: it.by ?? '',
          at: it.at,
          seenAgainAt: it.seenAgainAt,
          held: isHeld(kind),
        },
      ];
    }),
  ),
];
