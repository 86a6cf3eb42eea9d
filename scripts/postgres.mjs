import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { installFromDebian } from './debian.mjs';

const HOME = '/usr/lib/postgresql';
const isThere = () => existsSync(HOME) && readdirSync(HOME).some((version) => existsSync(join(HOME, version, 'bin', 'initdb')));

/** Debian's PostgreSQL, installed when it is not there; the tests start a server of their own from it. */
export function ensurePostgres() {
  if (!isThere()) installFromDebian('postgresql');
}
