import type { Plan } from '@grey-keel/model';
import { builtStages } from './stages.ts';

/**
 * Another boat's plan to start from. What was measured, entered or printed on the first boat is left out: it says
 * nothing about the second one, nor do its named states and photographs. A practice copy is for the simulated boat alone, and says so for good.
 */
export const copyPlan = (
  { practice: _, restorePoints: _points, photographs: _pictures, ...plan }: Plan,
  name: string,
  use: 'boat' | 'practice' = 'boat',
): Plan =>
  builtStages.reduce((copy, { forAnotherBoat }) => ({ ...copy, ...forAnotherBoat(plan) }), {
    ...plan,
    ...(use === 'practice' ? { practice: true as const } : {}),
    boat: { ...plan.boat, name },
  });
