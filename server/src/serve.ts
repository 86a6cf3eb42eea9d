import type { NestExpressApplication } from '@nestjs/platform-express';
import { mkdirSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { openChosen } from './db/choose.js';
import { placeForCopy } from './db/open.js';
import type { Platform } from './db/database.module.js';
import { writeArchive } from './household/dump.js';
import { log } from './platform/log.js';
import { endOnSignals, Ending } from './http/ending.js';
import { DataFolder } from './platform/dataFolder.js';
import { Disk, marginFromEnvironment } from './platform/disk.js';
import { SystemClock, SystemIds } from './platform/clock.js';

export const DEFAULT_PORT = 4870;

/** Where the user's own data lives: `BRIGHT_KEEPER_DATA`, or a folder in the home directory. */
export const dataDirectory = (): string => process.env.BRIGHT_KEEPER_DATA || join(homedir(), '.bright-keeper');

/** @throws RangeError when PORT is not a port. */
export function portFromEnvironment(): number {
  const text = process.env.PORT;
  if (!text) return DEFAULT_PORT;
  const port = Number(text);
  if (!(Number.isInteger(port) && port > 0 && port < 65_536)) throw new RangeError(`PORT is "${text}"; give a number from 1 to 65535.`);
  return port;
}

export type ServeOptions = {
  dataDir: string;
  /** A PostgreSQL server that keeps the household instead of the directory. */
  url?: string | null;
  port: number;
  webDir?: string;
  prepare?: (platform: Platform) => Promise<void>;
};

const portTaken = (port: number) =>
  new Error(`Port ${port} is taken by another program. Stop that one, or choose another port: PORT=${port + 1} npm start`);

/**
 * Opens the data and listens on this machine only.
 *
 * @throws DirectoryInUse when the data is open elsewhere; Error when the port is taken.
 */
export async function serve({
  dataDir,
  url = null,
  port,
  webDir,
  prepare,
}: ServeOptions): Promise<{ app: NestExpressApplication; address: string }> {
  // What this process writes is its owner's alone.
  process.umask(0o077);
  // Backups go there by default, wherever the household itself is kept.
  mkdirSync(dataDir, { recursive: true, mode: 0o700 });
  // The database wakes on its own thread of work, so the application's code is loaded meanwhile: a second less to wait.
  const [database, { createApp }] = await Promise.all([
    openChosen({
      dataDir,
      url,
      apart: true,
      onStopped: (why) => log.error({ why }, 'the database ended and is started anew'),
      keepCopy: async (old) => void (await writeArchive(old, placeForCopy(dataDir, '.zip'), new Date())),
    }),
    import('./app.js'),
  ]);
  const platform: Platform = {
    database,
    clock: new SystemClock(),
    ids: new SystemIds(),
    disk: new Disk(dataDir, marginFromEnvironment()),
    data: new DataFolder(dataDir),
  };
  await prepare?.(platform);
  const ending = new Ending();
  const app = await createApp(platform, webDir, ending);
  try {
    await app.listen(port, '127.0.0.1');
  } catch (error) {
    await app.close();
    throw (error as NodeJS.ErrnoException).code === 'EADDRINUSE' ? portTaken(port) : error;
  }
  endOnSignals(app, ending);
  return { app, address: `http://localhost:${port}` };
}
