import { waysOfWorking, type Transducer, type WorkingStep } from '@grey-keel/model';
import { workingBeamOf } from '../../beams/working-beam.ts';
import { sentBand, sharedBandHz } from '../../acoustics/sent-band.ts';
import { disturbanceOf, disturbsDb } from '../../disturbance/disturbance.ts';
import { quietPlan } from '../../disturbance/quiet-plan.ts';
import { inOrder } from '../../plan/working-water.ts';
import { given, reckoned } from '../../working-step.ts';
import { figure, type Found, type Rule } from '../rule.ts';

/** The band two units share, Hz. One unit transmits on the beam it works with. */
const sharedBand = (a: Transducer, b: Transducer): WorkingStep => {
  const [p, q] = [sentBand(workingBeamOf(a)), sentBand(workingBeamOf(b))];
  return reckoned(
    {
      says: 'Band both transmit in',
      symbol: 'B',
      value: sharedBandHz(workingBeamOf(a), workingBeamOf(b)),
      unit: 'Hz',
      expression: 'max(0, min(p2, q2) - max(p1, q1))',
      source: 'the bands of the data sheets; a fiftieth of the frequency where none is given',
    },
    given('p1', p[0], 'Hz', `lower edge, ${a.name}`),
    given('p2', p[1], 'Hz', `upper edge, ${a.name}`),
    given('q1', q[0], 'Hz', `lower edge, ${b.name}`),
    given('q2', q[1], 'Hz', `upper edge, ${b.name}`),
  );
};

export const sameBand: Rule = {
  id: 'same-band',
  stage: 'beams',
  severity: 'check',
  find: (plan) => {
    const all = inOrder(plan.transducers);
    return all.flatMap(([idA, a], i) =>
      all.slice(i + 1).flatMap(([idB, b]): Found[] => {
        const ways = waysOfWorking.filter((way) => plan.ways[way] && a.transmitsIn[way] && b.transmitsIn[way]);
        const shared = sharedBand(a, b);
        const overlap = shared.value;
        if (ways.length === 0 || overlap === 0) return [];
        const [on, other] = [
          [idA, a.workingBeam],
          [idB, b.workingBeam],
        ] as const;
        const loudest = [disturbanceOf(plan, on, other), disturbanceOf(plan, other, on)].reduce((best, one) =>
          one && (!best || one.overNoiseDb > best.overNoiseDb) ? one : best,
        );
        // Beams that do not see each other, nor the same bottom, may share a band. Without a water nothing is known.
        if (loudest && loudest.overNoiseDb <= disturbsDb) return [];
        const quiet = quietPlan(plan);
        return [
          {
            subject: `${idA}-${idB}`,
            title: `Same band while ${ways.join(' and ')}`,
            reason: loudest
              ? [
                  `${a.name} and ${b.name} overlap by `,
                  figure(overlap, 'frequency'),
                  ` and transmit together: ${plan.transducers[loudest.sourceId]?.name ?? ''} is `,
                  figure(loudest.overNoiseDb, 'level'),
                  ' over the noise of the other.',
                ]
              : [`${a.name} and ${b.name} overlap by `, figure(overlap, 'frequency'), ' and transmit together.'],
            figure: figure(overlap, 'frequency'),
            working: [...(loudest?.working ?? []), shared],
            wayOut: {
              label: 'Quiet one of them',
              target: `transmits-${idA}`,
              ...(quiet ? { edits: [...quiet.edits] } : {}),
            },
          },
        ];
      }),
    );
  },
};
