import compression from 'compression';
import express, { type Express, type Router } from 'express';
import { pino, type Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Database } from './models/database.ts';
import { Refusal } from './refusal.ts';
import { archiveRoutes } from './routes/archive.ts';
import { designRoutes } from './routes/designs.ts';
import { docsRoutes } from './routes/docs.ts';
import { healthRoutes } from './routes/health.ts';
import { madeRoutes } from './routes/made.ts';
import { makingRoutes } from './routes/makings.ts';
import { pageRoutes } from './routes/pages.ts';
import { patternRoutes } from './routes/pattern.ts';
import { photographRoutes } from './routes/photographs.ts';
import { recordRoutes } from './routes/records.ts';
import { answerRefusals } from './routes/refusals.ts';
import { plainAddress, sameSiteOnly, securityHeaders } from './routes/safety.ts';
import { sessionRoutes, signedInOnly } from './routes/session.ts';
import { designService } from './services/designs.ts';
import { dryPieces } from './services/dryPieces.ts';
import { madeService } from './services/made.ts';
import { makingService } from './services/makings.ts';
import { photographService } from './services/photographs.ts';
import { pieceCosts } from './services/pieceCosts.ts';
import { recordsTable } from './services/recordsTable.ts';
import { recordService } from './services/records.ts';
import { revisionFacts } from './services/revisionFacts.ts';
import type { Door } from './services/door.ts';
import type { Workshop } from './workshop/workshop.ts';

/** Parts of the app. */
export interface AppParts {
  readonly database: Database;
  readonly door: Door | null;
  /** Reads bodies and makes patterns. */
  readonly workshop: Workshop;
  /** The address that the server listens on. */
  readonly address: string;
  /** Proxies that are trusted to say who is asking; by default those on this machine. */
  readonly proxies?: readonly string[];
  /** Folder of the built screens, or null for the API alone. */
  readonly pages: string | null;
  /** Folder of the photographs; without one none are kept. */
  readonly photographs?: string;
  readonly logger?: Logger;
}

/** Routers by the path that they are mounted at. */
type Mounted = readonly (readonly [path: string, router: Router])[];

/** Routes open to everybody. */
export function openRouters({ database, door }: AppParts): Mounted {
  return [
    ['/api/health', healthRoutes(database)],
    ['/api/session', sessionRoutes(door)],
    ['/api/docs', docsRoutes()],
  ];
}

/** Routes that need a sign-in where there is a passphrase. */
export function closedRouters({ database, workshop, photographs }: AppParts): Mounted {
  const designs = designService(database);
  const records = recordService(database);
  const makings = makingService(database);
  const facts = revisionFacts(database, designs, workshop);
  const made = {
    made: madeService(database, { records, facts, workshop }),
    costs: pieceCosts(database, records, facts),
    dry: dryPieces(database),
    table: recordsTable(database, makings, records),
    workshop,
  };
  return [
    ['/api/designs', designRoutes(designs, workshop)],
    ...(photographs ? ([['/api', photographRoutes(photographService(database, photographs))]] as const) : []),
    ['/api/makings', makingRoutes(makings, records)],
    ['/api/records', recordRoutes(records)],
    ['/api/made', madeRoutes(made)],
    ['/api/archive', archiveRoutes(database, photographs ?? null)],
    ['/api', patternRoutes(workshop)],
  ];
}

/** Builds the app without listening. */
export function buildApp(parts: AppParts): Express {
  const { door, address, proxies = ['loopback'], pages, logger = pino({ level: 'silent' }) } = parts;
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', [...proxies]);
  app.use(
    pinoHttp({
      logger,
      serializers: {
        req: (req: { method: string; url: string }) => ({ method: req.method, url: req.url }),
        res: (res: { statusCode: number }) => ({ status: res.statusCode }),
      },
      customLogLevel: (_req, res, error) => (error || res.statusCode >= 500 ? 'error' : 'debug'),
    }),
  );
  app.use(...securityHeaders());
  app.use(sameSiteOnly(address), plainAddress);
  app.use('/api', (_req, res, next) => {
    res.set('Cache-Control', 'no-store');
    next();
  });
  // Twice as fast as the usual level, for a twelfth more bytes.
  app.use(compression({ level: 3 }));
  for (const [path, router] of openRouters(parts)) app.use(path, router);
  // Before any body is read.
  app.use('/api', signedInOnly(door));
  for (const [path, router] of closedRouters(parts)) app.use(path, router);
  app.use('/api', (_req, _res, next) => next(new Refusal('not-found')));
  app.use(pageRoutes(pages));
  app.use((_req, _res, next) => next(new Refusal('not-found')));
  app.use(answerRefusals);
  return app;
}
