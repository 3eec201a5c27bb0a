import { run } from './install.mjs';

// What is looked at in several programs is looked at once in each, and again only where it has changed. The web
// application's own types, templates included, are checked when it is built and when its tests are; here on request.
for (const project of ['packages', 'programs'])
  run('node_modules/.bin/tsc', [
    '-p',
    `tsconfig.${project}.json`,
    '--noEmit',
    '--incremental',
    '--tsBuildInfoFile',
    `node_modules/.cache/types/${project}.tsbuildinfo`,
  ]);
if (process.argv.includes('--web')) run('node_modules/.bin/ngc', ['-p', 'apps/web/tsconfig.app.json', '--noEmit']);
