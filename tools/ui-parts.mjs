import { execFileSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './install.mjs';

// Which parts of the component library the interface uses, in how many files, and how large the chunks of the last build are.
const files = execFileSync('git', ['ls-files', 'apps/web/src'], { cwd: root, encoding: 'utf8' })
  .split('\n')
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.spec.ts') && existsSync(join(root, file)));
const used = new Map();
for (const file of files)
  for (const [, names, part] of readFileSync(join(root, file), 'utf8').matchAll(
    /import (?:type )?\{([^}]*)\} from 'primeng\/([a-z/]+)'/g,
  )) {
    if (['api', 'config'].includes(part)) continue;
    const of = used.get(part) ?? { names: new Set(), files: 0 };
    for (const name of names.split(',').map((one) => one.trim().replace(/^type /, '')))
      if (name !== '') of.names.add(name);
    used.set(part, { ...of, files: of.files + 1 });
  }
for (const [part, { names, files: count }] of [...used].sort())
  console.log(`${part.padEnd(16)} ${String(count).padStart(3)} files  ${[...names].join(', ')}`);

const built = join(root, 'apps/web/dist/browser');
if (existsSync(built)) {
  console.log('\nLargest chunks, kB as sent:');
  const sizes = readdirSync(built)
    .filter((name) => name.endsWith('.js'))
    .map((name) => [name, readFileSync(join(built, `${name}.br`)).length / 1000]);
  for (const [name, size] of sizes.sort((a, b) => b[1] - a[1]).slice(0, 12))
    console.log(`${size.toFixed(0).padStart(5)}  ${name}`);
}
