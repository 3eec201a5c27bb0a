import { fork, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { startServer, type RunningServer, type ServerOptions } from '../start-server.ts';

export const scratchFolder = (): { path: string; remove: () => void } => {
  const path = mkdtempSync(join(tmpdir(), 'grey-keel-'));
  return { path, remove: () => rmSync(path, { recursive: true, force: true }) };
};

/** A server in this process on a real database file. */
export const serverOn = (folder: string, options: Partial<ServerOptions> = {}): Promise<RunningServer> =>
  startServer({
    file: join(folder, 'grey-keel.sqlite'),
    host: '127.0.0.1',
    port: 0,
    webFolder: null,
    log: pino({ level: 'silent' }),
    ...options,
  });

/** How often costly doors answer where it is not the limit that is tried. */
export const noLimit = { costlyAMinute: Number.MAX_SAFE_INTEGER };

export interface Reply {
  readonly status: number;
  readonly type: string;
  readonly body: unknown;
}

export const ask = async (
  address: string,
  method: string,
  path: string,
  body?: unknown,
  raw = false,
): Promise<Reply> => {
  const response = await fetch(address + path, {
    method,
    ...(body === undefined
      ? {}
      : { headers: { 'content-type': 'application/json' }, body: raw ? (body as string) : JSON.stringify(body) }),
  });
  const text = await response.text();
  const type = response.headers.get('content-type') ?? '';
  return { status: response.status, type, body: type.includes('json') ? (JSON.parse(text) as unknown) : text };
};

export interface ServerProcess {
  readonly address: string;
  readonly child: ChildProcess;
  readonly ended: Promise<number | string>;
}

/** A server in a process of its own, which can be killed. `killBeforeAnswer` kills it after the first write is committed. */
export const serverProcess = (folder: string, killBeforeAnswer = false): Promise<ServerProcess> =>
  new Promise((resolve, reject) => {
    const preload = fileURLToPath(new URL('./kill-before-answer.ts', import.meta.url));
    const child = fork(fileURLToPath(new URL('../main.ts', import.meta.url)), [], {
      execArgv: ['--import', 'tsx', ...(killBeforeAnswer ? ['--import', preload] : [])],
      env: { ...process.env, GREY_KEEL_DATA: folder, GREY_KEEL_PORT: '0', GREY_KEEL_LOG: 'error' },
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    });
    const ended = new Promise<number | string>((done) =>
      child.once('exit', (code, signal) => done(signal ?? code ?? 0)),
    );
    child.once('message', (message) => resolve({ address: (message as { address: string }).address, child, ended }));
    child.once('exit', () => reject(new Error('The server ended before it listened.')));
  });
