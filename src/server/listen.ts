import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { pino, type Logger } from 'pino';
import { buildApp } from './app.ts';
import type { Config } from './config.ts';
import { openDatabase, type Database } from './models/database.ts';
import { makeDoor } from './services/door.ts';
import { keepBackups } from './services/backups.ts';
import { seedDemo } from './services/seed.ts';
import { threadedWorkshop } from './workshop/workshop.ts';

/** Longest wait for open requests when the server is asked to stop (ms). */
const STOP_WAIT = 5000;

/** A server that listens. */
export interface Listening {
  /** Its address, with the port that it got. */
  readonly url: string;
  readonly database: Database;
  /** Lets open requests finish, then closes the database. */
  readonly stop: () => Promise<void>;
}

/** What the server is started with besides its settings. */
export interface ListenOptions {
  readonly pages: string | null;
  /** Folder of demo designs for an empty shelf, or null. */
  readonly demo: string | null;
  readonly logger?: Logger;
}

function closeServer(server: Server): Promise<void> {
  return new Promise((resolve) => {
    const late = setTimeout(() => server.closeAllConnections(), STOP_WAIT);
    server.close(() => {
      clearTimeout(late);
      resolve();
    });
    server.closeIdleConnections();
  });
}

/** Opens the database, builds the app and listens. Rejects when the port is taken. */
export async function listen(config: Config, options: ListenOptions): Promise<Listening> {
  const logger = options.logger ?? pino({ level: config.logLevel });
  const database = await openDatabase(config.dataFolder);
  if (options.demo) await seedDemo(database, options.demo);
  const door = config.passphrase === null ? null : await makeDoor(config.passphrase, database);
  const workshop = threadedWorkshop();
  const backups = keepBackups(database, config.dataFolder, (error) =>
    logger.error({ err: error }, 'no backup was made'),
  );
  const server = createServer(
    buildApp({
      database,
      door,
      workshop,
      address: config.address,
      proxies: config.proxies,
      pages: options.pages,
      photographs: join(config.dataFolder, 'photographs'),
      logger,
    }),
  );
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(config.port, config.address, resolve);
  });
  const { port } = server.address() as AddressInfo;
  const host = config.address.includes(':') ? `[${config.address}]` : config.address;
  let stopped: Promise<void> | undefined;
  return {
    url: `http://${host}:${port}/`,
    database,
    stop: () => {
      stopped ??= closeServer(server).then(async () => {
        backups.stop();
        await workshop.close();
        await database.close();
      });
      return stopped;
    },
  };
}
