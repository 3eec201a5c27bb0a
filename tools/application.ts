import { fork, type ChildProcess } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const server = fileURLToPath(new URL('../apps/server/src/', import.meta.url));
const built = fileURLToPath(new URL('../apps/web/dist/browser/index.html', import.meta.url));
const killer = join(server, 'testing/kill-before-answer.ts');

/** The real application on a folder of its own, which can be stopped, killed and started again on the same port. */
export interface Application {
  readonly address: string;
  /** The server's process. */
  readonly pid: () => number;
  readonly start: (options?: { killBeforeAnswer?: boolean }) => Promise<void>;
  readonly stop: (signal: 'SIGTERM' | 'SIGKILL') => Promise<void>;
  readonly ended: () => Promise<void>;
  readonly remove: () => Promise<void>;
}

const run = (script: string, env: NodeJS.ProcessEnv, execArgv: string[] = []): ChildProcess =>
  fork(join(server, script), [], {
    execArgv: ['--import', 'tsx', ...execArgv],
    env: { ...process.env, GREY_KEEL_LOG: 'error', ...env },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });

const exit = (child: ChildProcess): Promise<number | null> =>
  new Promise((resolve) =>
    child.exitCode !== null || child.signalCode !== null ? resolve(child.exitCode) : child.once('exit', resolve),
  );

const freePort = (): Promise<number> =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });

const aFolder = (): string => mkdtempSync(join(tmpdir(), 'grey-keel-app-'));

let demo: Promise<string> | null = null;
/** A folder with the demo boats, made once; each application gets a copy of it. */
const demoFolder = (): Promise<string> => {
  demo ??= (async () => {
    const folder = aFolder();
    process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
    if ((await exit(run('demo/main.ts', { GREY_KEEL_DATA: folder }))) !== 0)
      throw new Error('The demo boats could not be made.');
    return folder;
  })();
  return demo;
};

export const startApplication = async (): Promise<Application> => {
  const port = await freePort();
  if (!existsSync(built)) throw new Error('The web application is not built: run "npm run build" first.');
  const folder = aFolder();
  cpSync(await demoFolder(), folder, { recursive: true });
  let child: ChildProcess | null = null;

  const start = (options: { killBeforeAnswer?: boolean } = {}): Promise<void> =>
    new Promise((resolve, reject) => {
      child = run(
        'main.ts',
        { GREY_KEEL_DATA: folder, GREY_KEEL_PORT: String(port) },
        options.killBeforeAnswer ? ['--import', killer] : [],
      );
      child.once('message', () => resolve());
      child.once('exit', (code) =>
        reject(new Error(`The server ended with ${code ?? 'a signal'} before it listened.`)),
      );
    });
  const ended = async (): Promise<void> => {
    if (child) await exit(child);
  };
  const stop = async (signal: 'SIGTERM' | 'SIGKILL'): Promise<void> => {
    child?.kill(signal);
    await ended();
  };
  await start();
  return {
    address: `http://127.0.0.1:${port}`,
    pid: () => child?.pid ?? 0,
    start,
    stop,
    ended,
    remove: async () => {
      await stop('SIGTERM');
      rmSync(folder, { recursive: true, force: true });
    },
  };
};
