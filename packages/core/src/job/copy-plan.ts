import { forAnotherBoat as withoutItsOwn, type Plan, planShape } from '@grey-keel/model';
import { builtStages } from './stages.ts';

/**
 * Another boat's plan to start from. What was measured, entered or printed on the first boat is left out: it says
 * nothing about the second one, nor do its named states and photographs, and whose it is. What its fields declare to be of
 * one boat goes by their schemas, the rest stage by stage. A practice copy is for the simulated boat alone, and says so for good.
 */
export const copyPlan = (
  { practice: _, restorePoints: _points, photographs: _pictures, ...plan }: Plan,
  name: string,
  use: 'boat' | 'practice' = 'boat',
): Plan =>
  builtStages.reduce((copy, { forAnotherBoat }) => ({ ...copy, ...forAnotherBoat(plan) }), {
    ...(withoutItsOwn(planShape, plan) as typeof plan),
    ...(use === 'practice' ? { practice: true as const } : {}),
    boat: { ...(withoutItsOwn(planShape.shape.boat, plan.boat) as Plan['boat']), name },
  });
