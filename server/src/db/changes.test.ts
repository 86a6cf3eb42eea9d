import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { items, settings, supplies } from '../tables/index.js';
import { freshDatabase } from '../testing/freshDatabase.js';
import { Changes, Kept, Said, writtenBy } from './changes.js';
import type { Database, Db } from './database.js';

describe('what was written to', () => {
  it.each([
    ['insert into "item" ("id") values ($1)', [items]],
    ['  update "settings" set "version" = $1', [settings]],
    ['delete from item', [items]],
    ['DELETE FROM "supply" where "id" = $1', [supplies]],
    ['select * from "item" for update', []],
    ['begin', []],
    ['with gone as (delete from item returning id) select 1', [items, settings, supplies]],
    ['truncate item', [items, settings, supplies]],
  ])('is told from %s', (statement, moved) => {
    const changes = new Changes();
    const tables = [items, settings, supplies];
    const before = tables.map((t) => changes.stampOf(t));
    changes.note(writtenBy(statement));
    expect(tables.filter((t, i) => changes.stampOf(t) !== before[i])).toEqual(moved);
  });
});

describe('what is said', () => {
  it('counts changes, and not the same words again', () => {
    const said = new Said();
    const first = said.of({ damp: null, names: ['a'] });
    expect(said.of({ damp: null, names: ['a'] })).toBe(first);
    const second = said.of({ damp: '2026-03-10', names: ['a'] });
    expect(second).not.toBe(first);
    // Back to what it was is a change as well: nothing kept for the first is still kept.
    expect(said.of({ damp: null, names: ['a'] })).not.toBe(second);
  });
});

describe('what is kept', () => {
  let database: Database;
  beforeAll(async () => void (database = await freshDatabase()));
  afterAll(() => database.close());

  const kept = new Kept<number>();
  let asked = 0;
  const count = () =>
    kept.get(database.stampFor(database.db, [supplies]), async () => {
      asked += 1;
      const { rows } = (await database.db.execute(sql`select count(*)::int as n from supply`)) as unknown as { rows: { n: number }[] };
      return rows[0]!.n;
    });
  const thing = { thing: 'lens-tissue', role: 'any', state: 'clean', usesSinceWash: 0, stock: 3, note: '' } as const;
  const add = (db: Pick<Database['db'], 'insert'>, id: string) =>
    db.insert(supplies).values({ ...thing, id, createdAt: new Date(0) } as unknown as typeof supplies.$inferInsert);
  const ID = (n: number) => `00000000-0000-7000-8000-00000000000${n}`;

  it('is asked for again when a table it comes from was written to, and not before', async () => {
    expect([await count(), await count(), asked]).toEqual([0, 0, 1]);
    await add(database.db, ID(1));
    expect([await count(), await count(), asked]).toEqual([1, 1, 2]);
    await database.db.update(settings).set({ version: 2 });
    expect([await count(), asked]).toEqual([1, 2]);
  });

  it('is worked out once for all who ask at once, and anew where that failed', async () => {
    const several = new Kept<number>();
    let made = 0;
    const ask = (alone: boolean, fails = false) =>
      several.get({ text: 'now', alone }, async () => {
        made += 1;
        await Promise.resolve();
        if (fails) throw new Error('failed');
        return made;
      });
    expect(await Promise.allSettled([ask(false, true), ask(false)])).toMatchObject([{ status: 'rejected' }, { status: 'rejected' }]);
    expect(await Promise.all([ask(false), ask(false), ask(false)])).toEqual([2, 2, 2]);
    expect([await ask(false), made]).toEqual([2, 2]);
  });

  it('holds nobody up who asks from inside a transaction, for which the others wait', async () => {
    const several = new Kept<number>();
    const countIn = (db: Db) =>
      several.get(database.stampFor(db, [supplies], 'several'), async () => {
        const { rows } = await db.execute<{ n: number }>(sql`select count(*)::int as n from supply`);
        return rows[0]!.n;
      });
    const [inside, outside] = await Promise.all([
      database.transaction(async (db) => {
        await db.execute(sql`select 1`);
        const waiting = countIn(database.db);
        return { own: await countIn(db), waiting };
      }),
      countIn(database.db),
    ]);
    expect([inside.own, await inside.waiting]).toEqual([outside, outside]);
  });

  it('forgets what was seen inside a transaction that was taken back', async () => {
    const before = await count();
    await expect(
      database.transaction(async (db) => {
        await add(db, ID(2));
        // Seen by the transaction itself, under the stamp it made.
        const { rows } = (await db.execute(sql`select count(*)::int as n from supply`)) as unknown as { rows: { n: number }[] };
        await kept.get(database.stampFor(db, [supplies]), () => Promise.resolve(rows[0]!.n));
        throw new Error('taken back');
      }),
    ).rejects.toThrow('taken back');
    expect(await count()).toBe(before);
  });
});
