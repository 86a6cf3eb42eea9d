import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { StatementNames } from './client.js';
import { Database } from './database.js';
import { overEngine } from './embedded/embedded.js';
import { openEngine, type Engine } from './embedded/engine.js';
import type { Exchange } from '../wake/index.js';

const nameOf = (names: StatementNames, text: string) => {
  const named = names.named({ text, values: [1] });
  return typeof named === 'string' ? undefined : named.name;
};

describe('statements of a line', () => {
  it('are named from the second time on, each by its own name', () => {
    const names = new StatementNames();
    expect(nameOf(names, 'select $1')).toBeUndefined();
    expect(nameOf(names, 'select $1, 2')).toBeUndefined();
    const one = nameOf(names, 'select $1');
    const other = nameOf(names, 'select $1, 2');
    expect(one).toBeTruthy();
    expect(other).not.toBe(one);
    expect(nameOf(names, 'select $1')).toBe(one);
  });

  it('keep what they carry, and a name that somebody else gave', () => {
    const names = new StatementNames();
    expect(names.named('checkpoint')).toBe('checkpoint');
    const given = { text: 'select 1', name: 'mine' };
    expect(names.named(given)).toBe(given);
    names.named({ text: 'select $1', values: [7] });
    expect(names.named({ text: 'select $1', values: [7] })).toMatchObject({ text: 'select $1', values: [7] });
  });

  it('that are many are not all kept ready', () => {
    const names = new StatementNames();
    const texts = Array.from({ length: 1000 }, (_, i) => `select ${i} + $1`);
    const given = new Set(texts.map((text) => (nameOf(names, text), nameOf(names, text))));
    given.delete(undefined);
    expect(given.size).toBeGreaterThan(100);
    expect(given.size).toBeLessThanOrEqual(300);
  });
});

describe('a line to the embedded database', () => {
  it('begins afresh where another left statements ready and a transaction open', async () => {
    const engine = await openEngine(null);
    const line = () => overEngine({ ...engine, close: () => Promise.resolve() }, false);
    for (let i = 0; i < 2; i += 1) {
      const database = new Database(line());
      for (let again = 0; again < 3; again += 1) {
        const { rows } = await database.db.execute(sql`select ${again}::int as told`);
        expect(rows).toEqual([{ told: again }]);
      }
      await database.db.execute(sql`begin`);
      await database.close();
    }
    await engine.close();
  });
});

/** A database whose messages to the engine are kept as they were sent. */
describe('a transaction over the embedded database', () => {
  let engine: Engine;
  let sent: string[];
  let carry: Exchange;
  let database: Database;
  beforeAll(async () => void (engine = await openEngine(null)));
  afterAll(() => engine.close());
  beforeEach(async () => {
    carry = engine.exchange;
    const exchange: Exchange = (message) => {
      sent.push(Buffer.from(message).toString('latin1'));
      return carry(message);
    };
    sent = [];
    database = new Database(overEngine({ exchange, close: () => Promise.resolve() }, true));
    await database.db.execute(sql`drop table if exists kept`);
    await database.db.execute(sql`create table kept (told int primary key)`);
    await database.promise()();
    sent = [];
  });
  const keptIn = async () => (await database.db.execute(sql`select told from kept order by told`)).rows.map((r) => r['told']);
  const keep = (db: Pick<Database['db'], 'execute'>, told: number) => db.execute(sql`insert into kept values (${told})`);

  it('begins with what is asked first, sends together what is asked together, and is on disk when it has ended', async () => {
    const onDisk = database.promise();
    await database.transaction(async (db) => {
      await db.execute(sql`select 1`);
      await Promise.all([keep(db, 1), keep(db, 2)]);
    });
    await onDisk();
    expect(sent).toHaveLength(3);
    expect(sent[0]).toMatch(/begin.*select 1/s);
    expect(sent[2]).toMatch(/synchronous_commit.*commit/s);
    expect(await keptIn()).toEqual([1, 2]);
  });

  it('brings nothing to disk where nothing was written', async () => {
    await database.transaction((db) => db.execute(sql`select 1`));
    expect(sent.join()).not.toMatch(/synchronous_commit|emit_message/);
  });

  it('shares its sync with those who wait for the line', async () => {
    const onDisk = database.promise();
    await Promise.all([1, 2, 3].map((told) => database.transaction((db) => keep(db, told))));
    await onDisk();
    expect(sent.filter((message) => /synchronous_commit|emit_message/.test(message))).toHaveLength(1);
    expect(await keptIn()).toEqual([1, 2, 3]);
  });

  it('takes everything back where one of several asked together fails', async () => {
    const both = database.transaction((db) => Promise.all([keep(db, 1), keep(db, 1), keep(db, 2)]));
    await expect(both).rejects.toThrow();
    expect(await keptIn()).toEqual([]);
  });

  it('tells what failed first, though what was asked beside it and failed with it is heard first', async () => {
    const heardLate = async (asked: Promise<unknown>) => {
      try {
        return await asked;
      } finally {
        for (let i = 0; i < 5; i += 1) await Promise.resolve();
      }
    };
    const failing = database.transaction((db) =>
      Promise.all([heardLate(db.execute(sql`select 1 / 0`)), db.execute(sql`select 1`), db.execute(sql`select 2`)]),
    );
    await expect(failing).rejects.toMatchObject({ cause: { message: expect.stringContaining('division by zero') as string } });
  });

  it('fails where it could not begin', async () => {
    carry = (message) => {
      const text = Buffer.from(message).toString('latin1');
      return engine.exchange(text.includes('begin') ? Buffer.from(text.replace('begin', 'bogus'), 'latin1') : message);
    };
    await expect(database.transaction((db) => db.execute(sql`select 1`))).rejects.toHaveProperty(
      'cause.message',
      expect.stringContaining('bogus'),
    );
  });
});
