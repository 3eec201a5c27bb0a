import { type Plan, type Transducer, waysOfWorking, type WorkingStep } from '@grey-keel/model';
import { bandShareDb } from '../../../acoustics/band-share.ts';
import { elementAcoustics } from '../../../beams/element-acoustics.ts';
import { workingBeamOf } from '../../../beams/working-beam.ts';
import { interferenceOf, interferesDb } from '../../../interference/interference.ts';
import { quietPlan } from '../../../interference/quiet-plan.ts';
import { inOrder, workingWater } from '../../../plan/working-water.ts';
import { given } from '../../../calculation/working-step.ts';
import { between, figure, type Found, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

/** A tenth of its power: without a water nothing more is known than that the bands lie on each other. */
const sameBandDb = -10;

/** What of one unit's pulse falls into the other's band, dB: the more of the two ways round. A unit transmits on the beam it works with. */
const shareOf = (plan: Plan, a: Transducer, b: Transducer): WorkingStep => {
  const [p, q] = [a, b].map((one) => {
    const { frequencyHz, bandwidthHz } = elementAcoustics(one, workingBeamOf(one), plan.working.depthM);
    return { middleHz: frequencyHz, widthHz: bandwidthHz };
  });
  const share = p && q ? Math.max(bandShareDb(p, q), bandShareDb(q, p)) : 0;
  return {
    says: 'Of the pulse of one in the band of the other',
    symbol: 'S',
    value: share,
    unit: 'dB',
    expression: null,
    method: 'the spectrum of the pulse times what the receiver passes, added up over all frequencies',
    inputs: [
      given('f1', p?.middleHz ?? 0, 'Hz', a.name),
      given('B1', p?.widthHz ?? 0, 'Hz', `width of its band, ${a.name}`),
      given('f2', q?.middleHz ?? 0, 'Hz', b.name),
      given('B2', q?.widthHz ?? 0, 'Hz', `width of its band, ${b.name}`),
    ],
    source: 'pulse spectrum and receiver band, skirts of 48 dB an octave',
  };
};

export const sameBand: Rule<'beams'> = {
  id: 'same-band',
  stage: 'beams',
  severity: 'check',
  find: (plan) => {
    const all = inOrder(plan.transducers);
    // One for the whole boat: searched for the first pair that needs it.
    let quiet: ReturnType<typeof quietPlan> | undefined;
    return all.flatMap(([idA, a], i) =>
      all.slice(i + 1).flatMap(([idB, b]): Found[] => {
        const ways = waysOfWorking.filter((way) => plan.ways[way] && a.transmitsIn[way] && b.transmitsIn[way]);
        if (ways.length === 0) return [];
        const [on, other] = [
          [idA, a.workingBeam],
          [idB, b.workingBeam],
        ] as const;
        const loudest = [interferenceOf(plan, on, other), interferenceOf(plan, other, on)].reduce((best, one) =>
          one && (!best || one.overNoiseDb > best.overNoiseDb) ? one : best,
        );
        // Beams that do not see each other, nor the same bottom, may share a band. Without a water nothing is known.
        const shared = shareOf(plan, a, b);
        const watered = workingWater(plan) !== null;
        if (watered ? !loudest || loudest.overNoiseDb <= interferesDb : shared.value <= sameBandDb) return [];
        quiet ??= quietPlan(plan);
        return [
          {
            ...between(idA, idB),
            title: `Same band while ${ways.join(' and ')}`,
            reason: loudest
              ? [
                  `${a.name} and ${b.name} transmit together in one band: ${plan.transducers[loudest.sourceId]?.name ?? ''} is `,
                  figure(loudest.overNoiseDb, 'level'),
                  ` over the noise of ${plan.transducers[loudest.victimId]?.name ?? ''}.`,
                ]
              : [
                  `${a.name} and ${b.name} transmit together in one band, `,
                  figure(shared.value, 'level'),
                  ' of one in that of the other.',
                ],
            figure: figure(loudest?.overNoiseDb ?? shared.value, 'level'),
            working: [shared, ...(loudest?.working ?? [])],
            fix: {
              label: 'Quiet one of them',
              target: at('transducers', idA, 'transmitsIn'),
              ...(quiet ? { edits: [...quiet.edits] } : {}),
            },
          },
        ];
      }),
    );
  },
};
