import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));

/** Node's own headers, where Debian puts them: the database driver is compiled against these, nothing is fetched. */
const headers = '/usr/include/node';

const environment = { ...process.env, ...(existsSync(headers) ? { npm_config_nodedir: '/usr' } : {}) };

/** Runs a command in the project's folder; its output is shown, and a failure ends the whole. */
export const run = (command, args, options = {}) => {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: environment, ...options });
  if (error) throw error;
  if (status !== 0) {
    console.error(`${command} ${args.join(' ')} ended with ${status}.`);
    process.exit(status ?? 1);
  }
};

const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
const stamp = join(root, 'node_modules', '.grey-keel-installed');

/** Installs the packages of the lock file, unless just these are installed already. */
export const installPackages = () => {
  const wanted = lockHash();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Installing packages; the first time the database driver is compiled, which takes a few minutes.');
  run('npm', ['ci', '--no-audit', '--no-fund']);
  run('node', ['tools/subset-fonts.mjs']);
  writeFileSync(stamp, wanted);
};

const found = (paths) => paths.some((path) => path && existsSync(path));

/** Installs Debian's browser and its driver, unless they are there. */
export const installBrowser = () => {
  const here =
    found([process.env.CHROME_BIN, '/usr/bin/chromium']) &&
    found([process.env.CHROMEDRIVER_BIN, '/usr/bin/chromedriver']);
  if (here) return;
  console.log('Installing Chromium and its driver from Debian.');
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) =>
    run([...asRoot, 'apt-get'][0], [...[...asRoot, 'apt-get'].slice(1), ...args], {
      env: { ...environment, DEBIAN_FRONTEND: 'noninteractive' },
    });
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', 'chromium', 'chromium-driver');
};
