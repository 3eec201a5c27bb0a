import type { Plan } from '@grey-keel/model';
import { at } from '../../../plan/target.ts';

/** The fix of a finding about where something stands. */
export const move = (plan: Plan, id: string) => ({
  label: 'Move it',
  target: plan.stations[id]
    ? at('stations', id, 'place')
    : at(plan.transducers[id] ? 'transducers' : 'equipment', id, 'forwardM'),
});
