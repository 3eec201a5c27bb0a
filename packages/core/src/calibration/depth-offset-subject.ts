import type { DepthOffset, Plan } from '@grey-keel/model';
import canonicalize from 'canonicalize';
import { calculate, type Answer } from '../calculation.ts';
import { newDepthOffset } from '../edits/apply-edits.ts';
import { fingerprint, quantised } from '../plan/fingerprint.ts';
import { perPlan } from '../plan/per-plan.ts';
import { inOrder, soundSpeedDownTo, workingWater } from '../plan/working-water.ts';
import { depthOffset } from './depth-offset.ts';

/** Everything one transducer's depth offset depends on, and nothing else. */
export interface DepthOffsetInputs {
  readonly reference: DepthOffset['reference'];
  readonly offsetSetM: number;
  readonly soundSpeedAssumedMps: number;
  readonly displayResolutionM: number;
  readonly draughtM: number | null;
  readonly water: { readonly temperatureC: number; readonly salinityPpt: number } | null;
  /** The face: a move or another element asks for new readings even though the old ones still give a number. */
  readonly face: {
    readonly name: string;
    readonly aboveKeelM: number;
    readonly forwardM: number;
    readonly starboardM: number;
  };
  readonly readings: readonly { readonly id: string; readonly leadLineM: number; readonly displayedM: number }[];
}

export const depthOffsetOf = (plan: Plan, transducerId: string): DepthOffset =>
  plan.depthOffsets[transducerId] ?? newDepthOffset();

/** The slice of a plan that a depth offset depends on, or null for a transducer that is not there. */
export const depthOffsetInputs = (plan: Plan, transducerId: string): DepthOffsetInputs | null => {
  const transducer = plan.transducers[transducerId];
  if (!transducer) return null;
  const offset = depthOffsetOf(plan, transducerId);
  const water = workingWater(plan);
  return quantised({
    reference: offset.reference,
    offsetSetM: offset.offsetSetM,
    soundSpeedAssumedMps: offset.soundSpeedAssumedMps,
    displayResolutionM: offset.displayResolutionM,
    draughtM: plan.boat.draughtM,
    water: water && { temperatureC: water.temperatureC, salinityPpt: water.salinityPpt },
    face: {
      name: transducer.name,
      aboveKeelM: transducer.aboveKeelM,
      forwardM: transducer.forwardM,
      starboardM: transducer.starboardM,
    },
    readings: inOrder(offset.readings).flatMap(([id, { leadLineM, displayedM, leftOut }]) =>
      leadLineM === null || displayedM === null || leftOut ? [] : [{ id, leadLineM, displayedM }],
    ),
  });
};

export type DepthOffsetAnswer = Extract<
  ReturnType<typeof calculate<typeof depthOffset.input, typeof depthOffset.output>>,
  { ok: true }
>['answer'];

export type DepthOffsetResult =
  | { readonly known: true; readonly answer: DepthOffsetAnswer; readonly soundSpeed: Answer<{ soundSpeedMps: number }> }
  | { readonly known: false; readonly wanting: string };

/** The offset worked out from its slice, or what is still wanting for it. */
export const depthOffsetResult = (inputs: DepthOffsetInputs): DepthOffsetResult => {
  if (inputs.readings.length === 0)
    return { known: false, wanting: 'No complete reading yet: lead line and display together.' };
  if (inputs.water === null)
    return { known: false, wanting: 'The water is not described: its sound speed is unknown.' };
  if (inputs.reference === 'keel' && inputs.draughtM === null)
    return { known: false, wanting: 'The draught is missing: the keel cannot be reckoned to.' };
  const meanDepthM = inputs.readings.reduce((sum, { leadLineM }) => sum + leadLineM, 0) / inputs.readings.length;
  const sound = soundSpeedDownTo(inputs.water, meanDepthM);
  const result = calculate(depthOffset, {
    readings: inputs.readings.map(({ leadLineM, displayedM }) => ({ leadLineM, displayedM })),
    offsetSetM: inputs.offsetSetM,
    soundSpeedAssumedMps: inputs.soundSpeedAssumedMps,
    soundSpeedActualMps: sound.soundSpeedMps,
    keelBelowWaterlineM: inputs.draughtM ?? 0,
    reference: inputs.reference,
    displayResolutionM: inputs.displayResolutionM,
  });
  if (!result.ok) return { known: false, wanting: result.errors[0]?.message ?? 'The readings do not go together.' };
  return { known: true, answer: result.answer, soundSpeed: sound };
};

/** Fingerprint of a depth offset's slice with the calculation's version. */
export const depthOffsetFingerprint = (inputs: DepthOffsetInputs): string => fingerprint(inputs, depthOffset.version);

export interface OffsetStanding {
  readonly state: 'missing' | 'fresh' | 'stale';
  /** What changed since it was entered, in words. */
  readonly changed: readonly string[];
}

const names: Record<string, string> = {
  reference: 'what depth is reckoned to',
  offsetSetM: 'the offset set while reading',
  soundSpeedAssumedMps: "the display's sound speed",
  displayResolutionM: "the display's step",
  draughtM: 'the draught',
  water: 'the water',
  face: 'the transducer or its place',
  readings: 'the readings',
};

const changedSince = (then: unknown, now: DepthOffsetInputs): string[] => {
  const before = typeof then === 'object' && then !== null ? (then as Record<string, unknown>) : {};
  return Object.entries(now)
    .filter(([key, value]) => canonicalize(before[key]) !== canonicalize(value))
    .map(([key]) => names[key] ?? key);
};

/** Whether what was entered on the display still holds. */
export const offsetStanding = perPlan((plan, transducerId): OffsetStanding => {
  const inputs = depthOffsetInputs(plan, transducerId);
  const entered = plan.depthOffsets[transducerId]?.entered ?? null;
  if (!inputs || !entered) return { state: 'missing', changed: [] };
  if (depthOffsetFingerprint(inputs) === entered.fingerprint) return { state: 'fresh', changed: [] };
  return { state: 'stale', changed: changedSince(entered.inputs, inputs) };
});
