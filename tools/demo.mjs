import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { buildWeb } from './build-web.mjs';
import { installPackages, root, run } from './install.mjs';

const unknown = process.argv.slice(2).filter((word) => word !== '--reset');
if (unknown.length > 0) {
  console.error(`"${unknown[0]}" is not known here. Use: npm run demo, or npm run demo -- --reset`);
  process.exit(2);
}
const reset = process.argv.includes('--reset');

installPackages();
buildWeb();

const port = process.env.GREY_KEEL_PORT ?? '4310';
const env = {
  ...process.env,
  GREY_KEEL_DATA: process.env.GREY_KEEL_DATA ?? join(root, 'data', 'demo'),
  GREY_KEEL_PORT: port,
  GREY_KEEL_LOG: process.env.GREY_KEEL_LOG ?? 'warn',
};
const node = (script) => ['--import', 'tsx', join(root, 'apps/server/src', script)];
run(process.execPath, node('demo/main.ts'), { env: { ...env, ...(reset ? { GREY_KEEL_RESET: 'yes' } : {}) } });

const server = spawn(process.execPath, node('main.ts'), {
  cwd: root,
  env,
  stdio: ['inherit', 'inherit', 'inherit', 'ipc'],
});
server.on('message', ({ address }) => {
  console.log(
    `\nGrey Keel serves the demo at ${address}\nIts data lie in ${env.GREY_KEEL_DATA}. Ctrl+C stops it; the boats are kept.\n`,
  );
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
