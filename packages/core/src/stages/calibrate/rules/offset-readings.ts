import { depthOffsetOf, measuredOffset } from '../../../calibration/depth-offset-subject.ts';
import { groundingToleranceM } from '../../../calibration/grounding-tolerance.ts';
import { faceDepthM, inOrder } from '../../../plan/working-water.ts';
import { calculated, given } from '../../../calculation/working-step.ts';
import { between, figure, type Rule } from '../../../findings/rule.ts';
import { answerFor, eachGiver } from './offset-answers.ts';
import { at } from '../../../plan/target.ts';

/** From so many readings on a slip of the tongue can be told from a true one. */
const enoughReadings = 3;

export const offsetFew: Rule<'calibrate'> = {
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
        fix: { label: 'Take more readings', target: at('depthOffsets', giver.id) },
      },
    ];
  }),
};

export const offsetFlagged: Rule<'calibrate'> = {
  id: 'offset-flagged',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver((giver) => {
    const { id, name, plan } = giver;
    const inputs = measuredOffset.slice(plan, id);
    const answer = answerFor(giver);
    if (!inputs || !answer) return [];
    return answer.flagged.flatMap((i) => {
      const reading = inputs.readings[i];
      const difference = answer.differencesM[i];
      if (!reading || difference === undefined) return [];
      const others = answer.differencesM.filter((_, k) => !answer.flagged.includes(k));
      const middle = others.reduce((sum, d) => sum + d, 0) / Math.max(1, others.length);
      const place = inOrder(depthOffsetOf(plan, id).readings).findIndex(([key]) => key === reading.id) + 1;
      return [
        {
          ...between(id, reading.id),
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
          fix: {
            label: 'Leave it out',
            target: at('depthOffsets', id, 'readings', reading.id, 'leadLineM'),
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

export const readingHalf: Rule<'calibrate'> = {
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
          ...between(id, readingId),
          title: `Reading ${i + 1} lacks its partner`,
          reason: [`${name}: `, figure(known, 'depth'), ` has no ${lacks} beside it and does not count.`],
          figure: figure(known, 'depth'),
          fix: { label: `Write the ${lacks}`, target: at('depthOffsets', id, 'readings', readingId, 'leadLineM') },
        },
      ];
    }),
  ),
};

export const offsetUncertain: Rule<'calibrate'> = {
  id: 'offset-uncertain',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver((giver) => {
    const answer = answerFor(giver);
    const half = answer?.halfInterval95M ?? null;
    const toleranceM = groundingToleranceM(depthOffsetOf(giver.plan, giver.id).toleranceM);
    if (half === null || half <= toleranceM) return [];
    return [
      {
        subject: giver.id,
        title: 'Offset is not sure enough',
        reason: [
          `${giver.name}: the offset is known to `,
          figure(half, 'length'),
          ' either way (95 %); it should be known to ',
          figure(toleranceM, 'length'),
          '.',
        ],
        figure: figure(half, 'length'),
        working: answer?.working.filter(({ symbol }) => symbol === 'SE' || symbol === 'half') ?? [],
        fix: { label: 'Take more readings', target: at('depthOffsets', giver.id) },
      },
    ];
  }),
};

/** What the tape says against what the lead line says: the face cannot lie elsewhere than it lies. */
export const offsetGeometry: Rule<'calibrate'> = {
  id: 'offset-geometry',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver((giver) => {
    const { id, name, plan } = giver;
    const answer = answerFor(giver);
    const transducer = plan.transducers[id];
    const depth = transducer ? faceDepthM(plan, transducer.aboveKeelM) : null;
    if (!answer || answer.flagged.length > 0 || depth === null) return [];
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
        fix: {
          label: 'Check draught and height above the keel',
          target: at('transducers', id, 'aboveKeelM'),
          stage: 'beams',
        },
      },
    ];
  }),
};
