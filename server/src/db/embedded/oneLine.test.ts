import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { Database } from '../database.js';
import { overEngine } from './embedded.js';
import { openEngine, type Engine } from './engine.js';
import type { Exchange } from '../../wake/index.js';

/** An engine that answers when it is told to, in the order it was asked. */
describe('a line that is shared', () => {
  let engine: Engine;
  let database: Database;
  let sent: string[];
  let answers: Promise<void>;
  let answer: () => void;
  const hold = () => void (answers = new Promise((resolve) => (answer = resolve)));
  const ask = (told: number) => database.db.execute<{ told: number }>(sql`select ${told}::int as told`).then(({ rows }) => rows[0]!.told);
  /** The program has come to rest: whatever could be sent has been. */
  const rest = () => new Promise((resolve) => setImmediate(() => setImmediate(resolve)));

  beforeEach(async () => {
    engine = await openEngine(null);
    sent = [];
    answers = Promise.resolve();
    const exchange: Exchange = async (message) => {
      sent.push(Buffer.from(message).toString('latin1'));
      const held = answers;
      const said = await engine.exchange(message);
      await held;
      return said;
    };
    database = new Database(overEngine({ exchange, close: () => engine.close() }, false));
    // Each statement is named from its second time on.
    for (let i = 0; i < 2; i += 1) await ask(i);
    sent = [];
  });
  afterEach(() => database.close());

  it('carries what is asked meanwhile without waiting for the answers before it, and each gets its own', async () => {
    hold();
    const first = ask(1);
    await rest();
    const others = Promise.all([ask(2), ask(3)]);
    await rest();
    expect(sent).toHaveLength(2);
    answer();
    expect(await first).toBe(1);
    expect(await others).toEqual([2, 3]);
  });

  it('lets nobody into a transaction, and nobody who came later before it', async () => {
    hold();
    const done: string[] = [];
    const first = ask(1).then(() => done.push('first'));
    await rest();
    const transaction = database.transaction(async (db) => {
      await db.execute(sql`create table kept (told int)`);
      await rest();
      await db.execute(sql`select 1`);
      done.push('transaction');
    });
    const later = ask(2).then(() => done.push('later'));
    await rest();
    expect(sent).toHaveLength(1);
    answer();
    await Promise.all([first, transaction, later]);
    expect(done).toEqual(['first', 'transaction', 'later']);
  });

  it('fails one who asks wrongly, and nobody else', async () => {
    const [good, bad, alsoGood] = await Promise.allSettled([ask(1), database.db.execute(sql`select nonsense`), ask(2)]);
    expect([good, alsoGood]).toEqual([
      { status: 'fulfilled', value: 1 },
      { status: 'fulfilled', value: 2 },
    ]);
    expect(bad.status).toBe('rejected');
    expect(await ask(3)).toBe(3);
  });
});
