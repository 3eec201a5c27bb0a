import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { root, run } from './install.mjs';

const sources = ['apps/web/src', 'apps/web/public', 'packages/core/src', 'packages/model/src'];
const files = [
  'apps/web/angular.json',
  'apps/web/tsconfig.json',
  'apps/web/tsconfig.app.json',
  'package-lock.json',
  'tools/build-web.mjs',
];
const stamp = join(root, 'apps/web/dist/.built-from');

/** Once and as tight as it can be, so that the first view waits neither for the wire nor for the server. */
const compress = () => {
  const folder = join(root, 'apps/web/dist/browser');
  for (const name of readdirSync(folder).filter((one) => /\.(js|css)$/.test(one)))
    writeFileSync(join(folder, `${name}.br`), brotliCompressSync(readFileSync(join(folder, name))));
};

const hashOfSources = () => {
  const hash = createHash('sha256');
  const take = (path) => hash.update(path).update(readFileSync(join(root, path)));
  for (const folder of sources)
    for (const entry of readdirSync(join(root, folder), { recursive: true, withFileTypes: true })
      .filter((one) => one.isFile() && !one.name.endsWith('.spec.ts'))
      .map((one) => join(one.parentPath, one.name).slice(root.length + 1))
      .sort())
      take(entry);
  files.forEach(take);
  return hash.digest('hex');
};

/** Builds the web application, unless it was built from just these sources. */
export const buildWeb = () => {
  const wanted = hashOfSources();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Building the web application; this takes about a minute.');
  run('npm', ['run', '--silent', 'build']);
  compress();
  writeFileSync(stamp, wanted);
};

if (process.argv[1] === import.meta.filename) buildWeb();
