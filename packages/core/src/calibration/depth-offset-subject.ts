import type { DepthOffset, DepthPair, Plan, ReadingWater, Transducer } from '@grey-keel/model';
import { type Answer, calculate } from '../calculation/calculation.ts';
import { newDepthOffset } from '../edits/new-parts.ts';
import { enteredResult, heldBy } from '../plan/held-by.ts';
import { inOrder, soundSpeedDownTo, workingWater } from '../plan/working-water.ts';
import { readAt } from '../plan/read-at.ts';
import { displaySound, type DisplayWater, soundOfType } from '../sources/display-sound.ts';
import { depthOffset } from './depth-offset.ts';
import { defineResult } from '../plan/define-result.ts';
import { depthGivers } from '../sources/depth-givers.ts';

/** Everything one transducer's depth offset depends on, and nothing else. */
export interface DepthOffsetInputs {
  readonly reference: DepthOffset['reference'];
  readonly offsetSetM: number;
  /** Null while nobody said what the display is set to. */
  readonly soundSpeedAssumedMps: number | null;
  readonly displayResolutionM: number;
  readonly draughtM: number | null;
  /** That the readings were taken in. */
  readonly water: ReadingWater | null;
  /** The face: a move or another element asks for new readings even though the old ones still give a number. */
  readonly face: {
    readonly name: string;
    readonly aboveKeelM: number;
    readonly forwardM: number;
    readonly starboardM: number;
  };
  /** What is said of a series only now and then is left out elsewhere, so that what was entered without it stays fresh. */
  readonly swellM?: number;
  readonly leadLineByM?: number;
  readonly spanS?: number;
  readonly wavePeriodS?: number;
  /** How deep a face on a pole or a shaft hangs as it is used. */
  readonly immersionM?: number;
  readonly readings: readonly {
    readonly id: string;
    readonly leadLineM: number;
    readonly displayedM: number;
    readonly riseM?: number;
    /** How much deeper the face hung than as calibrated and used; null where that cannot be told. */
    readonly deeperM?: number | null;
  }[];
}

/** What hangs on a pole or a motor's shaft is let down to a mark: how deep is not the hull's draught alone. */
export const isLetDown = ({ mounting }: Pick<Transducer, 'mounting'>): boolean =>
  mounting === 'pole' || mounting === 'bow motor';

/** How much deeper a face hung at a reading than as it is used: by its own mark, else by the draught the boat floated at. */
const deeperBy = (plan: Plan, offset: DepthOffset, { immersionM, draughtM }: DepthPair): number | null => {
  if (immersionM != null) return offset.immersionM == null ? null : immersionM - offset.immersionM;
  if (draughtM == null) return 0;
  return plan.boat.draughtM === null ? null : draughtM - plan.boat.draughtM;
};

export const depthOffsetOf = (plan: Plan, transducerId: string): DepthOffset =>
  plan.depthOffsets[transducerId] ?? newDepthOffset();

/** The water a transducer's readings were taken in: as was said of them, else the one the boat works in. */
export const readingWater = (plan: Plan, transducerId: string): ReadingWater | null => {
  const { takenIn } = depthOffsetOf(plan, transducerId);
  const water = takenIn ?? workingWater(plan);
  return water && { temperatureC: water.temperatureC, salinityPpt: water.salinityPpt };
};

/** Mean depth of the readings that count, or a usual one while there is none. */
const readingDepthM = ({ readings }: DepthOffset): number => {
  const leads = Object.values(readings).flatMap(({ leadLineM, displayedM, leftOut }) =>
    leadLineM === null || displayedM === null || leftOut ? [] : [leadLineM],
  );
  return leads.length ? leads.reduce((sum, lead) => sum + lead, 0) / leads.length : 5;
};

/** The speed of sound the display used while the readings were taken: as was said of them, else as Sources has it set. */
export const readingSoundSpeedMps = (plan: Plan, transducerId: string): number | null => {
  const offset = depthOffsetOf(plan, transducerId);
  if (offset.soundSpeedAssumedMps !== null) return offset.soundSpeedAssumedMps;
  const stationId = readAt(plan, transducerId);
  const water = readingWater(plan, transducerId);
  if (!water) return null;
  const depthM = readingDepthM(offset);
  const { displaySetTo } = offset;
  if (displaySetTo !== undefined && displaySetTo !== 'own figure') return soundOfType(displaySetTo, water, depthM);
  if (stationId === null) return null;
  return displaySound(heldBy(plan, stationId, 'sound'), water, depthM)?.soundSpeedMps ?? null;
};

/** What the display was set to while the readings were taken, in words; null while nobody said. */
export const readingSetTo = (plan: Plan, transducerId: string): DisplayWater | 'own figure' | null => {
  const { displaySetTo, soundSpeedAssumedMps } = depthOffsetOf(plan, transducerId);
  if (displaySetTo !== undefined) return displaySetTo;
  if (soundSpeedAssumedMps !== null) return 'own figure';
  const stationId = readAt(plan, transducerId);
  const held = stationId === null ? null : heldBy(plan, stationId, 'sound');
  if (!held) return null;
  return 'waterType' in held ? held.waterType : 'own figure';
};

/** The slice of a plan that a depth offset depends on, or null for a transducer that is not there. */
const inputsOf = (plan: Plan, transducerId: string): DepthOffsetInputs | null => {
  const transducer = plan.transducers[transducerId];
  if (!transducer) return null;
  const offset = depthOffsetOf(plan, transducerId);
  return {
    reference: offset.reference,
    offsetSetM: offset.offsetSetM,
    soundSpeedAssumedMps: readingSoundSpeedMps(plan, transducerId),
    displayResolutionM: offset.displayResolutionM,
    draughtM: plan.boat.draughtM,
    water: readingWater(plan, transducerId),
    face: {
      name: transducer.name,
      aboveKeelM: transducer.aboveKeelM,
      forwardM: transducer.forwardM,
      starboardM: transducer.starboardM,
    },
    ...(offset.swellM ? { swellM: offset.swellM } : {}),
    ...(offset.leadLineByM == null ? {} : { leadLineByM: offset.leadLineByM }),
    ...(offset.spanS == null ? {} : { spanS: offset.spanS }),
    ...(offset.wavePeriodS == null ? {} : { wavePeriodS: offset.wavePeriodS }),
    ...(isLetDown(transducer) && offset.immersionM != null ? { immersionM: offset.immersionM } : {}),
    readings: inOrder(offset.readings).flatMap(([id, pair]) => {
      const { leadLineM, displayedM, leftOut } = pair;
      if (leadLineM === null || displayedM === null || leftOut) return [];
      const deeperM = deeperBy(plan, offset, pair);
      return [
        {
          id,
          leadLineM,
          displayedM,
          ...(pair.riseM ? { riseM: pair.riseM } : {}),
          ...(deeperM === 0 ? {} : { deeperM }),
        },
      ];
    }),
  };
};

export type DepthOffsetAnswer = Extract<
  ReturnType<typeof calculate<typeof depthOffset.input, typeof depthOffset.output>>,
  { ok: true }
>['answer'];

export type DepthOffsetResult =
  | { readonly known: true; readonly answer: DepthOffsetAnswer; readonly soundSpeed: Answer<{ soundSpeedMps: number }> }
  | { readonly known: false; readonly wanting: string };

/** A marked line in the hand, let down plumb: its marks, its stretch and the eye at the water. */
export const usualLeadLineByM = 0.05;

/** The offset worked out from its slice, or what is still wanting for it. */
const offsetOf = (inputs: DepthOffsetInputs): DepthOffsetResult => {
  if (inputs.readings.length === 0)
    return { known: false, wanting: 'No complete reading yet: lead line and display together.' };
  if (inputs.water === null)
    return { known: false, wanting: 'The water is not described: its sound speed is unknown.' };
  if (inputs.reference === 'keel' && inputs.draughtM === null)
    return {
      known: false,
      wanting: 'The draught is missing: give it in the brief, so that the keel can be counted from.',
    };
  if (inputs.soundSpeedAssumedMps === null)
    return { known: false, wanting: 'Say what water the display was set to: that is the speed of sound it uses.' };
  if (inputs.readings.some(({ deeperM }) => deeperM === null))
    return {
      known: false,
      wanting:
        'A reading says how deep the face hung or the boat floated: give how deep the face hangs as used, and the draught in the brief.',
    };
  const meanDepthM = inputs.readings.reduce((sum, { leadLineM }) => sum + leadLineM, 0) / inputs.readings.length;
  const sound = soundSpeedDownTo(inputs.water, meanDepthM);
  const result = calculate(depthOffset, {
    readings: inputs.readings.map(({ id: _, deeperM, ...reading }) => ({ ...reading, deeperM: deeperM ?? 0 })),
    ...(inputs.swellM === undefined ? {} : { swellM: inputs.swellM }),
    ...(inputs.wavePeriodS === undefined ? {} : { wavePeriodS: inputs.wavePeriodS }),
    spanS: inputs.spanS ?? null,
    leadLineByM: inputs.leadLineByM ?? usualLeadLineByM,
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

/** Each transducer's depth offset, as it is measured and entered on the display. */
export const measuredOffset = defineResult({
  keys: (plan) => depthGivers(plan).map(({ id }) => id),
  slice: inputsOf,
  version: depthOffset.version,
  compute: offsetOf,
  noted: (plan, transducerId) => enteredResult(plan, 'depth', transducerId),
  words: {
    reference: 'what depth is counted from',
    offsetSetM: 'the offset set while reading',
    soundSpeedAssumedMps: "the display's sound speed",
    displayResolutionM: "the display's step",
    draughtM: 'the draught',
    water: 'the water',
    face: 'the transducer or its place',
    swellM: 'the swell',
    leadLineByM: 'what the lead line may be off by',
    spanS: 'over how long it was read',
    wavePeriodS: 'how long a wave takes',
    immersionM: 'how deep the face hangs',
    readings: 'the readings',
  },
});
