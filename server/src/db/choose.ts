import type { Database } from './database.js';
import { openOnFiles, openOnServer, type OnFiles } from './open.js';

/** The PostgreSQL server that keeps the household, as `DATABASE_URL` names it; null where the data directory does. */
export const databaseUrl = (): string | null => process.env.DATABASE_URL || null;

export type Chosen = OnFiles & {
  url: string | null;
  /** Of what an earlier program left on a server; in a directory its files are copied. */
  keepCopy?: (database: Database) => Promise<void>;
};

/** Opens the household where it is kept: on a server, or else in the directory. */
export const openChosen = ({ url, keepCopy, ...files }: Chosen): Promise<Database> =>
  url ? openOnServer(url, keepCopy) : openOnFiles(files);
