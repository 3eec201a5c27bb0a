import { shapeFault } from './json-body.ts';

const nested = (deep: number): unknown => JSON.parse(`${'['.repeat(deep)}${']'.repeat(deep)}`);

describe('the shape of a body', () => {
  it('is at fault where it is nested deeper than any plan, in lists and in objects', () => {
    expect(shapeFault(nested(48))).toBeNull();
    expect(shapeFault(nested(49))).toBe('It is nested more than 48 deep.');
    expect(shapeFault({ wide: Array.from({ length: 500 }, () => ({})), deep: { a: nested(46) } })).toBeNull();
    expect(shapeFault({ deep: { a: nested(47) } })).toContain('nested');
  });

  it('is at fault where it would change what objects are made of, wherever that stands', () => {
    expect(shapeFault(JSON.parse('[{"a":{"__proto__":{}}}]'))).toContain('__proto__');
    expect(shapeFault({ a: { proto: 1 } })).toBeNull();
  });
});
