import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { startCluster, type Cluster } from '../testing/postgresCluster.js';
import { Database, type Backing, type Turn, postgres } from '../db/index.js';

/** What becomes of a turn of which nobody heard the end, asked of a server that may have fallen meanwhile. */
describe.runIf(inject('postgres'))('a turn whose end nobody heard', () => {
  let cluster: Cluster;
  let backing: Backing;
  let database: Database;
  beforeAll(async () => {
    cluster = startCluster({ durable: true });
    backing = await postgres(cluster.urlOf('postgres'));
    database = new Database(backing);
    // What is not committed stays out of the log until then, as it may by chance with the time a server takes by itself.
    await database.pool.query(`alter system set wal_writer_delay = '10s'`);
    await database.pool.query('select pg_reload_conf()');
  });
  afterAll(async () => {
    await database.close();
    cluster.stop();
  });

  const turnThat = async (ends: () => Promise<void>): Promise<Turn> => {
    let turn: Turn | null = null;
    await database.db
      .transaction(async (db) => {
        turn = await backing.others!.takeTurn(db);
        await ends();
      })
      .catch(() => {});
    return turn!;
  };
  const fateOf = (turn: Turn) => backing.others!.fateOf(turn);
  const fails = () => Promise.reject(new Error('taken back'));
  const ends = () => Promise.resolve();

  it('was committed or was not, whatever came after it', async () => {
    const [kept, taken] = [await turnThat(ends), await turnThat(fails)];
    for (let more = 0; more < 80; more += 1) await turnThat(ends);
    expect([await fateOf(kept), await fateOf(taken)]).toEqual(['committed', 'aborted']);
  });

  it('is undone where the server fell before its log knew of it, though another transaction is given its number', async () => {
    const lost = await turnThat(() => Promise.resolve(cluster.fall()));
    cluster.rise();
    expect(await fateOf(lost)).toBe('aborted');
    let number = 0n;
    while (number < BigInt(lost.transaction)) number = BigInt((await turnThat(ends)).transaction);
    const { rows } = await database.db.execute<{ status: string }>(sql`select pg_xact_status(${lost.transaction}::xid8) as status`);
    expect([rows[0]!.status, await fateOf(lost)]).toEqual(['committed', 'aborted']);
  });

  it('is kept where the server fell after its commit', async () => {
    const kept = await turnThat(ends);
    cluster.fall();
    cluster.rise();
    await turnThat(ends);
    expect(await fateOf(kept)).toBe('committed');
  });
});
