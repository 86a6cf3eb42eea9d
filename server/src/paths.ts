import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const beside = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Folders of the project as seen from this file, which lies at the top of `src` and of `dist` alike. */
export const MIGRATIONS = beside('../migrations');
/** An empty household, made when the program is built; there is none beside the sources. */
export const TEMPLATE = beside('../dist/template/db');
/** The embedded database's thread, as built. */
export const DATABASE_THREAD = beside('../dist/db/embedded/thread.js');
export const WORKERS = beside('../workers');
export const WEB = beside('../../web/dist');
/** What this program calls itself. */
export const VERSION = (JSON.parse(readFileSync(beside('../package.json'), 'utf8')) as { version: string }).version;
