import * as z from 'zod';
import { planSchema } from '../plan/plan.ts';
import { schemaAt, wordsOf } from './field-words.ts';

/** Every place of the plan that a number stands at, by its path; ids are written as they come. */
const numbersOf = (schema: z.core.$ZodType, path: string[] = []): { path: string[]; schema: z.core.$ZodType }[] => {
  if (schema instanceof z.ZodOptional || schema instanceof z.ZodNullable)
    return numbersOf(schema.def.innerType, path).map((found) =>
      found.path.length === path.length ? { ...found, schema } : found,
    );
  if (schema instanceof z.ZodNumber) return [{ path, schema }];
  if (schema instanceof z.ZodObject)
    return Object.entries(schema.shape as Record<string, z.core.$ZodType>).flatMap(([key, inner]) =>
      numbersOf(inner, [...path, key]),
    );
  if (schema instanceof z.ZodRecord) return numbersOf(schema.valueType, [...path, '*']);
  if (schema instanceof z.ZodArray) return numbersOf(schema.element, [...path, '0']);
  if (schema instanceof z.ZodUnion) return schema.options.flatMap((option) => numbersOf(option, path));
  return [];
};

/** Places and counts that nobody types as a measure, and what was entered: its kind says what that measures. */
const noMeasure =
  /(^|\.)(share|x|y|place|version|workingBeam|depth-display\..*step|entered\.values\.0|halfInterval95|measured\.half95|measured\.standardError)$|^advice\.weights\.\*$/;
/** What the unit at the end of a name allows it to measure. */
const measures: readonly [ending: RegExp, quantities: readonly string[]][] = [
  [/Mps$/, ['speed', 'soundSpeed']],
  [/Cm$/, ['fishLength']],
  [/M$/, ['length', 'depth']],
  [/ByC$/, ['temperatureDifference']],
  [/C$/, ['temperature']],
  [/Deg$/, ['angle']],
  [/Db$/, ['level']],
  [/Hz$/, ['frequency']],
  [/Ppt$/, ['salinity']],
  [/Ah$/, ['charge']],
  [/Ohm$/, ['resistance']],
  [/Px$/, ['pixels']],
  [/[a-z]V$/, ['voltage']],
  [/[a-z]A$/, ['current']],
  [/[a-z]W$/, ['power']],
  [/[a-z]S$/, ['wait', 'duration']],
];

describe('the words of fields', () => {
  const numbers = numbersOf(planSchema).filter(({ path }) => !noMeasure.test(path.join('.')));

  it('are there for every number of a plan, with a quantity its unit allows', () => {
    expect(numbers.length).toBeGreaterThan(80);
    for (const { path, schema } of numbers) {
      const words = wordsOf(schema);
      const name = path.join('.');
      expect(words?.label).withContext(name).toMatch(/\w/);
      const allowed = measures.find(([ending]) => ending.test(path[path.length - 1] ?? ''))?.[1];
      if (allowed)
        expect(allowed)
          .withContext(name)
          .toContain(words?.quantity ?? 'nothing');
      else expect(words?.quantity).withContext(name).toBeDefined();
    }
  });

  it('are found by the path in a plan, through collections and what may be left out', () => {
    const label = (path: (string | number)[]): string | undefined => {
      const schema = schemaAt(planSchema, path);
      return schema ? wordsOf(schema)?.label : undefined;
    };
    expect(schemaAt(z.union([z.string(), z.strictObject({ a: z.number() })]), ['a'])).toBeInstanceOf(z.ZodNumber);
    expect(label(['boat', 'name'])).toBe('Name');
    expect(label(['waters', 'any-id', 'name'])).toBe('Water');
    expect(label(['stations', 'helm', 'eyeAboveKeelM'])).toBe('Eye above the keel');
    expect(label(['transducers', 'a', 'beams', 0, 'frequencyHz'])).toBe('Frequency');
    expect(label(['power', 'circuits', 'c', 'loads', 'l', 'currentA'])).toBe('Current');
    expect(label(['depthOffsets', 'a', 'takenIn', 'temperatureC'])).toBe('Water was');
    expect([label(['boat', 'nothing']), label(['boat', 'name', 'x']), label(['waters'])]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });

  it('are of one field alone, though fields share a schema', () => {
    const depths = ['shallowestM', 'usualDeepestM', 'greatestM'].map((field) => {
      const schema = schemaAt(planSchema, ['waters', 'a', field]);
      return schema && wordsOf(schema)?.label;
    });
    expect(depths).toEqual(['Shallowest', 'Usual deepest', 'Greatest depth']);
  });
});
