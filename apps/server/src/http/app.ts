import compression from 'compression';
import express, { type Express, type Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { Logger } from 'pino';
import type { CatalogueStore } from '../catalogue/catalogue-store.ts';
import type { Database } from '../database/open-database.ts';
import type { BoatStore } from '../fleet/boat-store.ts';
import type { Printer } from '../handover/printer.ts';
import type { Backups } from '../database/backups.ts';
import { backupRoutes, backupsRoutes, type RestoreBackup } from './backup.ts';
import { boatRoutes, removedBoatRoutes } from './boats.ts';
import { bundleRoutes } from './bundles.ts';
import { calculationRoutes } from './calculations.ts';
import { cardRoutes } from './cards.ts';
import { catalogueRoutes } from './catalogue.ts';
import type { NewsStreams } from './events.ts';
import type { InstrumentSources } from '../instruments/instruments.ts';
import { instrumentRoutes } from './instruments.ts';
import { onlyFromHere } from './only-from-here.ts';
import { openApiDocument } from './open-api.ts';
import { notFound, problemHandler, sendProblem } from './problem.ts';
import type { Recordings } from '../recordings/recordings.ts';
import type { Photographs } from '../photographs/photographs.ts';
import { photographRoutes } from './photographs.ts';
import { recordingRoutes } from './recordings.ts';
import { routesOf } from './routes.ts';
import { withToken } from './token.ts';
import { buildOf, webApplication } from './web-application.ts';
import type { WaitsForExchange } from './waits-for-exchange.ts';

export interface Services {
  readonly boats: BoatStore;
  readonly catalogue: CatalogueStore;
  readonly database: Database;
  readonly log: Logger;
  readonly now: () => Date;
  /** The folder of the built web application, or null to serve the interface alone. */
  readonly webFolder: string | null;
  readonly costlyAMinute?: number;
  readonly backups: Backups;
  readonly restore: RestoreBackup;
  readonly waiting: WaitsForExchange;
  /** Whoever has it comes in from anywhere; null for a server of this machine alone. */
  readonly token: string | null;
  readonly printer: Printer;
  readonly streams: NewsStreams;
  readonly instruments: InstrumentSources;
  readonly recordings: Recordings;
  readonly photographs: Photographs;
  /** The address the program is used under: the browser keeps what waits by it. */
  readonly address: () => string;
}

/** Doors that cost: imports and reports, a minute, where the server was not told another number. */
const usualCostlyAMinute = 60;

const contentPolicy = {
  directives: {
    'default-src': ["'self'"],
    'script-src': ["'self'"],
    // The component library writes its theme into style elements at run time.
    'style-src': ["'self'", "'unsafe-inline'"],
    // The application brings its own.
    'font-src': ["'self'"],
    'img-src': ["'self'", 'data:'],
    'object-src': ["'none'"],
    'frame-ancestors': ["'none'"],
    'upgrade-insecure-requests': null,
  },
};

/** The whole server as one handler. */
export const makeApp = (services: Services): Express => {
  const app = express();
  app.disable('x-powered-by');
  app.use(helmet({ contentSecurityPolicy: contentPolicy, strictTransportSecurity: false }));
  app.use(services.token === null ? onlyFromHere : withToken(services.token));
  const costly = rateLimit({
    windowMs: 60_000,
    limit: services.costlyAMinute ?? usualCostlyAMinute,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (_request, response) =>
      sendProblem(response, { status: 429, title: 'Too many at once', detail: 'Wait a minute and try again.' }),
  });

  const build = services.webFolder === null ? null : buildOf(services.webFolder);
  const api = express.Router();
  api.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    if (build !== null) response.set('Grey-Keel-Build', build);
    next();
  });
  api.use(services.waiting.handler);
  api.get('/health', (_request, response) => {
    response.json({ status: 'ok', at: services.now().toISOString(), address: services.address() });
  });
  const mounts: readonly (readonly [path: string, router: Router])[] = [
    ['/events', services.streams.router],
    ['/boats', boatRoutes(services)],
    ['/removed-boats', removedBoatRoutes(services)],
    ['/boats', cardRoutes(services, costly)],
    ['/bundles', bundleRoutes(services, costly)],
    ['/catalogue', catalogueRoutes(services, costly)],
    ['/calculations', calculationRoutes()],
    ['/instruments', instrumentRoutes(services)],
    ['/recordings', recordingRoutes(services, costly)],
    ['/photographs', photographRoutes(services, costly)],
    ['/backup', backupRoutes(services, costly)],
    ['/backups', backupsRoutes(services, costly)],
  ];
  for (const [path, router] of mounts) api.use(path, router);
  api.get('/openapi.json', (_request, response) => {
    const routes = [['', api] as const, ...mounts].flatMap(([path, router]) => routesOf(`/api${path}`, router));
    response.json(openApiDocument(routes));
  });
  api.use((request, response) => sendProblem(response, notFound(`door ${request.method} ${request.originalUrl}`)));
  app.use('/api', api);
  // What the build has not compressed is, for the first view; answers are not, since over loopback that costs more than it
  // spares.
  if (services.webFolder !== null) app.use(compression({ level: 9 }), webApplication(services.webFolder));
  app.use(problemHandler(services.log));
  return app;
};
