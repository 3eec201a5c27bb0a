import type { Plan } from '@grey-keel/model';
import { type DepthOffsetAnswer, measuredOffset } from '../../../calibration/depth-offset-subject.ts';
import { type DepthGiver, depthGivers } from '../../../sources/depth-givers.ts';
import type { Found } from '../../../findings/rule.ts';

export const eachGiver =
  (find: (giver: DepthGiver) => Found[]) =>
  (plan: Plan): Found[] =>
    depthGivers(plan).flatMap(find);

export const answerFor = ({ id, plan }: Pick<DepthGiver, 'id' | 'plan'>): DepthOffsetAnswer | null => {
  const result = measuredOffset.of(plan, id);
  return result?.known ? result.answer : null;
};
