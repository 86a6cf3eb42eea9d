import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { readlinkSync } from 'node:fs';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { Database } from '../database.js';
import { overEngine } from './embedded.js';
import { openEngine } from './engine.js';

/** What was synced, in order: files by the folder they lie in, folders by their own name. */
type Synced = { kind: 'file' | 'folder'; of: string };

describe.runIf(process.platform === 'linux')('the embedded database on files', () => {
  const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-durable-'));
  let synced: Synced[] = [];
  let database: Database;
  beforeAll(async () => {
    const engine = await openEngine(join(folder, 'db'), {
      file: (fd) => synced.push({ kind: 'file', of: readlinkSync(`/proc/self/fd/${fd}`).replace(join(folder, 'db'), '') }),
      folder: (path) => synced.push({ kind: 'folder', of: path.replace(join(folder, 'db'), '') }),
    });
    database = new Database(overEngine(engine, true));
    await database.pool.query('create table thing (id int primary key, name text)');
  });
  beforeEach(() => void (synced = []));
  afterAll(async () => {
    await database.close();
    rmSync(folder, { recursive: true });
  });
  const ofTheLog = () => synced.filter((s) => s.kind === 'file' && s.of.startsWith('/pg_wal/'));

  it('syncs its log once before a write is acknowledged, and not for a read', async () => {
    const kept = database.promise();
    await database.pool.query("insert into thing values (1, 'a lens')");
    expect(ofTheLog()).toHaveLength(0);
    await kept();
    expect(ofTheLog()).toHaveLength(1);
    const read = database.promise();
    await database.pool.query('select * from thing');
    await read();
    expect(ofTheLog()).toHaveLength(1);
  });

  it('syncs once for a hundred writes that arrive together', async () => {
    await Promise.all(
      Array.from({ length: 100 }, async (_, i) => {
        const kept = database.promise();
        await database.pool.query('insert into thing values ($1, $2)', [100 + i, 'one of many']);
        await kept();
      }),
    );
    expect(ofTheLog().length).toBeLessThan(100);
    expect(ofTheLog().length).toBeGreaterThan(0);
  });

  it('syncs folders in which files were made, before the files, and data at a checkpoint', async () => {
    await database.pool.query('create table other (id int)');
    await database.pool.query('insert into other select generate_series(1, 1000)');
    await database.checkpoint();
    const firstData = synced.findIndex((s) => s.kind === 'file' && s.of.startsWith('/base/'));
    const itsFolder = synced.findIndex((s) => s.kind === 'folder' && s.of.startsWith('/base/'));
    expect(firstData).toBeGreaterThanOrEqual(0);
    expect(itsFolder).toBeGreaterThanOrEqual(0);
    expect(itsFolder).toBeLessThan(firstData);
    // What says from where the log has to be read again comes last: until then the log is all.
    const control = synced.findIndex((s) => s.kind === 'file' && basename(s.of) === 'pg_control');
    expect(control).toBeGreaterThan(firstData);
    expect(readdirSync(join(folder, 'db')).length).toBeGreaterThan(10);
  });
});
