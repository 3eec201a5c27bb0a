import type { Plan } from '@grey-keel/model';
import {
  depthOffsetInputs,
  depthOffsetResult,
  type DepthOffsetAnswer,
} from '../../calibration/depth-offset-subject.ts';
import { perPlan } from '../../plan/per-plan.ts';
import { depthGivers, type DepthGiver } from '../../sources/depth-givers.ts';
import type { Found } from '../rule.ts';

export const eachGiver =
  (find: (giver: DepthGiver) => Found[]) =>
  (plan: Plan): Found[] =>
    depthGivers(plan).flatMap(find);

export const answerOfPlan = perPlan((plan, id): DepthOffsetAnswer | null => {
  const inputs = depthOffsetInputs(plan, id);
  const result = inputs && depthOffsetResult(inputs);
  return result?.known ? result.answer : null;
});

export const answerFor = ({ id, plan }: Pick<DepthGiver, 'id' | 'plan'>): DepthOffsetAnswer | null =>
  answerOfPlan(plan, id);
