import { applyEdits, measuredOffset, offsetKeyedIn, soundSpeedDownTo } from '@grey-keel/core';
import type { Edit, Plan, Water } from '@grey-keel/model';

/** What a display shows in a water over a known bottom, with a face so far below the waterline. */
const shownOver = (water: Water, leadLineM: number, missedM: number, assumedMps: number, setM: number): number => {
  const { soundSpeedMps } = soundSpeedDownTo(water, leadLineM);
  return Math.round((((leadLineM - missedM) * assumedMps) / soundSpeedMps + setM) * 100) / 100;
};

interface Readings {
  readonly transducerId: string;
  /** On whose display they were read. */
  readonly displayId: string;
  readonly water: Water;
  readonly assumedMps: number;
  readonly setM: number;
  /** Lead line, and what the sounder missed at that reading. */
  readonly pairs: readonly (readonly [leadLineM: number, missedM: number])[];
}

export const readingEdits = ({ transducerId, displayId, water, assumedMps, setM, pairs }: Readings): Edit[] => [
  {
    type: 'describeDepthOffset',
    transducerId,
    changes: {
      displaySetTo: 'own figure',
      soundSpeedAssumedMps: assumedMps,
      takenIn: { temperatureC: water.temperatureC, salinityPpt: water.salinityPpt },
      offsetSetM: setM,
      displayResolutionM: 0.01,
    },
  },
  {
    type: 'readAsFound',
    kind: 'depth-offset',
    deviceId: displayId,
    ofId: transducerId,
    asFound: { value: { offsetM: setM, reference: 'waterline' }, at: null, by: null },
  },
  ...pairs.map(([leadLineM, missedM], i): Edit => ({
    type: 'recordReading',
    transducerId,
    readingId: `a${i + 1}`,
    reading: { leadLineM, displayedM: shownOver(water, leadLineM, missedM, assumedMps, setM), leftOut: false },
  })),
];

export const after = (plan: Plan, edits: readonly Edit[]): Plan => {
  const applied = applyEdits(plan, edits);
  if (!applied.ok) throw new Error(`Demo data: ${applied.errors[0]?.message ?? ''}`);
  return applied.plan;
};

export const enter = (plan: Plan, transducerId: string, at: string): Edit => {
  const result = measuredOffset.of(plan, transducerId);
  const entry = result?.known
    ? offsetKeyedIn(plan, transducerId, result.answer.offsetM, { at, by: null, reason: null })
    : null;
  if (!entry) throw new Error(`Demo data: ${transducerId} has no offset to enter.`);
  return entry;
};
