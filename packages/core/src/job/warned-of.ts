import type { CatalogueEntry, Finding, Plan } from '@grey-keel/model';
import type { Candidate } from '../advice/candidate.ts';
import { findingsOf } from '../findings/rule.ts';
import { entryToPlace, placeEdits, type PlacedAs } from '../fit/place-edits.ts';
import { beamsStage } from '../stages/beams/stage.ts';
import { applyEdits } from './apply-edits.ts';

/** An answer as it is put on the boat: its entries by the mountings the hull allows them, with the ids they get. */
export const entriesOf = (
  candidates: readonly Pick<Candidate, 'id' | 'mounting'>[],
  catalogue: readonly CatalogueEntry[],
  newId: (at: number) => string,
): PlacedAs[] =>
  candidates.flatMap(({ id, mounting }, at) => {
    const entry = catalogue.find((one) => one.id === id);
    const toPlace = entry && entryToPlace(entry, mounting);
    return toPlace ? [{ id: newId(at), toPlace }] : [];
  });

const told = (plan: Plan): Finding[] =>
  beamsStage.rules.flatMap((rule) => findingsOf(rule, plan)).filter(({ severity }) => severity !== 'note');

/** What choosing an answer would be told of at once: the findings of Beams that are not there yet and would be then. */
export const warnedOf = (plan: Plan, chosen: readonly PlacedAs[]): Finding[] => {
  const applied = applyEdits(plan, placeEdits(plan, chosen));
  if (!applied.ok) return [];
  const before = new Set(told(plan).map(({ id }) => id));
  return told(applied.plan).filter(({ id }) => !before.has(id));
};
