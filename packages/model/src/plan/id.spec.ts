import * as z from 'zod';
import { idSchema, lineSchema, nameSchema, recordById } from './id.ts';

const takes = (schema: z.ZodType, value: unknown): boolean => schema.safeParse(value).success;

describe('an id', () => {
  it('is 1 to 48 small letters, digits and hyphens, and no name that every object inherits', () => {
    for (const id of ['a', '0', 'a-wide', 'x'.repeat(48)]) expect(takes(idSchema, id)).withContext(id).toBeTrue();
    for (const id of ['', 'A', '-a', 'a_b', 'é', 'x'.repeat(49), 'constructor', '__proto__'])
      expect(takes(idSchema, id)).withContext(id).toBeFalse();
  });
});

describe('a name', () => {
  it('is a line of at most 80 letters of any script, one of which can be seen', () => {
    for (const name of ['Old Marl', 'Łódź 7', '鮭', '🎣', 'x'.repeat(80)])
      expect(takes(nameSchema, name)).withContext(name).toBeTrue();
    const refused = ['', '   ', '\u200b', 'x'.repeat(81), 'a\tb', 'a\nb', 'a\u2028b', 'a\u202eb', 'a\ud800', '\u0007a'];
    for (const name of refused) expect(takes(nameSchema, name)).withContext(JSON.stringify(name)).toBeFalse();
  });

  it('may be empty where a line may be, and is no longer than that', () => {
    expect(takes(lineSchema(3), '')).toBeTrue();
    expect([takes(lineSchema(3), 'abc'), takes(lineSchema(3), 'abcd')]).toEqual([true, false]);
  });
});

describe('a collection by id', () => {
  it('holds so many things and no more', () => {
    const of = (count: number) => Object.fromEntries(Array.from({ length: count }, (_, i) => [`t${i}`, i]));
    const schema = recordById(z.number(), 3);
    expect([0, 3, 4].map((count) => takes(schema, of(count)))).toEqual([true, true, false]);
    expect(takes(schema, { 'Not an id': 1 })).toBeFalse();
  });
});
