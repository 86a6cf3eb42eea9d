import { sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { StatementNames } from './client.js';
import { Database } from './database.js';
import { overEngine } from './embedded/embedded.js';
import { openEngine } from './embedded/engine.js';

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
