import { glossary } from './glossary.ts';

describe('the glossary', () => {
  it('says of each term once what it means', () => {
    const all = glossary.flatMap(({ terms }) => terms);
    const terms = all.flatMap(({ term }) => term.split(', '));
    expect(terms.filter((term, i) => terms.indexOf(term) < i)).toEqual([]);
    expect(all.filter(({ means }) => means.trim().length < 3)).toEqual([]);
  });
});
