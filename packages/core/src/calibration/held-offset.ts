import type { Plan } from '@grey-keel/model';
import { offsetHeldM } from '../plan/held-by.ts';
import { depthOffsetOf } from './depth-offset-subject.ts';

/** The offset that the display of a transducer holds now; what it would begin with where none was spoken of. */
export const heldOffsetM = (plan: Plan, id: string): number =>
  offsetHeldM(plan, id) ?? depthOffsetOf(plan, id).offsetSetM;
