import { spawn } from 'node:child_process';
import { once } from 'node:events';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { copyTree, Claim, LOCK_FILE, privateDirectory } from '../wake/index.js';
import { Database, DataTaken, overEngine, engineHere } from '../db/index.js';
import { bringUpToDate, DataIsNewer, goThrough, steps } from './migrate.js';
import { openOnFiles } from './open.js';
import { makeTemplate } from './makeTemplate.js';

const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-open-'));
const template = join(folder, 'template');
beforeAll(() => makeTemplate(template));
afterAll(() => rmSync(folder, { recursive: true }));

let count = 0;
/** A directory with a household in it. */
function household(from = template): string {
  const dataDir = join(folder, `data-${(count += 1)}`);
  mkdirSync(dataDir);
  copyTree(from, join(dataDir, 'db'));
  return dataDir;
}
const open = (dataDir: string) => openOnFiles({ dataDir });
const modesOpenToOthers = (path: string) =>
  readdirSync(path, { recursive: true, withFileTypes: true }).filter((e) => (statSync(join(e.parentPath, e.name)).mode & 0o077) !== 0);

describe('a data directory', () => {
  it('has one owner at a time, by whatever path it is reached, and is free when that one dies', async () => {
    const dataDir = household();
    const other = join(folder, 'other-name');
    symlinkSync(dataDir, other);
    const binding = createRequire(import.meta.url).resolve('fs-native-extensions');
    const holder = spawn(process.execPath, [
      '-e',
      `const fs = require('fs'); const { tryLock } = require(${JSON.stringify(binding)});
       const fd = fs.openSync(${JSON.stringify(join(dataDir, LOCK_FILE))}, 'w+'); fs.writeSync(fd, 'by somebody'); 
       console.log(tryLock(fd)); setInterval(() => {}, 1000);`,
    ]);
    const [said] = (await once(holder.stdout, 'data')) as [Buffer];
    expect(said.toString().trim()).toBe('true');
    expect(() => new Claim(dataDir)).toThrow(/already open: by somebody\..*BRIGHT_KEEPER_DATA/);
    expect(() => new Claim(other)).toThrow(/already open/);
    holder.kill('SIGKILL');
    await once(holder, 'exit');
    new Claim(other).release();
    new Claim(dataDir).release();
  });

  it('stays with its owner when the file that tells of it is removed, which is put back', () => {
    const dataDir = household();
    const ours = new Claim(dataDir);
    const told = readFileSync(join(dataDir, LOCK_FILE), 'utf8');
    rmSync(join(dataDir, LOCK_FILE));
    expect(() => new Claim(dataDir)).toThrow(/already open/);
    expect(ours.holds()).toBe(true);
    expect(readFileSync(join(dataDir, LOCK_FILE), 'utf8').slice(0, 12)).toBe(told.slice(0, 12));
    expect(() => new Claim(dataDir)).toThrow(/already open: by process/);
    ours.release();
    new Claim(dataDir).release();
  });

  it.each([
    ['removed', (dataDir: string) => rmSync(join(dataDir, 'db'), { recursive: true })],
    ['moved away', (dataDir: string) => renameSync(dataDir, `${dataDir}-moved`)],
    [
      'replaced by a copy',
      (dataDir: string) => {
        renameSync(join(dataDir, 'db'), join(dataDir, 'db-old'));
        copyTree(join(dataDir, 'db-old'), join(dataDir, 'db'));
      },
    ],
  ])('is lost to its owner when its data is %s, and nothing is acknowledged from then on', async (_, take) => {
    const dataDir = household();
    const database = await open(dataDir);
    const before = database.promise();
    await database.pool.query('create table written (id int)');
    await before();
    const after = database.promise();
    await database.pool.query('insert into written values (1)');
    take(dataDir);
    await expect(after()).rejects.toThrow(DataTaken);
    expect(database.isOurs()).toBe(false);
    await database.close().catch(() => {});
  });

  it.runIf(process.platform !== 'win32')('is closed to others, with all that is in it', () => {
    const dataDir = household();
    chmodSync(dataDir, 0o755);
    chmodSync(join(dataDir, 'db', 'PG_VERSION'), 0o666);
    mkdirSync(join(dataDir, 'backups'));
    writeFileSync(join(dataDir, 'backups', 'one.zip'), '');
    expect(modesOpenToOthers(dataDir).length).toBeGreaterThan(0);
    privateDirectory(dataDir);
    expect(statSync(dataDir).mode & 0o777).toBe(0o700);
    expect(modesOpenToOthers(dataDir)).toEqual([]);
  });
});

describe('the log of the database', () => {
  it('is moved into the files it belongs to, so that it does not grow for ever', async () => {
    const database = await openOnFiles({ dataDir: household(), checkpointEveryMs: 20 });
    const last = async () =>
      (await database.pool.query<{ at: string }>('select checkpoint_lsn::text as at from pg_control_checkpoint()')).rows[0]!.at;
    // What opening it wrote is moved first.
    await database.checkpoint();
    const before = await last();
    await new Promise((resolve) => setTimeout(resolve, 80));
    // Nothing was written: there is nothing to move.
    expect(await last()).toBe(before);
    await database.pool.query('create table written (id int)');
    await expect.poll(last, { timeout: 5000 }).not.toBe(before);
    await database.close();
  });
});

describe('an upgrade', () => {
  const all = steps();
  const before = all.slice(0, -1);
  let old: string;
  beforeAll(async () => {
    old = join(folder, 'old');
    const database = new Database(overEngine(await engineHere(old), true));
    await database.transaction((db) => goThrough(db, before));
    await database.db.execute(sql`insert into supply (id, thing, role, state, stock, note, created_at)
      values ('00000000-0000-7000-8000-000000000002', 'lens-fluid', 'any', 'clean', 100, 'mine', now())`);
    await database.close();
  });
  const notes = async (database: Database) => (await database.db.execute<{ note: string }>(sql`select note from supply`)).rows;

  it('keeps a copy of what was there, and two of them at the most', async () => {
    const dataDir = household(old);
    const snapshots = () => readdirSync(dataDir).filter((name) => name.startsWith('before-upgrade-'));
    for (const name of ['before-upgrade-2020', 'before-upgrade-2021']) mkdirSync(join(dataDir, name));
    const database = await open(dataDir);
    expect(await notes(database)).toEqual([{ note: 'mine' }]);
    await database.close();
    expect(snapshots()).toHaveLength(2);
    expect(snapshots()).not.toContain('before-upgrade-2020');
    // The copy is the household as it was: it can be opened, and has not been through the last step.
    const kept = new Database(overEngine(await engineHere(join(dataDir, snapshots().sort().at(-1)!)), true));
    expect(await notes(kept)).toEqual([{ note: 'mine' }]);
    const { rows } = await kept.db.execute<{ n: number }>(sql`select count(*)::int as n from drizzle.__drizzle_migrations`);
    expect(rows).toEqual([{ n: before.length }]);
    await kept.close();
    await (await open(dataDir)).close();
    expect(snapshots()).toHaveLength(2);
  });

  it('that fails half-way leaves the old state, and can be tried again', async () => {
    const dataDir = household(old);
    const database = new Database(overEngine(await engineHere(join(dataDir, 'db')), true));
    const broken = { ...all.at(-1)!, sql: [...all.at(-1)!.sql, 'update supply set note = 1 / 0 || note'] };
    await expect(bringUpToDate(database, { all: [...before, broken] })).rejects.toThrow();
    expect(await notes(database)).toEqual([{ note: 'mine' }]);
    await bringUpToDate(database);
    expect(await notes(database)).toEqual([{ note: 'mine' }]);
    await database.close();
  });

  it('by an older program is refused, and changes nothing', async () => {
    const dataDir = household();
    const database = new Database(overEngine(await engineHere(join(dataDir, 'db')), true));
    await expect(bringUpToDate(database, { all: before })).rejects.toThrow(DataIsNewer);
    await database.close();
    await (await open(dataDir)).close();
    expect(readdirSync(dataDir).filter((name) => name.startsWith('before-upgrade-'))).toEqual([]);
    expect(existsSync(join(dataDir, 'db', 'PG_VERSION'))).toBe(true);
  });
});
