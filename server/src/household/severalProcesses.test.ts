import { routes, type Settings } from '@bright-keeper/contract';
import type { schedule } from '@bright-keeper/core';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { Database, postgres } from '../db/index.js';
import { goBack, goThrough, steps, openOnServer, placeForCopy } from '../startup/index.js';
import { freshOnServer } from '../testing/freshDatabase.js';
import { testApp, type TestApp } from '../testing/testApp.js';
import { ArchiveReader } from './archive.js';
import { writeArchive } from './dump.js';
import { tablesOf } from './tables.js';

const server = inject('postgres');

describe.runIf(server)('a household that an earlier program left on a server', () => {
  it('is kept in a file before it is brought up to date', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-old-'));
    const url = await freshOnServer(server);
    const { folderMillis: last, sql } = steps().at(-1)!;
    // What the last step brought: tables, or columns of tables there were.
    const made = [...sql.join('\n').matchAll(/create table "(\w+)"/gi)].map(([, name]) => name!);
    const added = [...sql.join('\n').matchAll(/alter table "(\w+)" add column "(\w+)"/gi)].map(
      ([, table, column]) => [table!, column!] as const,
    );
    expect(made.length + added.length).toBeGreaterThan(0);
    const earlier = new Database(await postgres(url));
    await earlier.transaction(async (db) => {
      await goBack(
        db,
        (await tablesOf(db)).map((t) => t.name),
      );
      await goThrough(db, steps().slice(0, -1));
    });
    await earlier.pool.query(
      `insert into item (id, name, kind, traits, notes, status, created_at, updated_at)
       values ('00000000-0000-7000-8000-000000000001', 'Kept', 'lens', '{"v":1,"data":{}}', '', 'in-use', now(), now())`,
    );
    await earlier.close();

    const file = placeForCopy(folder, '.zip');
    const grown = await openOnServer(url, { keepCopy: async (old) => void (await writeArchive(old, file, new Date(0))) });
    for (const name of made) await grown.pool.query(`select 1 from "${name}"`);
    for (const [table, column] of added) await grown.pool.query(`select "${column}" from "${table}"`);
    await grown.close();
    const archive = await ArchiveReader.open(file);
    expect(archive.manifest.schemaStep).toBeLessThan(last);
    expect(archive.manifest.tables.map((t) => t.name)).toContain('item');
    expect(archive.manifest.tables.map((t) => t.name).filter((name) => made.includes(name))).toEqual([]);
    for (const [table, column] of added)
      for await (const rows of archive.rows(table))
        expect(rows.filter((row) => Object.hasOwn(JSON.parse(row) as object, column))).toEqual([]);
    archive.close();
    rmSync(folder, { recursive: true });
  });
});

/** Two whole applications, as two processes would be, on one household. */
describe.runIf(server)('two programs on one PostgreSQL database', () => {
  let here: TestApp;
  let there: TestApp;
  beforeAll(async () => {
    const url = await freshOnServer(server);
    here = await testApp({ opened: await openOnServer(url) });
    there = await testApp({ opened: await openOnServer(url) });
  });
  afterAll(() => Promise.all([here.app.close(), there.app.close()]));

  /** Notices travel on their own line; a moment later both know the same. */
  const soon = async (check: () => Promise<void>): Promise<void> => {
    for (let tries = 0; ; tries += 1) {
      try {
        return await check();
      } catch (error) {
        if (tries === 50) throw error;
        await new Promise((resolve) => setTimeout(resolve, 20));
      }
    }
  };
  const agendaOf = async (app: TestApp): Promise<schedule.Agenda> =>
    (await app.http.get(routes.agenda).expect(200)).body as schedule.Agenda;

  it('see what the other one wrote, though both keep what they have worked out', async () => {
    expect((await agendaOf(there)).duties).toEqual((await agendaOf(here)).duties);
    const lens = await here.add('A lens that was never looked at');
    const isAsked = (agenda: schedule.Agenda) => agenda.duties.some((d) => d.subject.name === lens.name);
    expect(isAsked(await agendaOf(here))).toBe(true);
    await soon(async () => expect(isAsked(await agendaOf(there))).toBe(true));

    const { body } = await here.http.get(routes.settings);
    await there.http.get(routes.settings);
    await here.http
      .put(routes.settings)
      .send({ ...(body as Settings), currency: 'CHF' })
      .expect(200);
    await soon(async () => expect((await there.http.get(routes.settings)).body).toMatchObject({ currency: 'CHF' }));
  });

  it('lose no edit: of two at once one is told that it is stale', async () => {
    const lens = await here.add('Edited twice');
    const edit = (app: TestApp, notes: string) => {
      const { name, kind, traits, acquiredOn, version } = lens;
      return app.http.put(routes.item(lens.id)).send({ name, kind, traits, acquiredOn, notes, version });
    };
    const answers = await Promise.all([edit(here, 'from here'), edit(there, 'from there')]);
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409]);
    const kept = answers.find((a) => a.status === 200)!.body as { notes: string };
    await soon(async () => expect((await there.http.get(routes.item(lens.id))).body).toMatchObject({ notes: kept.notes }));
  });

  it('do no duty twice: of many who tick it off at once one did, time and again', async () => {
    const lens = await here.add('Its cap is lost');
    const subject = { kind: 'thing', id: lens.id };
    const tick = (app: TestApp) => app.http.post(routes.dutyDone).send({ code: 'cap-missing', subject });
    // Those who come too late take their turn back, so the next round begins with turns that were given twice.
    for (let round = 0; round < 8; round += 1) {
      for (const app of [here, there]) app.clock.set(new Date(app.clock.now().getTime() + 60_000));
      await here.http.post(routes.capMissing).send({ itemId: lens.id, surface: 'front-cap' }).expect(201);
      await soon(async () =>
        expect((await agendaOf(there)).duties.some((d) => d.subject.id === lens.id && d.code === 'cap-missing')).toBe(true),
      );
      // Of one instant the ids decide what came first, and those of two programs in a test are no clock.
      for (const app of [here, there]) app.clock.set(new Date(app.clock.now().getTime() + 60_000));
      const statuses = (await Promise.all([here, there, here, there, here, there].map(tick))).map((a) => a.status);
      expect(statuses.filter((s) => s === 201)).toHaveLength(1);
      expect(statuses.filter((s) => s >= 500)).toEqual([]);
    }
  });
});
