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

function portOf(name: string, usual: number): number {
  const text = process.env[name];
  if (!text) return usual;
  const port = Number(text);
  if (!(Number.isInteger(port) && port > 0 && port < 65_535)) throw new RangeError(`${name} is "${text}"; give a number from 1 to 65534.`);
  return port;
}

/** @throws RangeError when PORT is not a port. */
export const portFromEnvironment = (): number => portOf('PORT', DEFAULT_PORT);

/** Two settings that belong together. @throws RangeError where one is there without the other. */
function both(one: string, other: string): [string, string] | null {
  const [first, second] = [process.env[one], process.env[other]];
  if (!first !== !second) throw new RangeError(`${one} and ${other} belong together: set both, or none.`);
  return first && second ? [first, second] : null;
}

/**
 * Where the network is answered, once that is wanted: `NETWORK_PORT`, or the port after the machine's own; the names
 * its network has for it (`NETWORK_NAMES`); a certificate
 * one brings, in the files of `TLS_CERTIFICATE` and `TLS_KEY`; or a proxy in front, asked by `PROXY_NAME` and coming from
 * `PROXY_FROM`.
 *
 * @throws RangeError when NETWORK_PORT is not a port, or one of two settings stands without the other.
 */
export function networkFromEnvironment(): Pick<ServeOptions, 'networkPort' | 'names' | 'tls' | 'proxy'> {
  const tls = both('TLS_CERTIFICATE', 'TLS_KEY');
  const proxy = both('PROXY_NAME', 'PROXY_FROM');
  return {
    networkPort: portOf('NETWORK_PORT', portFromEnvironment() + 1),
    names: process.env.NETWORK_NAMES ?? '',
    tls: tls && { certificate: tls[0], key: tls[1] },
    proxy: proxy && { name: proxy[0], from: proxy[1] },
  };
}

/**
 * Opens the data and listens on this machine, and on its network where that was wanted.
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
