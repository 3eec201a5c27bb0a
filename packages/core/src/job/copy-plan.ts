import { forAnotherBoat, type Plan, planShape } from '@grey-keel/model';

/**
 * Another boat's plan to start from. What was measured, entered or printed on the first boat is left out: it says
 * nothing about the second one, nor do its named states and photographs, and whose it is. What that is, the schemas of its
 * parts and fields declare. A practice copy is for the simulated boat alone, and says so for good.
 */
export const copyPlan = (plan: Plan, name: string, use: 'boat' | 'practice' = 'boat'): Plan => {
  const copy = forAnotherBoat(planShape, plan) as Plan;
  return {
    ...copy,
    ...(use === 'practice' ? { practice: true as const } : {}),
    boat: { ...copy.boat, name },
  };
};
