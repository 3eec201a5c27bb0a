import { waysOfWorking, type Transducer } from '@grey-keel/model';
import { workingBeamOf } from '../../beams/working-beam.ts';
import { inOrder } from '../../plan/working-water.ts';
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

/** The widest band two units share, Hz. One unit transmits on the beam it works with. */
const sharedHz = (a: Transducer, b: Transducer): number => {
  const [p, q] = [bandOf(workingBeamOf(a)), bandOf(workingBeamOf(b))];
  return Math.max(0, Math.min(p.high, q.high) - Math.max(p.low, q.low));
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
        const overlap = sharedHz(a, b);
        if (ways.length === 0 || overlap === 0) return [];
        return [
          {
            subject: `${idA}-${idB}`,
            title: `Same band while ${ways.join(' and ')}`,
            reason: [`${a.name} and ${b.name} overlap by `, figure(overlap, 'frequency'), ' and transmit together.'],
            figure: figure(overlap, 'frequency'),
            wayOut: { label: 'Quiet one of them', target: `transmits-${idA}` },
          },
        ];
      }),
    );
  },
};
