import type { Plan } from '@grey-keel/model';
import {
  depthOffsetInputs,
  depthOffsetOf,
  depthOffsetResult,
  offsetStanding,
  type DepthOffsetAnswer,
} from '../../calibration/depth-offset-subject.ts';
import { offsetAtGrounding } from '../../calibration/offset-at-grounding.ts';
import { perPlan } from '../../plan/per-plan.ts';
import { faceDepthM, inOrder } from '../../plan/working-water.ts';
import { depthGivers, type DepthGiver } from '../../sources/depth-givers.ts';
import { given, calculated } from '../../working-step.ts';
import { figure, type Found, type Rule } from '../rule.ts';

const eachGiver =
  (find: (giver: DepthGiver) => Found[]) =>
  (plan: Plan): Found[] =>
    depthGivers(plan).flatMap(find);

const answerOfPlan = perPlan((plan, id): DepthOffsetAnswer | null => {
  const inputs = depthOffsetInputs(plan, id);
  const result = inputs && depthOffsetResult(inputs);
  return result?.known ? result.answer : null;
});
const answerFor = ({ id, plan }: Pick<DepthGiver, 'id' | 'plan'>): DepthOffsetAnswer | null => answerOfPlan(plan, id);

/**
 * The offset the display holds now: what was entered, until another was set in it while new readings were taken. The
 * entry remembers what was set when it was worked out.
 */
export const heldOffsetM = (plan: Plan, id: string): number => {
  const { entered, offsetSetM } = depthOffsetOf(plan, id);
  if (!entered) return offsetSetM;
  const then = (entered.inputs as { offsetSetM?: unknown } | null)?.offsetSetM;
  return typeof then === 'number' && Math.abs(then - offsetSetM) > 1e-6 ? offsetSetM : entered.offsetM;
};

export const offsetMissing: Rule = {
  id: 'offset-missing',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver((giver) => {
    const { id, name, plan } = giver;
    if (offsetStanding(plan, id).state !== 'missing') return [];
    const answer = answerFor(giver);
    return [
      {
        subject: id,
        title: 'Depth is not calibrated yet',
        reason: answer
          ? [`${name}: `, figure(answer.offsetM, 'length'), ' is worked out and not yet entered on the display.']
          : [`${name} has no offset: its display shows the depth below its face, or anything else.`],
        figure: answer ? figure(answer.offsetM, 'length') : figure(0, 'count'),
        working: answer?.working ?? [],
        wayOut: { label: answer ? 'Enter it' : 'Take lead-line readings', target: `offset-${id}` },
      },
    ];
  }),
};

export const offsetStale: Rule = {
  id: 'offset-stale',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver(({ id, name, plan }) => {
    const standing = offsetStanding(plan, id);
    const entered = plan.depthOffsets[id]?.entered;
    if (standing.state !== 'stale' || !entered) return [];
    const changed = standing.changed.join(' and ') || 'the calculation';
    return [
      {
        subject: id,
        title: 'Depth offset is stale',
        reason: [`${name}: `, figure(entered.offsetM, 'length'), ` was entered; since then ${changed} changed.`],
        figure: figure(entered.offsetM, 'length'),
        wayOut: { label: 'Measure again', target: `offset-${id}` },
      },
    ];
  }),
};

const errorStep = (heldM: number, offsetM: number) =>
  calculated(
    {
      says: 'What the display shows too much, or too little where it is negative',
      symbol: 'wrong',
      value: heldM - offsetM,
      unit: 'm',
      expression: 'o - offset',
      source: 'difference of the two offsets',
    },
    given('o', heldM, 'm', 'offset set in the display'),
    given('offset', offsetM, 'm', 'offset measured'),
  );

const isMirrored = ({ id, plan }: DepthGiver, { offsetM, standardErrorM }: DepthOffsetAnswer): boolean => {
  const heldM = heldOffsetM(plan, id);
  const { toleranceM } = depthOffsetOf(plan, id);
  const allowance = Math.max(toleranceM, 3 * (standardErrorM ?? 0));
  return heldM * offsetM < 0 && Math.abs(heldM + offsetM) <= allowance && Math.abs(offsetM) > toleranceM;
};

/** Under what a display shows in centimetres. */
const scaleBearsM = 0.005;

/** What is set is, within the tolerance, the measured offset with its sign turned: the mistake that grounds boats. */
export const offsetWrongSign: Rule = {
  id: 'offset-wrong-sign',
  stage: 'calibrate',
  severity: 'stop',
  find: eachGiver((giver) => {
    const answer = answerFor(giver);
    if (!answer || !isMirrored(giver, answer)) return [];
    const heldM = heldOffsetM(giver.plan, giver.id);
    const error = heldM - answer.offsetM;
    return [
      {
        subject: giver.id,
        title: 'Offset has the wrong sign',
        reason: [
          `${giver.name} is set to `,
          figure(heldM, 'length'),
          ' where ',
          figure(answer.offsetM, 'length'),
          ` was measured: it shows `,
          figure(Math.abs(error), 'length'),
          error > 0 ? ' too much water.' : ' too little.',
        ],
        figure: figure(Math.abs(error), 'length'),
        working: [...answer.working, errorStep(heldM, answer.offsetM)],
        wayOut: { label: 'Enter the measured offset', target: `offset-${giver.id}` },
      },
    ];
  }),
};

/** The display shows more water than there is, by more than the tolerance, whatever the reason. */
export const offsetUnsafe: Rule = {
  id: 'offset-unsafe',
  stage: 'calibrate',
  severity: 'stop',
  find: eachGiver((giver) => {
    const { id, name, plan } = giver;
    const answer = answerFor(giver);
    if (!answer || isMirrored(giver, answer)) return [];
    const { toleranceM } = depthOffsetOf(plan, id);
    const heldM = heldOffsetM(plan, id);
    const error = heldM - answer.offsetM;
    if (error <= toleranceM + 1e-9) return [];
    return [
      {
        subject: id,
        title: 'It shows more water than there is',
        reason: [
          `${name} is set to `,
          figure(heldM, 'length'),
          ' where ',
          figure(answer.offsetM, 'length'),
          ' was measured: it shows ',
          figure(error, 'length'),
          ' too much water, over your tolerance of ',
          figure(toleranceM, 'length'),
          '.',
        ],
        figure: figure(error, 'length'),
        working: [...answer.working, errorStep(heldM, answer.offsetM)],
        wayOut: { label: 'Enter the measured offset', target: `offset-${id}` },
      },
    ];
  }),
};

/** The difference grows with depth: one offset does not hold from the shallows to the deepest reading. */
export const offsetScale: Rule = {
  id: 'offset-scale',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver((giver) => {
    const { id, name, plan } = giver;
    const answer = answerFor(giver);
    const holds = answer && offsetAtGrounding(plan, id, answer);
    if (!answer || !holds || answer.scale === null) return [];
    const { entered } = depthOffsetOf(plan, id);
    const usedM = entered ? heldOffsetM(plan, id) : answer.offsetM;
    const error = usedM - holds.value;
    const percent = figure(Math.abs(answer.scale - 1), 'fraction');
    return [
      {
        subject: id,
        severity: error > scaleBearsM ? ('stop' as const) : ('check' as const),
        title: error > scaleBearsM ? 'The offset is wrong where the boat touches' : 'The difference grows with depth',
        reason: [
          `${name}: its depths are `,
          percent,
          answer.scale > 1 ? ' too short' : ' too long',
          ', as in water of another temperature or salt than was said. Where the boat touches ',
          figure(holds.value, 'length'),
          ' holds; ',
          figure(usedM, 'length'),
          ' shows ',
          figure(Math.abs(error), 'length'),
          error > 0 ? ' too much water there.' : ' too little there.',
        ],
        figure: figure(Math.abs(error), 'length'),
        working: [
          ...answer.working,
          holds,
          calculated(
            {
              says: 'Too much water shown there, or too little where it is negative',
              symbol: 'wrong',
              value: error,
              unit: 'm',
              expression: 'o - og',
              source: 'difference of the two offsets',
            },
            given('o', usedM, 'm', entered ? 'offset entered' : 'offset worked out'),
            given('og', holds.value, 'm', 'offset that holds there'),
          ),
        ],
        wayOut: { label: 'Say what water these were read in', target: `reading-temperature-${id}` },
      },
    ];
  }),
};

/** From the waterline a sounder only ever misses what lies above its face. */
export const offsetAboveWater: Rule = {
  id: 'offset-above-water',
  stage: 'calibrate',
  severity: 'stop',
  find: eachGiver((giver) => {
    const { id, name, plan } = giver;
    const answer = answerFor(giver);
    if (!answer || depthOffsetOf(plan, id).reference !== 'waterline' || answer.offsetM >= -scaleBearsM) return [];
    return [
      {
        subject: id,
        title: 'The offset puts the face above the water',
        reason: [
          `${name}: `,
          figure(answer.offsetM, 'length'),
          ' to the waterline would have its face ',
          figure(-answer.offsetM, 'length'),
          ' in the air. Lead line and display are the wrong way round, or what the display is set to is not what was said.',
        ],
        figure: figure(-answer.offsetM, 'length'),
        wayOut: { label: 'Look at the readings and at what the display is set to', target: `reading-set-to-${id}` },
      },
    ];
  }),
};

/** From so many readings on a slip of the tongue can be told from a true one. */
const enoughReadings = 3;

export const offsetFew: Rule = {
  id: 'offset-few',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver((giver) => {
    const answer = answerFor(giver);
    if (!answer || answer.readingsUsed >= enoughReadings) return [];
    return [
      {
        subject: giver.id,
        title: 'Too few readings',
        reason: [
          `${giver.name}: the offset rests on `,
          figure(answer.readingsUsed, 'count'),
          answer.readingsUsed === 1 ? ' reading' : ' readings',
          `; from ${enoughReadings} on a slip shows.`,
        ],
        figure: figure(answer.readingsUsed, 'count'),
        wayOut: { label: 'Take more readings', target: `offset-${giver.id}` },
      },
    ];
  }),
};

export const offsetFlagged: Rule = {
  id: 'offset-flagged',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver((giver) => {
    const { id, name, plan } = giver;
    const inputs = depthOffsetInputs(plan, id);
    const answer = answerFor(giver);
    if (!inputs || !answer) return [];
    return answer.flagged
      .filter((i) => !answer.excluded.includes(i))
      .flatMap((i) => {
        const reading = inputs.readings[i];
        const difference = answer.differencesM[i];
        if (!reading || difference === undefined) return [];
        const others = answer.differencesM.filter((_, k) => !answer.flagged.includes(k));
        const middle = others.reduce((sum, d) => sum + d, 0) / Math.max(1, others.length);
        const place = inOrder(depthOffsetOf(plan, id).readings).findIndex(([key]) => key === reading.id) + 1;
        return [
          {
            subject: `${id}-${reading.id}`,
            title: `Reading ${place} stands apart`,
            reason: [
              `${name}: it differs by `,
              figure(difference, 'length'),
              ', the others by ',
              figure(middle, 'length'),
              '; a display of ',
              figure(reading.displayedM + difference - middle, 'depth'),
              ' would fit.',
            ],
            figure: figure(difference, 'length'),
            working: answer.working.slice(i, i + 1),
            wayOut: {
              label: 'Leave it out',
              target: `reading-${id}-${reading.id}`,
              edits: [
                {
                  type: 'correctReading' as const,
                  transducerId: id,
                  readingId: reading.id,
                  changes: { leftOut: true },
                },
              ],
            },
          },
        ];
      });
  }),
};

export const readingHalf: Rule = {
  id: 'reading-half',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver(({ id, name, plan }) =>
    inOrder(depthOffsetOf(plan, id).readings).flatMap(([readingId, { leadLineM, displayedM }], i) => {
      const known = leadLineM ?? displayedM;
      if (known === null || (leadLineM !== null && displayedM !== null)) return [];
      const lacks = leadLineM === null ? 'lead line' : 'displayed depth';
      return [
        {
          subject: `${id}-${readingId}`,
          title: `Reading ${i + 1} lacks its partner`,
          reason: [`${name}: `, figure(known, 'depth'), ` has no ${lacks} beside it and does not count.`],
          figure: figure(known, 'depth'),
          wayOut: { label: `Write the ${lacks}`, target: `reading-${id}-${readingId}` },
        },
      ];
    }),
  ),
};

export const offsetUncertain: Rule = {
  id: 'offset-uncertain',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver((giver) => {
    const answer = answerFor(giver);
    const half = answer?.halfInterval95M ?? null;
    const { toleranceM } = depthOffsetOf(giver.plan, giver.id);
    if (half === null || half <= toleranceM) return [];
    return [
      {
        subject: giver.id,
        title: 'Offset is not sure enough',
        reason: [
          `${giver.name}: the offset is known to `,
          figure(half, 'length'),
          ' either way (95 %); your tolerance is ',
          figure(toleranceM, 'length'),
          '.',
        ],
        figure: figure(half, 'length'),
        working: answer?.working.filter(({ symbol }) => symbol === 'SE' || symbol === 'half') ?? [],
        wayOut: { label: 'Take more readings', target: `offset-${giver.id}` },
      },
    ];
  }),
};

/** What the tape says against what the lead line says: the face cannot lie elsewhere than it lies. */
export const offsetGeometry: Rule = {
  id: 'offset-geometry',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver((giver) => {
    const { id, name, plan } = giver;
    const answer = answerFor(giver);
    const transducer = plan.transducers[id];
    const depth = transducer ? faceDepthM(plan, transducer.aboveKeelM) : null;
    if (!answer || answer.flagged.length > answer.excluded.length || depth === null) return [];
    const { reference, toleranceM } = depthOffsetOf(plan, id);
    const toWaterline = answer.offsetM + (reference === 'keel' ? (plan.boat.draughtM ?? 0) : 0);
    const apart = Math.abs(toWaterline - depth);
    // A scale is no scatter: with one, how sure the middle is known is what the readings leave about their line.
    const sure = answer.scaleJustified ? answer.lineErrorM : answer.standardErrorM;
    if (apart <= toleranceM + 3 * (sure ?? 0)) return [];
    return [
      {
        subject: id,
        title: 'Tape and lead line disagree',
        reason: [
          `${name}: by the tape the face lies `,
          figure(depth, 'length'),
          ' below the waterline, by the lead line ',
          figure(toWaterline, 'length'),
          '.',
        ],
        figure: figure(apart, 'length'),
        working: [
          ...answer.working,
          calculated(
            {
              says: 'How far tape and lead line lie apart',
              symbol: 'apart',
              value: apart,
              unit: 'm',
              expression: 'abs(L - (T - z))',
              source: 'plane geometry',
            },
            given('L', toWaterline, 'm', 'face below the waterline by the lead line'),
            given('T', plan.boat.draughtM ?? 0, 'm', 'draught'),
            given('z', transducer?.aboveKeelM ?? 0, 'm', 'face above the keel, by the tape'),
          ),
        ],
        wayOut: {
          label: 'Check draught and height above the keel',
          target: `transducer-above-keel-${id}`,
          stage: 'beams',
        },
      },
    ];
  }),
};
