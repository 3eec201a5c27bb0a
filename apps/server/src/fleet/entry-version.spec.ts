import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { scratchFolder } from '../testing/test-server.ts';
import { fleetEntryVersion, versionOf } from './entry-version.ts';

describe('versionOf', () => {
  it('is another whenever a source is another, is new, goes or is renamed, and none for a spec', () => {
    const folder = scratchFolder();
    const at = (name: string): string => join(folder.path, name);
    mkdirSync(at('rules'));
    writeFileSync(at('rules/one.ts'), 'one');
    writeFileSync(at('rules/two.ts'), 'two');
    const seen = [versionOf([folder.path])];
    for (const change of [
      () => writeFileSync(at('rules/one.ts'), 'uno'),
      () => writeFileSync(at('three.ts'), 'three'),
      () => rmSync(at('three.ts')),
      () => {
        rmSync(at('rules/two.ts'));
        writeFileSync(at('rules/dos.ts'), 'two');
      },
    ]) {
      change();
      seen.push(versionOf([folder.path]));
    }
    // Without the third it is as it was before it came.
    expect(seen[3]).toBe(seen[1] ?? NaN);
    expect(new Set(seen).size).toBe(4);
    writeFileSync(at('rules/one.spec.ts'), 'a spec');
    expect(versionOf([folder.path])).toBe(seen[4] ?? NaN);
    for (const one of [...seen, fleetEntryVersion])
      expect(one > 0 && one < 2 ** 31 && Number.isInteger(one)).toBeTrue();
    folder.remove();
  });
});
