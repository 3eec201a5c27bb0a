import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import * as z from 'zod';
import { databaseIn, dataFolder, keepPrivate } from './data-folder.ts';
import { FolderInUse } from './database/folder-lock.ts';
import { shortestToken } from './http/token.ts';
import { dataFault, portFault } from './start/start-fault.ts';
import { startServer } from './start-server.ts';

const loopback = /^(127(\.\d+){3}|::1|localhost)$/;
const environmentSchema = z
  .object({
    GREY_KEEL_HOST: z.string().min(1).default('127.0.0.1'),
    GREY_KEEL_PORT: z.coerce.number().int().min(0).max(65535).default(4310),
    GREY_KEEL_LOG: z.enum(['silent', 'error', 'warn', 'info', 'debug']).default('info'),
    GREY_KEEL_TOKEN: z.string().min(shortestToken).optional(),
  })
  .refine(({ GREY_KEEL_HOST: host, GREY_KEEL_TOKEN: token }) => loopback.test(host) || token !== undefined, {
    path: ['GREY_KEEL_HOST'],
    error: `An address other than this machine's own needs GREY_KEEL_TOKEN, ${shortestToken} characters or more: without it every machine of the network could change the boats.`,
  });

/** Ends before anything is made, with one sentence. */
const refuse = (sentence: string): never => {
  console.error(sentence);
  process.exit(2);
};

const parsed = environmentSchema.safeParse(process.env);
if (!parsed.success) refuse(z.prettifyError(parsed.error));
const environment = environmentSchema.parse(process.env);
const { GREY_KEEL_HOST: host, GREY_KEEL_PORT: port, GREY_KEEL_TOKEN: token } = environment;
const file = databaseIn(dataFolder());
const fault = (await portFault(host, port)) ?? (await dataFault(file));
if (fault !== null) refuse(fault);
keepPrivate(dataFolder());

const log = pino({ level: environment.GREY_KEEL_LOG });
const built = fileURLToPath(new URL('../../web/dist/browser', import.meta.url));
const server = await startServer({
  file,
  host,
  port,
  webFolder: existsSync(built) ? built : null,
  log,
  ...(token === undefined ? {} : { token }),
}).catch((error: unknown) =>
  refuse(
    error instanceof FolderInUse
      ? error.message
      : `${file} cannot be brought up to this version: ${error instanceof Error ? error.message : String(error)}. Restore a backup.`,
  ),
);
log.info(
  { address: server.address, open: loopback.test(host) ? 'to this machine alone' : 'to the network, with the token' },
  'serving',
);
process.send?.({ address: server.address });

let stopping = false;
const stop = (signal: string): void => {
  if (stopping) return;
  stopping = true;
  log.info({ signal }, 'stopping');
  void server.stop().then(() => process.exit(0));
};
process.on('SIGTERM', () => stop('SIGTERM'));
process.on('SIGINT', () => stop('SIGINT'));
