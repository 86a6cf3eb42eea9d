import type { NestExpressApplication } from '@nestjs/platform-express';
import { mkdirSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import type { ServeOptions } from './serving.js';
import { wake } from './wake/index.js';

export const DEFAULT_PORT = 4870;

/** Where the user's own data lives: `BRIGHT_KEEPER_DATA`, or a folder in the home directory. */
export const dataDirectory = (): string => process.env.BRIGHT_KEEPER_DATA || join(homedir(), '.bright-keeper');

/** The PostgreSQL server that keeps the household, as `DATABASE_URL` names it; null where the data directory does. */
export const databaseUrl = (): string | null => process.env.DATABASE_URL || null;

/** @throws RangeError when PORT is not a port. */
export function portFromEnvironment(): number {
  const text = process.env.PORT;
  if (!text) return DEFAULT_PORT;
  const port = Number(text);
  if (!(Number.isInteger(port) && port > 0 && port < 65_536)) throw new RangeError(`PORT is "${text}"; give a number from 1 to 65535.`);
  return port;
}

/**
 * Opens the data and listens on this machine only.
 *
 * @throws DirectoryInUse when the data is open elsewhere; Error when the port is taken.
 */
export async function serve(options: ServeOptions): Promise<{ app: NestExpressApplication; address: string }> {
  // What this process writes is its owner's alone.
  process.umask(0o077);
  // Backups go there by default, wherever the household itself is kept.
  mkdirSync(options.dataDir, { recursive: true, mode: 0o700 });
  // The database wakes on its own thread while the application's code is loaded: a second less to wait.
  const waking = options.url ? null : wake(options.dataDir);
  const { serveOn } = await import('./serving.js');
  return serveOn(waking, options);
}
