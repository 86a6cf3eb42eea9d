import { routes, type Health, type Problem } from '@bright-keeper/contract';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import pg from 'pg';
import { openOnServer } from '../startup/index.js';
import { SystemIds } from '../platform/index.js';
import { startCluster, type Cluster } from '../testing/postgresCluster.js';
import { namesOnShelf } from '../testing/namesOnShelf.js';
import { testApp, type TestApp } from '../testing/testApp.js';

const LENS = { kind: 'lens', traits: {}, notes: '', acquiredOn: null };
const WRITERS = 6;
const FALLS = 3;
/** So many writes are acknowledged before each fall, however slow the machine. */
const BEFORE_A_FALL = 12;

type Told = { name: string; status: number; code: string | null };

/** PostgreSQL that falls as by a power cut, and two programs on it. */
describe.runIf(inject('postgres'))('a database that goes', () => {
  let cluster: Cluster;
  let apps: TestApp[];
  beforeAll(async () => {
    cluster = startCluster({ durable: true });
    const url = cluster.urlOf('postgres');
    const program = async () => testApp({ opened: await openOnServer(url), ids: new SystemIds() });
    apps = [await program(), await program()];
  });
  afterAll(async () => {
    await Promise.all(apps.map(({ app }) => app.close()));
    cluster.stop();
  });

  const write = async ({ http }: TestApp, name: string): Promise<Told> => {
    const answer = await http.post(routes.gear).send({ ...LENS, name });
    if (answer.status === 503) expect(Number(answer.headers['retry-after'])).toBeGreaterThan(0);
    return { name, status: answer.status, code: (answer.body as Problem).code ?? null };
  };
  const until = async (done: () => boolean | Promise<boolean>): Promise<void> => {
    while (!(await done())) await new Promise((resolve) => setTimeout(resolve, 20));
  };

  it('costs an answer and no program; what was acknowledged is there, what was refused is not, and both go on by themselves', async () => {
    const told: Told[] = [];
    for (let fall = 0; fall < FALLS; fall += 1) {
      let going = true;
      const kept = () => told.filter((t) => t.status === 201).length;
      const [keptBefore, toldBefore] = [kept(), told.length];
      const writing = Array.from({ length: WRITERS }, async (_, writer) => {
        for (let i = 0; going; i += 1) told.push(await write(apps[writer % 2]!, `Lens ${fall}/${writer}/${i}`));
      });
      await until(() => kept() >= keptBefore + BEFORE_A_FALL);
      cluster.fall();
      await until(() => told.slice(toldBefore).filter((t) => t.status === 503).length >= WRITERS);
      for (const { http } of apps) {
        expect(((await http.get(routes.health).expect(200)).body as Health).database.answers).toBe(false);
        await http.get(routes.gear).expect(503);
      }
      cluster.rise();
      for (const app of apps) await until(async () => (await write(app, `Probe ${fall}`)).status === 201);
      going = false;
      await Promise.all(writing);
      for (const { http } of apps) expect(((await http.get(routes.health)).body as Health).database.answers).toBe(true);
    }
    // A refusal says for sure that nothing was saved; only who waited in vain for the database is told that it is not sure.
    for (const { status, code } of told) expect(['201 null', '503 database-lost', '503 database-away']).toContain(`${status} ${code}`);
    expect(told.filter(({ code }) => code === 'database-lost').length).toBeGreaterThan(
      told.filter(({ code }) => code === 'database-away').length,
    );
    const names = await namesOnShelf(apps[0]!);
    for (const { name, status } of told.filter(({ code }) => code !== 'database-away'))
      expect([name, names.get(name) ?? 0]).toEqual([name, status === 201 ? 1 : 0]);
  });

  it('that takes no more lines says so, and no changes where it is open for reading only', async () => {
    const { http } = apps[0]!;
    const asking = new pg.Client({ connectionString: cluster.urlOf('postgres') });
    await asking.connect();
    await asking.query('alter system set default_transaction_read_only to on');
    await asking.query('select pg_reload_conf()');
    await until(async () => (await http.post(routes.gear).send({ ...LENS, name: 'Refused' })).status !== 201);
    expect(
      (
        await http
          .post(routes.gear)
          .send({ ...LENS, name: 'Refused' })
          .expect(503)
      ).body,
    ).toMatchObject({ code: 'database-read-only' });
    await http.get(routes.gear).expect(200);
    await asking.query('set default_transaction_read_only to off');
    await asking.query('alter system reset default_transaction_read_only');
    await asking.query('select pg_reload_conf()');
    await asking.end();
    await until(async () => (await http.post(routes.gear).send({ ...LENS, name: 'Taken' })).status === 201);
  });
});
