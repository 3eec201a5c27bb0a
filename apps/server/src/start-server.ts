import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Logger } from 'pino';
import { CatalogueStore } from './catalogue/catalogue-store.ts';
import { Backups } from './database/backups.ts';
import { lockFolder } from './database/folder-lock.ts';
import { openDatabase, type Database } from './database/open-database.ts';
import { BoatStore } from './fleet/boat-store.ts';
import { makePrinter } from './handover/printer.ts';
import { makeApp } from './http/app.ts';
import { newsStreams } from './http/events.ts';
import { waitsForExchange } from './http/waits-for-exchange.ts';
import { Photographs } from './photographs/photographs.ts';
import { Recordings, type RecordingsOptions } from './recordings/recordings.ts';
import { restoreBackup } from './restore-backup.ts';
import { InstrumentSources } from './instruments/instruments.ts';

export interface ServerOptions {
  readonly file: string;
  readonly host: string;
  readonly port: number;
  readonly webFolder: string | null;
  readonly log: Logger;
  readonly now?: () => Date;
  /** Needed to listen to more than this machine. */
  readonly token?: string;
  /** How often a minute the costly doors answer: imports, prints, backups. */
  readonly costlyAMinute?: number;
  readonly recordings?: RecordingsOptions;
  /** Where the simulated boat is heard by UDP. */
  readonly simulatorUdpPort?: number;
}

export interface RunningServer {
  readonly address: string;
  readonly boats: BoatStore;
  readonly catalogue: CatalogueStore;
  readonly database: Database;
  readonly instruments: InstrumentSources;
  /** Takes no new requests, lets the running ones end, then closes the database. */
  readonly stop: () => Promise<void>;
}

/** How often it is looked whether the daily backup is due, and what nothing names any more is deleted. */
const keepHouseEveryMs = 3600e3;
/** How long running requests may take to end when the server stops. */
const graceMs = 1500;
/** How long a connection is kept on which nothing is asked. */
const keepAliveMs = 60e3;

/**
 * Locks the folder, opens the database, ships the catalogue and listens. Throws FolderInUse where another server has the
 * folder.
 */
export const startServer = async (options: ServerOptions): Promise<RunningServer> => {
  const unlock = await lockFolder(options.file);
  try {
    return await started(options, unlock);
  } catch (error) {
    await unlock();
    throw error;
  }
};

const started = async (options: ServerOptions, unlock: () => Promise<void>): Promise<RunningServer> => {
  const now = options.now ?? (() => new Date());
  const database = await openDatabase(options.file);
  const boats = new BoatStore(database, now);
  const catalogue = new CatalogueStore(database);
  await catalogue.ship();
  const { log, webFolder, costlyAMinute, simulatorUdpPort } = options;
  const instruments = new InstrumentSources({
    database,
    now,
    ...(simulatorUdpPort === undefined ? {} : { simulatorUdpPort }),
  });
  await instruments.start();
  const recordings = new Recordings(database, now, options.recordings);
  await recordings.clearUnfinished();
  instruments.underWay = () => recordings.underWay();
  const photographs = new Photographs(database, now);
  let cleanedAt: string | null = null;
  const cleanPhotographs = async (): Promise<void> => {
    const cleaned = await photographs.cleanStored();
    cleanedAt = await photographs.cleanedAt();
    if (cleaned > 0)
      options.log.warn(
        { cleaned },
        'photographs lost where they were taken; backups made before this start still hold it: delete those that leave the shop',
      );
  };
  await cleanPhotographs();
  const collect = async (): Promise<void> => {
    const gone = { photographs: await photographs.collect(), recordings: await recordings.collect() };
    if (gone.photographs.length + gone.recordings > 0) options.log.info(gone, 'deleted what nothing names any more');
  };
  const backups = new Backups(database, now, () => cleanedAt);
  for (const left of await backups.prunePutAside())
    options.log.info({ left }, 'deleted an old copy that was put aside');
  for (const left of await backups.clearUnfinished())
    options.log.warn({ left }, 'deleted a copy that was never finished');
  const streams = newsStreams({ boats });
  const printer = makePrinter();
  let address = '';
  const waiting = waitsForExchange(database.gate);
  const restored = async (): Promise<void> => {
    boats.forget();
    await recordings.clearUnfinished();
    await cleanPhotographs();
    // The sources are those of the file that stands there now.
    await instruments.stop();
    await instruments.start();
    await catalogue.ship();
    streams.again();
  };
  const app = makeApp({
    backups,
    restore: restoreBackup({ gate: database.gate, backups, recordings, waiting, restored }),
    waiting,
    token: options.token ?? null,
    streams,
    instruments,
    recordings,
    photographs,
    printer,
    address: () => address,
    boats,
    catalogue,
    database,
    log,
    now,
    webFolder,
    ...(costlyAMinute === undefined ? {} : { costlyAMinute }),
  });
  const server = createServer(app);
  // A slow sheet keeps its reader busy for seconds: a connection closed just as it asks again would be a failure to it.
  server.keepAliveTimeout = keepAliveMs;
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(options.port, options.host, resolve);
  });
  const { port } = server.address() as AddressInfo;
  address = `http://${options.host.includes(':') ? `[${options.host}]` : options.host}:${port}`;
  const lookAfter = async (): Promise<void> => {
    const ahead = backups.list().filter(({ isAhead }) => isAhead);
    if (ahead.length > 0)
      options.log.warn({ backups: ahead.map(({ name }) => name) }, 'backups are dated ahead: was the clock set back?');
    await backups.makeDue();
    await collect();
  };
  const keepHouse = (): void => {
    database.gate
      .share(lookAfter)
      .catch((error: unknown) => options.log.error({ err: error }, 'the daily backup was not made'));
  };
  keepHouse();
  const hourly = setInterval(keepHouse, keepHouseEveryMs);
  hourly.unref();
  return {
    address,
    boats,
    catalogue,
    database,
    instruments,
    stop: async () => {
      clearInterval(hourly);
      await instruments.stop();
      await recordings.close();
      boats.stop();
      await new Promise<void>((resolve) => {
        server.close(() => resolve());
        streams.end();
        server.closeIdleConnections();
        // A browser opens connections ahead of need and says nothing on them; these would hold the stop for a minute.
        setTimeout(() => server.closeAllConnections(), graceMs).unref();
      });
      await printer.close();
      await database.close();
      await unlock();
    },
  };
};
