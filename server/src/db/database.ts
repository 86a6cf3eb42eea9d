import { PGlite, types } from '@electric-sql/pglite';
import { drizzle, type PgliteDatabase } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { MIGRATIONS } from '../paths.js';
import { Changes } from './changes.js';
import { DOCUMENTS } from './documents.js';
import { lockDirectory } from './lock.js';
import { beginFromTemplate } from './template.js';
import { rewriteOldDocuments } from './rewriteDocuments.js';

type Drizzle = PgliteDatabase<Record<string, never>>;
/** What a repository queries with: the database itself or a running transaction. */
export type Db = Pick<Drizzle, 'select' | 'selectDistinct' | 'insert' | 'update' | 'delete' | 'execute'>;

/** The open database. Whatever belongs together runs in one `transaction`. */
export abstract class Database {
  abstract readonly db: Db;
  abstract readonly changes: Changes;
  abstract transaction<T>(work: (db: Db) => Promise<T>): Promise<T>;
  abstract close(): Promise<void>;
}

class PgliteStore extends Database {
  constructor(
    readonly db: Drizzle,
    readonly changes: Changes,
    private readonly client: PGlite,
    private readonly release: () => Promise<void>,
  ) {
    super();
  }

  async transaction<T>(work: (db: Db) => Promise<T>): Promise<T> {
    try {
      return await this.db.transaction(work);
    } catch (error) {
      this.changes.undone();
      throw error;
    }
  }

  async close(): Promise<void> {
    await this.client.close();
    await this.release();
  }
}

/** Bytes as PostgreSQL writes them, `\\x` and two digits each. The driver's own way takes twenty times as long. */
function bytesFrom(text: string): Uint8Array {
  const { buffer, byteOffset, byteLength } = Buffer.from(text.slice(2), 'hex');
  return new Uint8Array(buffer, byteOffset, byteLength);
}
const hexOf = (bytes: Uint8Array): string => `\\x${Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).toString('hex')}`;

/**
 * Opens the database in a directory of its own and brings its schema up to date; without a directory it lives
 * in memory, where it may begin as a dump of another one: that is five times quicker than a new one.
 *
 * @throws DirectoryInUse when another process has the directory open.
 */
export async function openDatabase(dataDir?: string, loadDataDir?: Blob): Promise<Database> {
  if (dataDir) mkdirSync(dataDir, { recursive: true });
  const release = dataDir ? await lockDirectory(dataDir) : async () => {};
  try {
    if (dataDir) beginFromTemplate(join(dataDir, 'db'));
    const client = await PGlite.create({
      ...(dataDir ? { dataDir: join(dataDir, 'db') } : {}),
      ...(loadDataDir ? { loadDataDir } : {}),
      parsers: { [types.BYTEA]: bytesFrom },
      serializers: { [types.BYTEA]: hexOf },
    });
    const changes = new Changes();
    const db = drizzle(client, { logger: { logQuery: (statement) => changes.note(statement) } });
    await migrate(db, { migrationsFolder: MIGRATIONS });
    await db.transaction((tx) => rewriteOldDocuments(tx, DOCUMENTS));
    return new PgliteStore(db, changes, client, release);
  } catch (error) {
    await release();
    throw error;
  }
}
