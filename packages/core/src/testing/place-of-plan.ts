import { planSchema, type Finding, type Path } from '@grey-keel/model';
import * as z from 'zod';

/** Whether a path leads to something the schema knows: a field, a thing of a collection, or the collection. */
const leadsSomewhere = (schema: z.core.$ZodType, [step, ...rest]: Path): boolean => {
  if (step === undefined) return true;
  if (schema instanceof z.ZodOptional || schema instanceof z.ZodNullable || schema instanceof z.ZodDefault)
    return leadsSomewhere(schema.unwrap(), [step, ...rest]);
  if (schema instanceof z.ZodObject) {
    const field = (schema.shape as Record<string, z.core.$ZodType>)[step];
    return field !== undefined && leadsSomewhere(field, rest);
  }
  if (schema instanceof z.ZodRecord) return step !== '' && leadsSomewhere(schema.valueType, rest);
  if (schema instanceof z.ZodArray) return typeof step === 'number' && leadsSomewhere(schema.element, rest);
  if (schema instanceof z.ZodUnion) return schema.options.some((option) => leadsSomewhere(option, [step, ...rest]));
  if (schema instanceof z.ZodPipe) return leadsSomewhere(schema.in, [step, ...rest]);
  return false;
};

export const isPlaceOfPlan = (path: Path): boolean => leadsSomewhere(planSchema, path);

/** A fix leads to a place of the plan, or asks for a named action. */
export const expectPlaceOfPlan = ({ id, fix: { target } }: Finding): void => {
  if ('action' in target) return;
  expect(isPlaceOfPlan(target.path))
    .withContext(`${id}: ${target.path.join('/')}`)
    .toBeTrue();
};
