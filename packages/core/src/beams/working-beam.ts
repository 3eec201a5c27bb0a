import type { Beam, Transducer } from '@grey-keel/model';

/** The beam a transducer works with: the one chosen, or its first where the choice points past the end. */
export const workingBeamOf = ({ beams, workingBeam }: Pick<Transducer, 'beams' | 'workingBeam'>): Beam => {
  const beam = beams[workingBeam] ?? beams[0];
  if (!beam) throw new Error('A transducer has at least one beam by its schema.');
  return beam;
};
