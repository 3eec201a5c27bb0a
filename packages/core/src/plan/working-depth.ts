import { type Edit, emptyPlan, type Plan, planShape, type Water } from '@grey-keel/model';

const workingDepthSchema = planShape.shape.working.shape.depthM;

/** What the working depth is before anybody chose one. */
const untouchedM = emptyPlan('').working.depthM;

/**
 * The working depth goes with the usual deepest of the water that is worked in, until another is chosen: the edit that
 * brings it there, or none.
 */
export const workingDepthFollows = (plan: Plan, waterId: string, changes: Partial<Water>): Edit[] => {
  const { depthM, waterId: working } = plan.working;
  const { usualDeepestM } = changes;
  const wanted = workingDepthSchema.safeParse(usualDeepestM);
  if (working !== waterId || !wanted.success) return [];
  const followed = depthM === untouchedM || depthM === plan.waters[waterId]?.usualDeepestM;
  return followed && wanted.data !== depthM ? [{ type: 'workAtDepth', depthM: wanted.data }] : [];
};
