import { routes, type Device, type DeviceToken } from '@bright-keeper/contract';
import { getTableName, is, Table } from 'drizzle-orm';
import { AsyncLocalStorage } from 'node:async_hooks';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import pg from 'pg';
import { Kept, writtenBy } from './db/index.js';
import * as tables from './tables/index.js';
import { testApp, type TestApp } from './testing/testApp.js';

const NAMES: ReadonlySet<string> = new Set(Object.values(tables).flatMap((table) => (is(table, Table) ? [getTableName(table)] : [])));
/** The tables a statement reads. */
const readBy = (statement: string): string[] =>
  [...statement.matchAll(/\b(?:from|join)\s+(?:"public"\.)?"?(\w+)"?/gi)].map((m) => m[1]!).filter((name) => NAMES.has(name));

/** What a statement writes to, read in another way than the program does: from the words anywhere in it, but for what is quoted. */
const wordsOf = (statement: string): string => statement.replace(/'[^']*'/g, '').replace(/"(\w+)"/g, '$1');
const writesIn = (statement: string): string[] =>
  [...wordsOf(statement).matchAll(/\b(?:insert\s+into|(?<!for\s|do\s)update|delete\s+from)\s+(\w+)/gi)].map((m) => m[1]!);

/** A value that is being made, and the tables it has read for that. */
type Making = { hangsOn: ReadonlySet<string>; read: Set<string>; within: Making | null };

/** Every value that was kept, with the tables it was said to hang on and those it read while it was made. */
describe('what is kept until a table moves', () => {
  const making = new AsyncLocalStorage<Making>();
  const made: Making[] = [];
  const values = new Set<unknown>();
  const statements = new Set<string>();
  let t: TestApp;

  /** What was read for an inner value was read for the outer one. */
  const note = (names: Iterable<string>): void => {
    for (const name of names) for (let m = making.getStore() ?? null; m; m = m.within) m.read.add(name);
  };

  beforeAll(async () => {
    t = await testApp();
    const { pool } = t.database;
    const ask = pool.query.bind(pool) as (config: string | { text: string }, values?: unknown) => Promise<unknown>;
    pool.query = ((config: string | { text: string }, given?: unknown) => {
      note(readBy(typeof config === 'string' ? config : config.text));
      return ask(config, given);
    }) as typeof pool.query;

    const driver = pg.Client.prototype as unknown as { query: (...given: unknown[]) => unknown };
    const send = driver.query;
    vi.spyOn(driver, 'query').mockImplementation(function (this: unknown, ...given) {
      const [config] = given as [string | { text: string }];
      statements.add(typeof config === 'string' ? config : config.text);
      return send.apply(this, given);
    });

    const hangsOn = new WeakMap<object, ReadonlySet<string>>();
    const stampFor = t.database.stampFor.bind(t.database);
    vi.spyOn(t.database, 'stampFor').mockImplementation((db, of, ...besides) => {
      const stamp = stampFor(db, of, ...besides);
      hangsOn.set(stamp, new Set(of.map(getTableName)));
      return stamp;
    });
    const get = Kept.prototype.get;
    vi.spyOn(Kept.prototype, 'get').mockImplementation(function (this: Kept<unknown>, stamp, make) {
      values.add(this);
      const own = hangsOn.get(stamp)!;
      note(own);
      return get.call(this, stamp, () => {
        const now: Making = { hangsOn: own, read: new Set(), within: making.getStore() ?? null };
        made.push(now);
        return making.run(now, make);
      });
    });
    await live(t);
  });
  afterAll(async () => {
    vi.restoreAllMocks();
    await t.app.close();
  });

  it('was all made, one after another', () => expect(values.size).toBeGreaterThanOrEqual(14));

  it('hangs on every table that was read for it', () => {
    const forgotten = made.flatMap(({ hangsOn, read }) =>
      [...read].filter((name) => !hangsOn.has(name)).map((name) => `${name}, of what hangs on ${[...hangsOn].sort().join(', ')}`),
    );
    expect([...new Set(forgotten)]).toEqual([]);
  });

  it('is told of every statement that writes, and by the table it writes to', () => {
    const writing = [...statements].filter((statement) => writesIn(statement).length > 0);
    expect(writing.length).toBeGreaterThan(20);
    const misread = [...statements].filter((statement) => {
      const written = writtenBy(statement);
      // What cannot be told counts as a write to anything.
      if (written === 'unknown') return false;
      const told = written === 'nothing' ? [] : [written.table];
      return JSON.stringify([...new Set(writesIn(statement))]) !== JSON.stringify(told);
    });
    expect(misread).toEqual([]);
  });
});

/** A household with something of everything, and every page of it asked for. */
async function live(t: TestApp): Promise<void> {
  const lens = await t.add('Fifty', { traits: { yearMade: 1962 } });
  const body = await t.add('Body', { kind: 'mirrorless-body' });
  await t.look(lens.id, { 'front-glass': { dust: 2 }, 'inner-glass': { fungus: 1 } });
  await t.look(body.id, { 'sensor-cover': { dust: 2 } });
  await t.startCleaning(lens.id);
  const place = await t.addPlace({ kind: 'sealed-box', name: 'Box' });
  await t.http.put(routes.itemPlace(lens.id)).send({ placeId: place.id }).expect(200);
  const probe = { name: 'Probe', source: 'push', outdoor: false, placeId: place.id, everyMinutes: 10, note: '' };
  const device = (await t.http.post(routes.devices).send(probe).expect(201)).body as Device;
  const { token } = (await t.http.post(routes.deviceToken(device.id)).expect(201)).body as DeviceToken;
  const at = t.clock.now().getTime() / 1000;
  await t.http
    .post(routes.pushReadings)
    .set('authorization', `Bearer ${token}`)
    .send([
      { bt: at - 3600, n: 'temperature', u: 'Cel', v: 20 },
      { n: 'humidity', u: '%RH', v: 68 },
    ])
    .expect(200);
  await t.http.post(routes.placeEvents(place.id)).send({ kind: 'gel-in', desiccant: 'silica-orange', massG: 100 });
  const outing = { name: 'Shore', place: 'shore', from: '2026-03-01', to: '2026-03-02', itemIds: [lens.id], met: [], note: '' };
  await t.http
    .post(routes.outings)
    .send({ ...outing, frames: 100, lensChanges: null, hours: null })
    .expect(201);
  await t.http.post(routes.startDrawer).send({});
  const pages = [
    ...[routes.today, routes.gear, routes.item(lens.id), routes.item(body.id), routes.agenda, routes.benchDays, routes.rhythms],
    ...[
      routes.storage,
      routes.placePage(place.id),
      routes.devices,
      routes.device(device.id),
      routes.outings,
      routes.supplies,
      routes.settings,
    ],
    ...[`${routes.sensorFrames}?itemId=${body.id}`, routes.itemLog(lens.id), routes.places],
  ];
  for (const page of pages) await t.http.get(page).expect(200);
}
