import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import * as z from 'zod';
import { dataFolder } from './data-folder.ts';
import { startServer } from './start-server.ts';

const environmentSchema = z.object({
  GREY_KEEL_HOST: z.string().min(1).default('127.0.0.1'),
  GREY_KEEL_PORT: z.coerce.number().int().min(0).max(65535).default(4310),
  GREY_KEEL_LOG: z.enum(['silent', 'error', 'warn', 'info', 'debug']).default('info'),
});

const parsed = environmentSchema.safeParse(process.env);
if (!parsed.success) {
  console.error(z.prettifyError(parsed.error));
  process.exit(2);
}
const environment = parsed.data;
const log = pino({ level: environment.GREY_KEEL_LOG });
const built = fileURLToPath(new URL('../../web/dist/browser', import.meta.url));

const server = await startServer({
  file: join(dataFolder(), 'grey-keel.sqlite'),
  host: environment.GREY_KEEL_HOST,
  port: environment.GREY_KEEL_PORT,
  webFolder: existsSync(built) ? built : null,
  log,
});
log.info({ address: server.address }, 'serving');
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
