import { routes, type Item, type ItemPage, type Log, type Shelf } from '@bright-keeper/contract';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Database } from '../db/index.js';
import { testApp, type TestApp } from '../testing/testApp.js';

import { VerdictsService } from '../gear/index.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const lens = { name: 'Corvane 35/2', kind: 'lens', traits: {}, notes: '', acquiredOn: null };
const shelf = async (query = ''): Promise<Shelf> => (await t.http.get(routes.gear + query).expect(200)).body as Shelf;
const names = async (query: string) => (await shelf(query)).items.map((i) => i.name);

describe('putting a thing on the shelf', () => {
  it('keeps it, begins its rhythms and logs it', async () => {
    const item = await t.add('Kept lens', { traits: { weatherSealed: true }, notes: 'from the estate' });
    const page = (await t.http.get(routes.item(item.id)).expect(200)).body;
    expect(page).toMatchObject({ name: 'Kept lens', version: 1, status: 'in-use', verdict: null, surfaces: [], openLookId: null });
    expect(page.due.map((d: { code: string }) => d.code)).toEqual(['light-test', 'exercise', 'shell-and-contacts']);
    expect((await t.http.get(routes.itemLog(item.id))).body.entries.map((e: { data: object }) => e.data)).toEqual([{ kind: 'added' }]);
  });

  it.each([
    ['an empty name', { name: '' }, 'name', /must not be empty/],
    ['a name of nothing but spaces', { name: '   ' }, 'name', /must not be empty/],
    ['no name', { name: undefined }, 'name', /needed/],
    ['a name that is a number', { name: 5 }, 'name', /must be text/],
    ['an unknown kind', { kind: 'submarine' }, 'kind', /Choose one of/],
    ['a trait of another kind', { kind: 'filter', traits: { zoomExtends: true } }, 'traits.zoomExtends', /not known here/],
    ['a trait of the wrong type', { traits: { weatherSealed: 'yes' } }, 'traits.weatherSealed', /yes or no/],
    ['a year before photography', { traits: { yearMade: 1700 } }, 'traits.yearMade', /At least 1840/],
    ['half a year', { traits: { yearMade: 1957.5 } }, 'traits.yearMade', /whole number/],
    ['a day that does not exist', { acquiredOn: '2026-02-30' }, 'acquiredOn', /not a day of the calendar/],
    ['an unknown key', { colour: 'black' }, 'colour', /not known here/],
    ['a particular of another kind', { particulars: { takesMount: 'Arc' } }, 'particulars.takesMount', /not known here/],
    ['a serial number of blanks', { particulars: { serial: '  ' } }, 'particulars.serial', /something to read/],
    ['one tag twice', { particulars: { tags: ['Kit', 'kit'] } }, 'particulars.tags.1', /twice|unique|already/i],
    ['a thread of a bucket', { particulars: { threadMm: 400 } }, 'particulars.threadMm', /At most 200/],
    ['a weight below nothing', { particulars: { massG: -3 } }, 'particulars.massG', /At least/],
  ])('refuses %s and names the field', async (_, change, field, message) => {
    const { body, headers } = await t.http
      .post(routes.gear)
      .send({ ...lens, ...change })
      .expect(400);
    expect(headers['content-type']).toMatch('application/problem+json');
    expect(body).toMatchObject({ status: 400, code: 'bad-input' });
    expect(body.fields[field]).toMatch(message);
  });

  it('answers broken JSON, an unknown address and an unknown thing with problem documents', async () => {
    expect((await t.http.post(routes.gear).set('content-type', 'application/json').send('{"name":').expect(400)).body.code).toBe(
      'bad-json',
    );
    expect((await t.http.get('/api/attic').expect(404)).body.code).toBe('not-found');
    expect((await t.http.get(routes.item('01980000-0000-7000-8000-000000000000')).expect(404)).body.code).toBe('item-not-found');
    expect((await t.http.get(routes.item('one')).expect(400)).body.fields.id).toMatch(/id/);
  });
});

describe('the particulars of a thing', () => {
  const told = { maker: 'Corvane', serial: 'K 11-204', tags: ['kit'], threadMm: 52, insuredFor: 900 };
  const put = (item: Item, change: object) =>
    t.http
      .put(routes.item(item.id))
      .send({ ...lens, name: item.name, version: item.version, ...change })
      .expect(200);
  const log = async (id: string) => ((await t.http.get(routes.itemLog(id))).body as Log).entries.map((e) => e.data);

  it('are kept, changed, and what stood there before is told by its log', async () => {
    const item = await t.add('Told lens', { particulars: told });
    expect(item.particulars).toEqual(told);
    const { insuredFor: _, ...rest } = told;
    const { body } = await put(item, { particulars: { ...rest, insuredFor: 1200, paid: 450 } });
    expect((body as Item).particulars).toMatchObject({ insuredFor: 1200, paid: 450 });
    expect((await log(item.id))[0]).toEqual({ kind: 'edited', changed: ['paid', 'insuredFor'], was: { insuredFor: 900 } });
  });

  it('stay where an edit says nothing of them, but for those another kind does not have', async () => {
    const item = await t.add('Silent edit', { particulars: { ...told, mount: 'Arc' } });
    const kept = (await put(item, {})).body as Item;
    expect(kept.particulars).toEqual({ ...told, mount: 'Arc' });
    const filter = (await put(kept, { kind: 'filter' })).body as Item;
    expect(filter.particulars).toEqual(told);
    expect((await log(item.id))[0]).toMatchObject({ changed: ['kind', 'mount'], was: { mount: 'Arc' } });
    expect(((await put(filter, { kind: 'filter', particulars: {} })).body as Item).particulars).toEqual({});
  });

  it('find it: by a piece of its serial, its maker, a tag, or where it lies; and not by what a field is called', async () => {
    const item = await t.add('Sought one', { particulars: { maker: 'Zephyrine', serial: 'QQ-778-41', tags: ['glen shoot'], paid: 8641 } });
    const place = await t.addPlace({ name: 'Larch chest' });
    await t.http.put(routes.itemPlace(item.id)).send({ placeId: place.id }).expect(200);
    for (const search of ['778-4', 'zephy', 'glen', 'larch']) expect(await names(`?search=${search}`), search).toEqual(['Sought one']);
    for (const search of ['insuredFor', 'maker', '8641']) expect(await names(`?search=${search}`), search).toEqual([]);
    expect(await names('?tag=GLEN%20shoot')).toEqual(['Sought one']);
    expect(await names('?tag=glen')).toEqual([]);
    await t.http.put(routes.itemPlace(item.id)).send({ placeId: null }).expect(200);
    expect(await names('?search=larch')).toEqual([]);
  });

  it('tag many in one go, say which that changed, and are untagged likewise', async () => {
    const [a, b, c] = [await t.add('Tag A'), await t.add('Tag B', { particulars: { tags: ['Trip'] } }), await t.add('Tag C')];
    const tag = (body: object) => t.http.post(routes.gearTags).send(body);
    const itemIds = [a.id, b.id, c.id];
    const on = (await tag({ itemIds, tag: 'trip', has: true }).expect(200)).body as { itemIds: string[] };
    expect(on.itemIds.sort()).toEqual([a.id, c.id].sort());
    expect((await names('?tag=TRIP')).sort()).toEqual(['Tag A', 'Tag B', 'Tag C']);
    expect((await tag({ itemIds, tag: 'trip', has: true }).expect(200)).body).toEqual({ itemIds: [] });
    expect((await log(a.id))[0]).toEqual({ kind: 'edited', changed: ['tags'] });
    const off = (await tag({ itemIds: [a.id, b.id], tag: 'trip', has: false }).expect(200)).body as { itemIds: string[] };
    expect(off.itemIds.sort()).toEqual([a.id, b.id].sort());
    expect(await names('?tag=trip')).toEqual(['Tag C']);
    expect((await log(b.id))[0]).toEqual({ kind: 'edited', changed: ['tags'], was: { tags: ['Trip'] } });
    for (const wrong of ['', '  ', 'a,b', 'x'.repeat(41)])
      expect((await tag({ itemIds, tag: wrong, has: true }).expect(400)).body.fields.tag).toBeDefined();
  });

  it('say where another thing has its serial number', async () => {
    const one = await t.add('First of a number', { particulars: { serial: 'Z 1' } });
    const two = await t.add('Second of a number', { particulars: { serial: 'z-1' } });
    await t.add('Other number', { particulars: { serial: 'Z 2' } });
    const page = (await t.http.get(routes.item(one.id))).body as ItemPage;
    expect(page.sameSerial).toEqual([{ id: two.id, name: 'Second of a number' }]);
  });
});

describe('editing', () => {
  it('refuses a stale edit with 409 and hands over the newer row', async () => {
    const item = await t.add('Edited lens');
    const change = { name: 'Edited once', kind: 'lens', traits: {}, notes: '', acquiredOn: null };
    await t.http
      .put(routes.item(item.id))
      .send({ ...change, version: 1 })
      .expect(200);
    const { body } = await t.http
      .put(routes.item(item.id))
      .send({ ...change, name: 'Too late', version: 1 })
      .expect(409);
    expect(body).toMatchObject({ code: 'stale', current: { name: 'Edited once', version: 2 } });
  });

  it('forgets what was known of a surface the thing no longer has', async () => {
    const item = await t.add('Filter comes off', { traits: { filterFitted: true } });
    await t.look(item.id, { 'filter-front': { salt: 3 }, 'front-glass': {} });
    const { version } = (await t.http.get(routes.item(item.id))).body as Item;
    await t.http
      .put(routes.item(item.id))
      .send({ ...lens, name: 'Filter comes off', traits: { filterFitted: false }, version })
      .expect(200);
    expect((await t.http.get(routes.item(item.id))).body).toMatchObject({ verdict: 'leave', surfaces: [{ surface: 'front-glass' }] });
  });

  it('judges every surface anew when the schools change, and back', async () => {
    const item = await t.add('Tacky focus ring');
    await t.look(item.id, { 'focus-ring': { 'sticky-coating': 3 } });
    const verdict = async () => ((await t.http.get(routes.item(item.id))).body as ItemPage).verdict;
    const follow = async (sticky: string) => {
      const { body } = await t.http.get(routes.settings);
      await t.http
        .put(routes.settings)
        .send({ ...body, schools: { ...body.schools, sticky } })
        .expect(200);
    };
    await follow('air');
    expect(await verdict()).toBe('leave');
    await follow('remove');
    expect(await verdict()).toBe('clean');
    await follow('air');
    expect(await verdict()).toBe('leave');
  });

  it('judges anew what another program had judged, and lets an end at the bench stand', async () => {
    const item = await t.add('Judged long ago');
    await t.look(item.id, { 'front-glass': { fingerprint: 3 }, 'rear-glass': { fingerprint: 3 } });
    const { db } = t.app.get(Database);
    const saysThen = async (surface: string, because: object) =>
      db.execute(
        sql`update surface_state set verdict = 'hand-over', because = ${JSON.stringify({ v: 2, data: because })} where item_id = ${item.id} and surface = ${surface}`,
      );
    await saysThen('front-glass', { reason: 'decided-then' });
    await saysThen('rear-glass', { reason: 'did-not-come-off' });
    await t.app.get(VerdictsService).onApplicationBootstrap();
    const { surfaces } = (await t.http.get(routes.item(item.id))).body as ItemPage;
    expect(surfaces.map((s) => [s.surface, s.verdict, s.because.reason])).toEqual([
      ['front-glass', 'clean', expect.not.stringMatching('decided-then')],
      ['rear-glass', 'hand-over', 'did-not-come-off'],
    ]);
  });

  it('moves a thing into quarantine and back, and its rhythms with it', async () => {
    const item = await t.add('Isolated lens');
    await t.http.put(routes.itemStatus(item.id)).send({ version: 1, status: 'quarantined' }).expect(200);
    const tasks = async () =>
      (await t.http.get(routes.item(item.id))).body.due.map((d: { code: string; window: { due: string } }) => [d.code, d.window.due]);
    expect(await tasks()).toEqual([['quarantine-look', '2026-04-07']]);
    await t.http.put(routes.itemStatus(item.id)).send({ version: 2, status: 'in-use' }).expect(200);
    expect((await tasks()).map(([code]: [string]) => code)).toEqual(['light-test', 'exercise', 'shell-and-contacts']);
  });

  it('archives what has a history instead of deleting it, and restores it', async () => {
    const item = await t.add('Archived lens');
    await t.http.post(routes.itemArchive(item.id)).send({ version: 1 }).expect(200);
    expect(await names('?search=Archived+lens')).toEqual([]);
    expect(await names('?search=Archived+lens&archived=true')).toEqual(['Archived lens']);
    expect((await t.http.post(routes.looks).send({ itemId: item.id }).expect(409)).body.code).toBe('item-archived');
    await t.http.post(routes.itemRestore(item.id)).send({ version: 2 }).expect(200);
    expect(await names('?search=Archived+lens')).toEqual(['Archived lens']);
  });
});

describe('the shelf', () => {
  it('finds by a part of name or notes, taking % and _ as they are', async () => {
    await t.add('Hundred 100% sharp');
    await t.add('Snake_case optic', { notes: 'kept at the pier' });
    expect(await names('?search=100%25')).toEqual(['Hundred 100% sharp']);
    expect(await names('?search=e_c')).toEqual(['Snake_case optic']);
    expect(await names('?search=PIER')).toEqual(['Snake_case optic']);
  });

  it('filters by kind, by the gravest verdict and by what was never looked at', async () => {
    const sick = await t.add('Verdict lens A');
    await t.look(sick.id, { 'inner-glass': { fungus: 2 }, 'front-glass': { dust: 3 } });
    await t.add('Verdict lens B');
    await t.add('Verdict filter', { kind: 'filter' });
    expect(await names('?search=Verdict&needs=isolate')).toEqual(['Verdict lens A']);
    expect(await names('?search=Verdict&needs=clean')).toEqual([]);
    expect(await names('?search=Verdict&needs=never-looked&kind=lens')).toEqual(['Verdict lens B']);
    expect(await names('?search=Verdict&kind=filter')).toEqual(['Verdict filter']);
  });

  it.each(['name', 'added', 'due'])('pages through everything once, sorted by %s', async (sort) => {
    const all = (await shelf(`?sort=${sort}&limit=200`)).items.map((i) => i.id);
    const seen: string[] = [];
    let cursor: string | null = null;
    do {
      const page: Shelf = await shelf(`?sort=${sort}&limit=3${cursor ? `&cursor=${cursor}` : ''}`);
      seen.push(...page.items.map((i) => i.id));
      cursor = page.nextCursor;
    } while (cursor);
    expect(seen).toEqual(all);
    expect(new Set(seen).size).toBe(all.length);
  });

  it('filters by what was not out for two years, as far as outings were noted that long', async () => {
    const today = t.clock.now();
    const day = (back: number) => new Date(today.getTime() - back * 86_400_000).toISOString().slice(0, 10);
    const had = (name: string, acquiredOn: string | null, more: object = {}) => t.add(name, { acquiredOn, ...more });
    const [idle, used, plans, newer] = [
      await had('Idle one', day(1500)),
      await had('Used one', day(1500)),
      await had('Plans one', day(1500)),
      await had('Newer one', day(100)),
    ];
    await had('Hood one', day(1500), { belongsTo: used.id });
    const out = (from: number, to: number, ...itemIds: string[]) =>
      t.http
        .post(routes.outings)
        .send({
          ...{ name: 'Out', from: day(from), to: day(to), place: 'town', itemIds, met: [], frames: null, lensChanges: null },
          ...{ hours: null, note: '' },
        })
        .expect(201);
    const found = async () =>
      ((await t.http.get(`${routes.gear}?out=not-for-two-years&search=one`).expect(200)).body as Shelf).items.map((i) => i.name);
    await out(400, 399, used.id);
    // Outings are noted for little more than a year: nobody knows.
    expect(await found()).toEqual([]);
    await out(900, 899, idle.id, used.id);
    await out(-10, -12, plans.id, newer.id);
    expect(await found()).toEqual(['Idle one', 'Plans one']);
    await out(20, 18, idle.id);
    expect(await found()).toEqual(['Plans one']);
    await t.http.get(`${routes.gear}?out=ever`).expect(400);
  });

  it('refuses an unknown query key, a silly limit and a made-up cursor', async () => {
    expect((await t.http.get(`${routes.gear}?colour=black`).expect(400)).body.fields.colour).toBeTruthy();
    expect((await t.http.get(`${routes.gear}?limit=100000`).expect(400)).body.fields.limit).toMatch(/At most 200/);
    expect((await t.http.get(`${routes.gear}?cursor=abc`).expect(400)).body.code).toBe('cursor-unknown');
  });
});

describe('who may ask', () => {
  it('answers only requests addressed to this machine and sent by its own pages', async () => {
    await t.http.get(routes.today).set('Host', 'evil.example').expect(403);
    await t.http.get(routes.today).set('Origin', 'https://evil.example').expect(403);
    await t.http.get(routes.today).set('Host', 'localhost:4870').set('Origin', 'http://localhost:4870').expect(200);
  });

  it('describes itself in OpenAPI, from the schemas that check', async () => {
    const { body } = await t.http.get('/api/docs.json').expect(200);
    expect(Object.keys(body.paths)).toContain('/api/care/cleanings/{id}/finish');
    expect(body.paths['/api/gear'].post.requestBody.content['application/json'].schema.properties.kind.enum).toContain('lens');
  });
});
