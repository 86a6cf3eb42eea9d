import type { Database } from './database.js';
import { openOnFiles, openOnServer, type OnFiles } from './open.js';

export type Chosen = OnFiles & {
  url: string | null;
  /** Of what an earlier program left on a server; in a directory its files are copied. */
  keepCopy?: (database: Database) => Promise<void>;
};

/** Opens the household where it is kept: on a server, or else in the directory, for this process's own work. */
export const openChosen = ({ url, keepCopy, ...files }: Chosen): Promise<Database> =>
  url ? openOnServer(url, keepCopy) : openOnFiles(files);
