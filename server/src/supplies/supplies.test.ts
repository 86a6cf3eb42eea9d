import { routes, type Cleaning, type Drawer, type Supply, type WaitingCleans } from '@bright-keeper/contract';
import { care, supplies as core } from '@bright-keeper/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const blank = { state: 'clean', stock: null, packSize: null, packPrice: null, openedOn: null, note: '' };
const put = async (thing: string, more = {}): Promise<Supply> =>
  (
    await t.http
      .post(routes.supplies)
      .send({ ...blank, thing, ...more })
      .expect(201)
  ).body as Supply;
const drawer = async () => (await t.http.get(routes.supplies)).body.supplies as Supply[];
const stockOf = async (thing: string) => (await drawer()).find((s) => s.thing === thing)?.stock;

describe('the drawer', () => {
  it('is assumed to hold everything until something is put in', async () => {
    const item = await t.add('Before the drawer');
    await t.look(item.id, { 'front-glass': { fingerprint: 3 } });
    expect((await t.startCleaning(item.id)).request.onHand).toBeUndefined();
  });

  it.each([
    ['a tool with a stock', { thing: 'glass-cloth', stock: 3 }, 'stock', /not used up/],
    ['less than nothing', { thing: 'lens-tissue', stock: -1 }, 'stock', /At least 0/],
    ['a thing nobody knows', { thing: 'sandpaper' }, 'thing', /Choose one of/],
  ])('refuses %s', async (_, change, field, message) => {
    const { body } = await t.http
      .post(routes.supplies)
      .send({ ...blank, ...change })
      .expect(400);
    expect(body.fields[field]).toMatch(message);
  });

  it('demotes a glass cloth, and washing brings it back', async () => {
    const cloth = await put('glass-cloth');
    const demoted = (await t.http.post(routes.supplyDemote(cloth.id)).send({ version: 1 }).expect(200)).body as Supply;
    expect(demoted.role).toBe('shell');
    expect((await t.http.post(routes.supplyDemote(cloth.id)).send({ version: 2 }).expect(409)).body.code).toBe('never-promoted');
    expect((await t.http.post(routes.supplyWash(cloth.id)).send({ version: 1 }).expect(409)).body.code).toBe('stale');
    expect(((await t.http.post(routes.supplyWash(cloth.id)).send({ version: 2 }).expect(200)).body as Supply).role).toBe('glass');
    await t.http.delete(routes.supply(cloth.id)).expect(204);
    await t.http.delete(routes.supply(cloth.id)).expect(404);
  });

  it('is what a cleaning draws from: stock and uses go with the log', async () => {
    await put('bulb-blower');
    await put('lens-fluid', { stock: 100 });
    await put('lens-tissue', { stock: 10 });
    const item = await t.add('Draws from the drawer');
    await t.look(item.id, { 'front-glass': { fingerprint: 3 } });
    const c: Cleaning = await t.startCleaning(item.id);
    expect(c.request.onHand?.map((o) => o.id)).toEqual(['bulb-blower', 'lens-fluid', 'lens-tissue']);
    await t.http
      .put(routes.cleaning(c.id))
      .send({ version: 1, events: care.workThrough(c.plan, ['no-change']) })
      .expect(200);
    await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2 }).expect(200);
    expect([await stockOf('lens-fluid'), await stockOf('lens-tissue')]).toEqual([98, 8]);
    // Once before the wipe, once before the finisher.
    expect((await drawer()).find((s) => s.thing === 'bulb-blower')?.usesSinceWash).toBe(2);
  });

  it('never goes below nothing: the bench is asked, and nothing is written until it answers', async () => {
    const item = await t.add('Short of tissue');
    await t.look(item.id, { 'front-glass': { fingerprint: 3 } });
    const c = await t.startCleaning(item.id);
    const tissue = (await drawer()).find((s) => s.thing === 'lens-tissue')!;
    const { id, role: _, usesSinceWash: __, ...rest } = tissue;
    await t.http
      .put(routes.supply(id))
      .send({ ...rest, stock: 1 })
      .expect(200);
    await t.http
      .put(routes.cleaning(c.id))
      .send({ version: 1, events: care.workThrough(c.plan, ['no-change']) })
      .expect(200);
    const { body } = await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2 }).expect(409);
    expect(body).toMatchObject({ code: 'stock-short', fields: { 'lens-tissue': 'lens tissue: 1 in the drawer, 2 used.' } });
    expect(await stockOf('lens-tissue')).toBe(1);
    expect(((await t.http.get(routes.cleaning(c.id))).body as Cleaning).finishedAt).toBeNull();
    await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2, acceptShort: true }).expect(200);
    expect(await stockOf('lens-tissue')).toBe(0);
  });

  it('assumes the rest until it is said that this is all', async () => {
    const item = await t.add('Is this all?');
    await t.look(item.id, { 'front-glass': { dust: 3 } });
    const methods = async () => (await t.startCleaning(item.id)).plan.steps.map((s) => s.method);
    const drop = async () => {
      const { cleanings } = (await t.http.get(`${routes.cleanings}?open=true`)).body as { cleanings: Cleaning[] };
      for (const c of cleanings.filter((o) => o.itemId === item.id)) await t.http.delete(routes.cleaning(c.id)).expect(204);
    };
    expect(await methods()).toContain('soft-brush');
    await drop();
    expect(((await t.http.put(routes.drawerIsAll).send({ isAll: true }).expect(200)).body as Drawer).isAll).toBe(true);
    expect(await methods()).not.toContain('soft-brush');
    await drop();
    await t.http.put(routes.drawerIsAll).send({ isAll: false }).expect(200);
  });

  it('begins with a starter in one go, adds only what is lacking, and leaves its stock uncounted', async () => {
    const before = (await drawer()).length;
    const begun = (await t.http.post(routes.startDrawer).send({ starter: 'travel-pouch' }).expect(200)).body as Drawer;
    expect(begun.supplies.length).toBeGreaterThan(before);
    expect(begun.supplies.filter((s) => s.thing === 'bulb-blower')).toHaveLength(1);
    expect(begun.supplies.find((s) => s.thing === 'sealed-wipe')?.stock).toBeNull();
    const again = (await t.http.post(routes.startDrawer).send({ starter: 'travel-pouch' }).expect(200)).body as Drawer;
    expect(again.supplies).toHaveLength(begun.supplies.length);
    const { body } = await t.http.post(routes.startDrawer).send({ starter: 'garage' }).expect(400);
    expect(body.fields.starter).toMatch(/Choose one of/);
  });

  it('wears the cloth that was changed to at the bench, not the one that was planned', async () => {
    const [blue, grey] = [await put('glass-cloth', { note: 'Blue edge.' }), await put('glass-cloth', { note: 'Grey edge.' })];
    const item = await t.add('Changed the cloth');
    await t.look(item.id, { 'front-glass': { smear: 2 } });
    const c = await t.startCleaning(item.id);
    const wipe = c.plan.steps.find((s) => s.tool === 'glass-cloth')!;
    const planned = wipe.takes.find((k) => k.id === 'glass-cloth')!;
    const usesOf = async (id: string) => (await drawer()).find((s) => s.id === id)!.usesSinceWash;
    const other = planned.thingId === grey.id ? blue : grey;
    const was = [await usesOf(planned.thingId!), await usesOf(other.id)];
    const events: care.BenchEvent[] = [{ type: 'ready' }];
    while (care.benchState(c.plan, events).step?.id !== wipe.id) {
      events.push(care.nextTap(c.plan, events, () => 'no-change')!);
    }
    events.push(
      { type: 'take', step: wipe.id, id: 'glass-cloth', thingId: other.id },
      { type: 'done', step: wipe.id },
      { type: 'answer', step: wipe.id, answer: 'clean-enough' },
    );
    await t.http.put(routes.cleaning(c.id)).send({ version: 1, events }).expect(200);
    await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2 }).expect(200);
    expect([await usesOf(planned.thingId!), await usesOf(other.id)]).toEqual([was[0], was[1]! + 1]);
  });

  it('never draws a wide swab from the narrow pack', async () => {
    const narrow = await put('sensor-swab', { stock: 10, widthMm: 16 });
    const wide = await put('sensor-swab', { stock: 5, widthMm: 24 });
    await put('sensor-fluid', { stock: 50 });
    const body = await t.add('Dusty sensor', { kind: 'mirrorless-body' });
    await t.look(body.id, { 'sensor-cover': { grease: 3 } });
    const c = await t.startCleaning(body.id);
    const swab = c.plan.steps.find((s) => s.method === 'sensor-swab')!;
    expect(swab.takes.find((k) => k.id === 'sensor-swab')).toMatchObject({ thingId: wide.id, label: 'sensor swab, 24 mm' });
    const air = c.plan.steps[0]!.id;
    const events: care.BenchEvent[] = [
      { type: 'ready' },
      { type: 'done', step: air },
      { type: 'answer', step: air, answer: 'no-change' },
      { type: 'rehearsed', step: swab.id },
      { type: 'power-checked', step: swab.id, heldOpen: 'cleaning-mode' },
      { type: 'done', step: swab.id },
      { type: 'answer', step: swab.id, answer: 'clean-enough' },
    ];
    await t.http.put(routes.cleaning(c.id)).send({ version: 1, events }).expect(200);
    await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2 }).expect(200);
    const stocks = Object.fromEntries((await drawer()).map((s) => [s.id, s.stock]));
    expect([stocks[narrow.id], stocks[wide.id]]).toEqual([10, 4]);
  });

  describe('a wash told for an earlier time', () => {
    const HOUR = 3_600_000;
    const wash = (id: string, version: number, at: string | null) => t.http.post(routes.supplyWash(id)).send({ version, at });
    const held = async (id: string) => (await drawer()).find((s) => s.id === id)!;
    const emptyOfCloths = async () => {
      for (const s of (await drawer()).filter(({ thing }) => thing === 'glass-cloth')) await t.http.delete(routes.supply(s.id)).expect(204);
    };
    /** A wipe with the only cloth of the drawer, told as over at this moment. */
    const wipe = async (itemId: string, at: string) => {
      await t.look(itemId, { 'front-glass': { smear: 2 } });
      const c = await t.startCleaning(itemId);
      await t.http
        .put(routes.cleaning(c.id))
        .send({ version: 1, events: care.workThrough(c.plan, ['clean-enough']) })
        .expect(200);
      await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2, at, acceptShort: true }).expect(200);
    };

    it('is refused for what is still to come, and nothing is written of it', async () => {
      const cloth = await put('glass-cloth');
      const { body } = await wash(cloth.id, 1, new Date(t.clock.now().getTime() + HOUR).toISOString()).expect(422);
      expect(body.fields.at).toMatch(/future/);
      expect((await held(cloth.id)).version).toBe(1);
      await wash(cloth.id, 7, t.clock.now().toISOString()).expect(409);
    });

    it('leaves with shells what has touched one, since nobody knows which came first', async () => {
      const cloth = await put('glass-cloth');
      await t.http.post(routes.supplyDemote(cloth.id)).send({ version: 1 }).expect(200);
      const told = await wash(cloth.id, 2, new Date(t.clock.now().getTime() - HOUR).toISOString()).expect(200);
      expect(told.body).toMatchObject({ role: 'shell', state: 'clean' });
      expect((await wash(cloth.id, 3, null).expect(200)).body.role).toBe('glass');
    });

    // A law: what one wash and two wipes leave behind does not hang on the order in which they are told.
    const [FIRST, WASHED, SECOND] = [-3 * HOUR, -2 * HOUR, -HOUR];
    it.each([
      [[FIRST, WASHED, SECOND]],
      [[FIRST, SECOND, WASHED]],
      [[SECOND, FIRST, WASHED]],
      [[SECOND, WASHED, FIRST]],
      [[WASHED, FIRST, SECOND]],
      [[WASHED, SECOND, FIRST]],
    ])('counts what it was used for since, in whatever order it is told: %j', async (order) => {
      await emptyOfCloths();
      const cloth = await put('glass-cloth');
      const lens = await t.add(`Wiped ${order.join(' ')}`);
      const now = t.clock.now().getTime();
      for (const when of order) {
        const at = new Date(now + when).toISOString();
        if (when === WASHED) await wash(cloth.id, (await held(cloth.id)).version, at).expect(200);
        else await wipe(lens.id, at);
      }
      const once = await held(cloth.id);
      await emptyOfCloths();
      const other = await put('glass-cloth');
      await wipe(lens.id, new Date(now + SECOND).toISOString());
      expect(once.usesSinceWash).toBe((await held(other.id)).usesSinceWash);
      expect(once.usesSinceWash).toBeGreaterThan(0);
    });

    it('changes nothing where one after it is known', async () => {
      await emptyOfCloths();
      const cloth = await put('glass-cloth');
      const lens = await t.add('Washed twice');
      const now = t.clock.now().getTime();
      await wipe(lens.id, new Date(now + FIRST).toISOString());
      await wash(cloth.id, (await held(cloth.id)).version, new Date(now + SECOND).toISOString()).expect(200);
      expect((await held(cloth.id)).usesSinceWash).toBe(0);
      await wash(cloth.id, (await held(cloth.id)).version, new Date(now - 4 * HOUR).toISOString()).expect(200);
      expect((await held(cloth.id)).usesSinceWash).toBe(0);
    });
  });
});

describe('what waits to be cleaned', () => {
  it('is told with what each clean will take, and no more once it is done', async () => {
    const waiting = async () => ((await t.http.get(routes.waitingCleans).expect(200)).body as WaitingCleans).waiting;
    const before = (await waiting()).length;
    const lens = await t.add('Waits');
    await t.look(lens.id, { 'front-glass': { fingerprint: 3 } });
    const now = await waiting();
    expect(now.length).toBe(before + 1);
    const c = await t.startCleaning(lens.id);
    const needed = core.neededBy(c.plan);
    expect(needed.least.length).toBeGreaterThan(0);
    expect(now).toContainEqual(JSON.parse(JSON.stringify(needed)));
    await t.http
      .put(routes.cleaning(c.id))
      .send({ version: 1, events: care.workThrough(c.plan, ['clean-enough']) })
      .expect(200);
    await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2, acceptShort: true }).expect(200);
    expect((await waiting()).length).toBe(before);
  });
});
