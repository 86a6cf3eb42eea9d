import type { Problem } from '@bright-keeper/contract';
import { ArchiveReader, openInMemory, previewOf, restore, takeIn, writeArchive, type Database } from '@bright-keeper/server';
import { sql } from 'drizzle-orm';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { playDemo } from './play.js';

const LOADED_AT = new Date('2026-05-20T09:00:00Z');

/** The whole demo, out and in again: every row of every table. */
describe('a household in a file', () => {
  const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-household-'));
  const file = join(folder, 'demo.zip');
  let demo: Database;
  beforeAll(async () => {
    demo = await openInMemory();
    await playDemo(demo, LOADED_AT);
    await writeArchive(demo, file, LOADED_AT);
  });
  afterAll(async () => {
    await demo.close();
    rmSync(folder, { recursive: true });
  });

  const opened = async <T>(path: string, work: (archive: ArchiveReader) => Promise<T>): Promise<T> => {
    const archive = await ArchiveReader.open(path);
    return work(archive).finally(() => archive.close());
  };
  const sums = (path: string) => opened(path, (archive) => Promise.resolve(archive.manifest.tables));
  const inEmpty = async <T>(work: (database: Database) => Promise<T>): Promise<T> => {
    const database = await openInMemory();
    return work(database).finally(() => database.close());
  };

  it('holds every table, and is found whole when it is read back', async () => {
    const tables = await sums(file);
    expect(tables.find((t) => t.name === 'item')!.rows).toBeGreaterThanOrEqual(15);
    expect(tables.find((t) => t.name === 'reading_day')!.rows).toBeGreaterThan(100);
    await opened(file, (archive) => archive.verify());
  });

  it('holds nothing that the API would not take', async () => {
    const told = await inEmpty((database) =>
      opened(file, (archive) => restore(database, archive)).catch((error: { problem?: Problem }) => error.problem?.fields),
    );
    expect(told).toMatchObject({ tables: expect.any(Number) as number });
  });

  it('comes back to the last byte: restored, and written again, every table has the same sum', async () => {
    const again = join(folder, 'again.zip');
    await inEmpty(async (database) => {
      const taken = await opened(file, (archive) => restore(database, archive));
      expect(taken.rows).toBe((await sums(file)).reduce((n, t) => n + t.rows, 0));
      await writeArchive(database, again, LOADED_AT);
    });
    expect(await sums(again)).toEqual(await sums(file));
  });

  it('is the same file whenever it is written from the same rows', async () => {
    const twice = join(folder, 'twice.zip');
    await writeArchive(demo, twice, LOADED_AT);
    expect(readFileSync(twice).equals(readFileSync(file))).toBe(true);
  });

  it('is taken into another household beside what that one has, and a second time changes nothing', async () => {
    await inEmpty(async (database) => {
      const own = '00000000-0000-7000-8000-0000000000aa';
      await database.db.execute(
        sql`insert into item (id, name, kind, traits, notes, status, created_at, updated_at)
            values (${own}, 'Own lens', 'lens', '{"v": 2, "data": {}}', '', 'in-use', now(), now())`,
      );
      const first = await previewOf(database, file);
      const items = first.tables.find((t) => t.table === 'item')!;
      expect(items).toEqual({ table: 'item', rows: items.rows, fresh: items.rows, same: 0, changed: 0 });
      expect(first.tables.some((t) => t.table === 'settings')).toBe(false);

      await takeIn(database, file);
      await database.db.execute(
        sql`update item set notes = 'changed here' where id = (select max(id::text)::uuid from item where id <> ${own})`,
      );
      const second = (await previewOf(database, file)).tables.find((t) => t.table === 'item')!;
      expect(second).toEqual({ ...items, fresh: 0, same: items.rows - 1, changed: 1 });

      await takeIn(database, file);
      const third = await previewOf(database, file);
      expect(third.tables.every((t) => t.fresh === 0 && t.changed === 0)).toBe(true);
      const { rows } = await database.db.execute<{ n: number }>(sql`select count(*)::int as n from item where id = ${own}`);
      expect(rows).toEqual([{ n: 1 }]);
    });
  });

  it('is restored into an empty household only', async () => {
    await expect(opened(file, (archive) => restore(demo, archive))).rejects.toMatchObject({ problem: { code: 'household-not-empty' } });
  });

  it('leaves a household as it was when any byte of the file is not what it was', async () => {
    const whole = readFileSync(file);
    const damaged = join(folder, 'damaged.zip');
    await inEmpty(async (database) => {
      for (const at of [0.2, 0.5, 0.8]) {
        const bytes = Buffer.from(whole);
        bytes[Math.floor(bytes.length * at)]! ^= 0x55;
        writeFileSync(damaged, bytes);
        await expect(opened(damaged, (archive) => restore(database, archive))).rejects.toMatchObject({
          problem: { code: expect.stringMatching(/^archive-(damaged|unreadable)$/) as string },
        });
      }
      for (const bytes of [whole.subarray(0, whole.length / 2), Buffer.alloc(0), Buffer.from('no archive at all')]) {
        writeFileSync(damaged, bytes);
        await expect(ArchiveReader.open(damaged)).rejects.toMatchObject({ problem: { code: 'archive-unreadable' } });
      }
      const { rows } = await database.db.execute<{ n: number }>(sql`select count(*)::int as n from item`);
      expect(rows).toEqual([{ n: 0 }]);
    });
  });
});
