import type { Plan } from '@grey-keel/model';
import {
  depthOffsetInputs,
  depthOffsetOf,
  depthOffsetResult,
  offsetStanding,
  type DepthOffsetAnswer,
} from '../../calibration/depth-offset-subject.ts';
import { perPlan } from '../../plan/per-plan.ts';
import { faceDepthM, inOrder } from '../../plan/working-water.ts';
import { given, reckoned } from '../../working-step.ts';
import { figure, type Found, type Rule } from '../rule.ts';

interface Sounder {
  readonly id: string;
  readonly name: string;
  readonly plan: Plan;
}

/** The transducers whose depth has to be right: those that sound straight down. */
export const soundersOf = (plan: Plan): Sounder[] =>
  inOrder(plan.transducers).flatMap(([id, { kind, name }]) => (kind === 'sounder' ? [{ id, name, plan }] : []));

const eachSounder =
  (find: (sounder: Sounder) => Found[]) =>
  (plan: Plan): Found[] =>
    soundersOf(plan).flatMap(find);

const answerOfPlan = perPlan((plan, id): DepthOffsetAnswer | null => {
  const inputs = depthOffsetInputs(plan, id);
  const result = inputs && depthOffsetResult(inputs);
  return result?.known ? result.answer : null;
});
const answerFor = ({ id, plan }: Sounder): DepthOffsetAnswer | null => answerOfPlan(plan, id);

/** Whether what the display now holds is known: it is once an offset was entered and nothing changed since. */
const isFresh = ({ id, plan }: Sounder): boolean => offsetStanding(plan, id).state === 'fresh';

export const offsetMissing: Rule = {
  id: 'offset-missing',
  stage: 'calibrate',
  severity: 'check',
  find: eachSounder((sounder) => {
    const { id, name, plan } = sounder;
    if (offsetStanding(plan, id).state !== 'missing') return [];
    const answer = answerFor(sounder);
    return [
      {
        subject: id,
        title: 'Depth is not put right yet',
        reason: answer
          ? [`${name}: `, figure(answer.offsetM, 'length'), ' is worked out and not yet entered on the display.']
          : [
              `${name} has `,
              figure(0, 'count'),
              ' offset: its display shows the depth below its face, or anything else.',
            ],
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
  find: eachSounder(({ id, name, plan }) => {
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

/** What is set is, within the tolerance, the measured offset with its sign turned: the mistake that grounds boats. */
export const offsetWrongSign: Rule = {
  id: 'offset-wrong-sign',
  stage: 'calibrate',
  severity: 'stop',
  find: eachSounder((sounder) => {
    if (isFresh(sounder)) return [];
    const answer = answerFor(sounder);
    if (!answer) return [];
    const { offsetSetM, toleranceM } = depthOffsetOf(sounder.plan, sounder.id);
    const allowance = Math.max(toleranceM, 3 * (answer.standardErrorM ?? 0));
    const turned = offsetSetM * answer.offsetM < 0 && Math.abs(offsetSetM + answer.offsetM) <= allowance;
    if (!turned || Math.abs(answer.offsetM) <= toleranceM) return [];
    const error = offsetSetM - answer.offsetM;
    return [
      {
        subject: sounder.id,
        title: 'Offset has the wrong sign',
        reason: [
          `${sounder.name} is set to `,
          figure(offsetSetM, 'length'),
          ' where ',
          figure(answer.offsetM, 'length'),
          ` was measured: it shows `,
          figure(Math.abs(error), 'length'),
          error > 0 ? ' too much water.' : ' too little.',
        ],
        figure: figure(Math.abs(error), 'length'),
        working: [
          ...answer.working,
          reckoned(
            {
              says: 'What the display shows too much, or too little where it is negative',
              symbol: 'wrong',
              value: error,
              unit: 'm',
              expression: 'o - offset',
              source: 'difference of the two offsets',
            },
            given('o', offsetSetM, 'm', 'offset set in the display'),
            given('offset', answer.offsetM, 'm', 'offset measured'),
          ),
        ],
        wayOut: { label: 'Enter the measured offset', target: `offset-${sounder.id}` },
      },
    ];
  }),
};

export const offsetFlagged: Rule = {
  id: 'offset-flagged',
  stage: 'calibrate',
  severity: 'check',
  find: eachSounder((sounder) => {
    const { id, name, plan } = sounder;
    const inputs = depthOffsetInputs(plan, id);
    const answer = answerFor(sounder);
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
  find: eachSounder(({ id, name, plan }) =>
    inOrder(depthOffsetOf(plan, id).readings).flatMap(([readingId, { leadLineM, displayedM }], i) => {
      const known = leadLineM ?? displayedM;
      if (known === null || (leadLineM !== null && displayedM !== null)) return [];
      const lacks = leadLineM === null ? 'lead line' : 'displayed depth';
      return [
        {
          subject: `${id}-${readingId}`,
          title: `Reading ${i + 1} lacks its partner`,
          reason: [`${name}: `, figure(known, 'depth'), ` has no ${lacks} beside it and is not reckoned with.`],
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
  find: eachSounder((sounder) => {
    const answer = answerFor(sounder);
    const half = answer?.halfInterval95M ?? null;
    const { toleranceM } = depthOffsetOf(sounder.plan, sounder.id);
    if (half === null || half <= toleranceM) return [];
    return [
      {
        subject: sounder.id,
        title: 'Offset is not sure enough',
        reason: [
          `${sounder.name}: the offset is known to `,
          figure(half, 'length'),
          ' either way (95 %); your tolerance is ',
          figure(toleranceM, 'length'),
          '.',
        ],
        figure: figure(half, 'length'),
        working: answer?.working.filter(({ symbol }) => symbol === 'SE' || symbol === 'half') ?? [],
        wayOut: { label: 'Take more readings', target: `offset-${sounder.id}` },
      },
    ];
  }),
};

/** What the tape says against what the lead line says: the face cannot lie elsewhere than it lies. */
export const offsetGeometry: Rule = {
  id: 'offset-geometry',
  stage: 'calibrate',
  severity: 'check',
  find: eachSounder((sounder) => {
    const { id, name, plan } = sounder;
    const answer = answerFor(sounder);
    const transducer = plan.transducers[id];
    const depth = transducer ? faceDepthM(plan, transducer.aboveKeelM) : null;
    if (!answer || answer.flagged.length > answer.excluded.length || depth === null) return [];
    const { reference, toleranceM } = depthOffsetOf(plan, id);
    const toWaterline = answer.offsetM + (reference === 'keel' ? (plan.boat.draughtM ?? 0) : 0);
    const apart = Math.abs(toWaterline - depth);
    if (apart <= toleranceM + 3 * (answer.standardErrorM ?? 0)) return [];
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
          reckoned(
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
