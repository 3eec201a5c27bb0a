import { run } from './install.mjs';

// The web application's own types, templates included, are checked when it is built and when its tests are.
for (const project of ['packages/model', 'packages/core', 'apps/server', 'e2e', 'tools'])
  run('node_modules/.bin/tsc', ['-p', project, '--noEmit']);
run('node_modules/.bin/ngc', ['-p', 'apps/web/tsconfig.app.json', '--noEmit']);
