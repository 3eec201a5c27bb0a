import {
  calibratedSensors,
  depthGivers,
  enteredResult,
  kindWord,
  measuredOffset,
  standingOf,
  toleranceOf,
} from '@grey-keel/core';
import type { ResultStanding } from '@grey-keel/core';
import { procedures } from './procedures/procedures.ts';
import { type CalibrationKind, calibrationKinds, type Path, type Plan, type Quantity } from '@grey-keel/model';

/** What is calibrated: a depth, or what one of the procedures finds, by what gives it. */
export interface Subject {
  readonly kind: 'depth' | CalibrationKind;
  readonly id: string;
  /** Without spaces, for what is looked up by it. */
  readonly key: string;
}

/** It, as a list shows it: what was entered, and whether that still holds. */
export interface ListedSubject extends Subject {
  readonly word: string;
  readonly name: string;
  readonly state: ResultStanding['state'];
  readonly value: number | null;
  readonly quantity: Quantity;
  readonly signed: boolean;
}

/** What has no sign worth showing. */
const unsigned: readonly Quantity[] = ['fraction', 'soundSpeed', 'level'];

export const subjectKey = (kind: string, id: string): string => `${kind.replace(' ', '-')}-${id}`;

/** The subject a place of the plan belongs to, by its key. */
export const subjectAt = (path: Path): string | null => {
  const [part, first, second] = path;
  if (part === 'depthOffsets') return subjectKey('depth', String(first));
  return part === 'calibrations' ? subjectKey(String(first), String(second)) : null;
};

/** All that can be calibrated on a boat. */
export const calibrationSubjects = (plan: Plan): ListedSubject[] => [
  ...depthGivers(plan).map(({ id, name }): ListedSubject => ({
    kind: 'depth',
    id,
    key: subjectKey('depth', id),
    word: 'Depth',
    name,
    state: measuredOffset.standing(plan, id).state,
    value: enteredResult(plan, 'depth', id)?.values[0] ?? null,
    quantity: 'length',
    signed: true,
  })),
  ...calibrationKinds.flatMap((kind) =>
    calibratedSensors(plan, kind).map(({ id, name }): ListedSubject => {
      const quantity = toleranceOf(plan, kind, id)?.quantity ?? 'fraction';
      return {
        kind,
        id,
        key: subjectKey(kind, id),
        word: kindWord(kind),
        name,
        state: standingOf(plan, kind, id).state,
        value: enteredResult(plan, kind, id)?.values[0] ?? null,
        quantity,
        signed: !unsigned.includes(quantity),
      };
    }),
  ),
];

/** By what they are listed under, in the order they are done: depths before all else. */
export const inGroups = (
  subjects: readonly ListedSubject[],
): { readonly word: string; readonly subjects: ListedSubject[] }[] => {
  const listed = (['depth', ...Object.keys(procedures)] as const).flatMap((kind) =>
    subjects.filter((one) => one.kind === kind),
  );
  const groupOf = ({ kind }: ListedSubject): string => (kind === 'depth' ? 'Depth' : procedures[kind].group);
  return [...new Set(listed.map(groupOf))].map((word) => ({
    word,
    subjects: listed.filter((one) => groupOf(one) === word),
  }));
};

/** The one to look at first: one that a stop speaks of, then one that is not fresh. */
export const mostPressing = (subjects: readonly ListedSubject[], stopped: readonly string[]): string =>
  (
    subjects.find(({ kind, id }) => kind === 'depth' && stopped.includes(id)) ??
    subjects.find(({ state }) => state !== 'fresh') ??
    subjects[0]
  )?.key ?? '';
