import { waysOfWorking, type Transducer, type WorkingStep } from '@grey-keel/model';
import { workingBeamOf } from '../../beams/working-beam.ts';
import { inOrder } from '../../plan/working-water.ts';
import { given, reckoned } from '../../working-step.ts';
import { figure, type Found, type Rule } from '../rule.ts';

interface Band {
  readonly low: number;
  readonly high: number;
}

/** A single-frequency pulse still fills about the inverse of its length: a fiftieth of the frequency is the usual order. */
const bandOf = ({ frequencyHz, bandwidthHz }: Transducer['beams'][number]): Band => {
  const width = bandwidthHz ?? frequencyHz / 50;
  return { low: frequencyHz - width / 2, high: frequencyHz + width / 2 };
};

/** The band two units share, Hz. One unit transmits on the beam it works with. */
const sharedBand = (a: Transducer, b: Transducer): WorkingStep => {
  const [p, q] = [bandOf(workingBeamOf(a)), bandOf(workingBeamOf(b))];
  return reckoned(
    {
      says: 'Band both transmit in',
      symbol: 'B',
      value: Math.max(0, Math.min(p.high, q.high) - Math.max(p.low, q.low)),
      unit: 'Hz',
      expression: 'max(0, min(p2, q2) - max(p1, q1))',
      source: 'the bands of the data sheets; a fiftieth of the frequency where none is given',
    },
    given('p1', p.low, 'Hz', `lower edge, ${a.name}`),
    given('p2', p.high, 'Hz', `upper edge, ${a.name}`),
    given('q1', q.low, 'Hz', `lower edge, ${b.name}`),
    given('q2', q.high, 'Hz', `upper edge, ${b.name}`),
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
        return [
          {
            subject: `${idA}-${idB}`,
            title: `Same band while ${ways.join(' and ')}`,
            reason: [`${a.name} and ${b.name} overlap by `, figure(overlap, 'frequency'), ' and transmit together.'],
            figure: figure(overlap, 'frequency'),
            working: [shared],
            wayOut: { label: 'Quiet one of them', target: `transmits-${idA}` },
          },
        ];
      }),
    );
  },
};
