import { Linter } from 'eslint';
import tseslint from 'typescript-eslint';
import { retiredWords } from './retired-words.mjs';

describe('the lint of retired words', () => {
  const linter = new Linter();
  const said = (code: string): string[] =>
    linter
      .verify(code, {
        languageOptions: { parser: tseslint.parser },
        rules: { 'no-restricted-syntax': ['error', ...retiredWords] },
      })
      .map(({ message }) => message);

  it('refuses them in texts and templates', () => {
    for (const code of [
      "const a = 'An alarm that calls at 3 m';",
      "const a = 'Take it off the boat';",
      'const a = `What is sought in ${1}`;',
      '@Component({ template: `<p>The two clash here.</p>` }) class A {}',
      "const a = { label: 'Give or take 3 m' };",
    ])
      expect(said(code).length).withContext(code).toBe(1);
  });

  it('refuses them in public names', () => {
    expect(said('export const disturbanceOf = 1;').length).toBe(1);
    expect(said('export interface TravelClash { a: 1 }').length).toBe(1);
    expect(said('export const wantsOf = () => 1;').length).toBe(1);
    for (const name of ['reachOf', 'keptRevision', 'soughtAt'])
      expect(said(`export const ${name} = 1;`).length)
        .withContext(name)
        .toBe(1);
  });

  it('leaves keys of plans, names of calculations and other words alone', () => {
    for (const code of [
      "const a = plan['sought'];",
      "const a = { name: 'reach', label: 'detection range' };",
      "import { a } from './what is sought.ts';",
      "const a = 'Another one, where the boat is heard';",
      'export const requirementsOf = (wants: number) => wants;',
    ])
      expect(said(code)).withContext(code).toEqual([]);
  });
});
