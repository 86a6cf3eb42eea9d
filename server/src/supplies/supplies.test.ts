import { routes, type Cleaning, type Supply } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
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

/** Does every step once and calls each surface clean at its last rung. */
function allDone(plan: care.CleaningPlan): care.BenchEvent[] {
  const events: care.BenchEvent[] = [{ type: 'ready' }];
  for (;;) {
    const { phase, step } = care.benchState(plan, events);
    if (phase === 'close') return events;
    events.push(phase === 'step' ? { type: 'done', step: step!.id } : { type: 'answer', step: step!.id, answer: 'no-change' });
  }
}

describe('the drawer', () => {
  it('is assumed to hold everything until something is put in', async () => {
    const item = await t.add('Before the drawer');
    await t.look(item.id, { 'front-glass': { fingerprint: 3 } });
    expect((await t.startCleaning(item.id)).request.onHand).toBeUndefined();
  });

  it.each([
    ['a tool with a stock', { thing: 'glass-cloth', stock: 3 }, 'stock', /not used up/],
    ['a material without one', { thing: 'lens-tissue' }, 'stock', /how many are left/],
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
      .send({ version: 1, events: allDone(c.plan) })
      .expect(200);
    await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2 }).expect(200);
    expect([await stockOf('lens-fluid'), await stockOf('lens-tissue')]).toEqual([96, 8]);
    expect((await drawer()).find((s) => s.thing === 'bulb-blower')?.usesSinceWash).toBe(1);
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
      .send({ version: 1, events: allDone(c.plan) })
      .expect(200);
    const { body } = await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2 }).expect(409);
    expect(body).toMatchObject({ code: 'stock-short', fields: { 'lens-tissue': '1 in the drawer, 2 used.' } });
    expect(await stockOf('lens-tissue')).toBe(1);
    expect(((await t.http.get(routes.cleaning(c.id))).body as Cleaning).finishedAt).toBeNull();
    await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2, acceptShort: true }).expect(200);
    expect(await stockOf('lens-tissue')).toBe(0);
  });
});
