import type { Plan } from '@grey-keel/model';
import { offsetStanding } from './depth-offset-subject.ts';

/**
 * What the display shows by a transducer when the keel touches, m; null while its offset is missing or stale, since then
 * nobody knows what is shown.
 */
export const agroundShownM = (plan: Plan, transducerId: string): number | null => {
  const settings = plan.depthOffsets[transducerId];
  if (!settings || offsetStanding(plan, transducerId).state !== 'fresh') return null;
  return settings.reference === 'keel' ? 0 : plan.boat.draughtM;
};
