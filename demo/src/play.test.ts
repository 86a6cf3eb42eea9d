import { openInMemory } from '@bright-keeper/server';
import { describe, expect, it } from 'vitest';
import { INVENTORY } from './inventory.js';
import { playDemo, THINGS } from './play.js';

const LOADED_AT = new Date('2026-05-20T09:00:00Z');

/** Everything the demo has put into a database, as one text. */
async function playedText(): Promise<string> {
  const database = await openInMemory();
  await playDemo(database, LOADED_AT);
  const tables = ['item', 'surface_state', 'contact', 'journal_entry', 'look', 'cleaning', 'outing', 'supply'];
  const rows = await Promise.all(tables.map((table) => database.db.execute(`select * from ${table} order by 1, 2`)));
  await database.close();
  return JSON.stringify(rows.map((r) => r.rows));
}

describe('the demo household', () => {
  it('is always the same for the same day of loading, ids included', async () => {
    expect(await playedText()).toBe(await playedText());
  });

  it('holds at least fifteen things with their past', () => {
    const names = THINGS.map((thing) => thing.name);
    expect(Object.keys(INVENTORY).filter((name) => !names.includes(name))).toEqual([]);
    expect(THINGS.length).toBeGreaterThanOrEqual(15);
    expect(THINGS.filter((t) => t.history.some((h) => h.did === 'look')).length).toBeGreaterThanOrEqual(15);
    expect(THINGS.filter((t) => t.history.some((h) => h.did === 'clean')).length).toBeGreaterThanOrEqual(6);
    expect(new Set(THINGS.map((t) => t.name)).size).toBe(THINGS.length);
  });

  it('has the lens with threads behind its front group, waiting to be isolated', () => {
    const last = THINGS.find((t) => t.name.startsWith('Ostrane 58'))!.history.at(-1)!;
    expect(last).toMatchObject({ daysAgo: 0, did: 'look', seen: { 'inner-glass': { fungus: 2 } } });
  });
});
