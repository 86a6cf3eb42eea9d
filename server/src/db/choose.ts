import type { Database } from './database.js';
import { openOnFiles, openOnServer, type OnFiles } from './open.js';

/** The PostgreSQL server that keeps the household, as `DATABASE_URL` names it; null where the data directory does. */
export const databaseUrl = (): string | null => process.env.DATABASE_URL || null;

/** Opens the household where it is kept: on a server, or else in the directory. */
export const openChosen = ({ url, ...files }: OnFiles & { url: string | null }): Promise<Database> =>
  url ? openOnServer(url) : openOnFiles(files);
