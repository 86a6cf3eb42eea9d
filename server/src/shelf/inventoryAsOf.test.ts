import { type Inventory, type Item, routes, type WorthOverTime } from '@bright-keeper/contract';
import { MS_PER_DAY } from '@bright-keeper/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fetchPdf } from '../testing/readPdf.js';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const on = async (day: string): Promise<Inventory> => (await t.http.get(routes.gearInventoryOn(day)).expect(200)).body as Inventory;
const edit = async (item: Item, more: object): Promise<Item> =>
  (
    await t.http
      .put(routes.item(item.id))
      .send({
        name: item.name,
        kind: item.kind,
        traits: item.traits,
        notes: item.notes,
        acquiredOn: item.acquiredOn,
        particulars: item.particulars,
        ...more,
        version: item.version,
      })
      .expect(200)
  ).body as Item;
const later = (days: number): string => {
  t.clock.set(new Date(t.clock.now().getTime() + days * MS_PER_DAY));
  return t.clock.now().toISOString().slice(0, 10);
};

describe('the inventory as of a day', () => {
  it('has the values, the names, the places and the papers of then, and what was there then', async () => {
    const first = t.clock.now().toISOString().slice(0, 10);
    const [drawer, cabinet] = [await t.addPlace({ name: 'Drawer' }), await t.addPlace({ name: 'Cabinet' })];
    const lens = await t.add('Old name', { particulars: { insuredFor: 500 } });
    const camera = await t.add('Body', { kind: 'mirrorless-body', acquiredOn: '2020-05-01' });
    await t.http
      .post(routes.moves)
      .send({ itemIds: [lens.id], placeId: drawer.id })
      .expect(201);
    const second = later(10);
    await edit(lens, { name: 'New name', particulars: { insuredFor: 900, serial: 'N-1' } });
    await t.http
      .post(routes.moves)
      .send({ itemIds: [lens.id], placeId: cabinet.id })
      .expect(201);
    const filter = await t.add('Filter', { kind: 'filter' });
    await t.http
      .post(routes.itemFiles(lens.id))
      .query({ name: 'receipt.pdf' })
      .set('content-type', 'application/octet-stream')
      .send(Buffer.from('%PDF-1.4\n1 0 obj<<>>endobj\ntrailer<<>>\n%%EOF\n'));
    const third = later(10);
    await t.http
      .post(routes.itemArchive(camera.id))
      .send({ version: 1, gone: { why: 'stolen', on: third, for: 800 } })
      .expect(200);
    await t.http.post(routes.itemArchive(filter.id)).send({ version: 1 }).expect(200);
    const fourth = later(10);

    const told = (inventory: Inventory) => ({
      things: inventory.things.map(({ name, place, particulars }) => [name, place?.name ?? null, particulars.insuredFor ?? null]),
      gone: inventory.gone.map(({ name, gone }) => [name, gone!.why]),
    });
    expect(told(await on(first))).toEqual({
      things: [
        ['Body', null, null],
        ['Old name', 'Drawer', 500],
      ],
      gone: [],
    });
    expect(told(await on(second))).toEqual({
      things: [
        ['Body', null, null],
        ['Filter', null, null],
        ['New name', 'Cabinet', 900],
      ],
      gone: [],
    });
    expect(told(await on(third))).toEqual({ things: [['New name', 'Cabinet', 900]], gone: [['Body', 'stolen']] });
    // Today is what stands on the shelf.
    const now = (await t.http.get(routes.gearInventory).expect(200)).body as Inventory;
    expect(told(await on(fourth))).toEqual(told(now));
    expect((await on(first)).things.find(({ id }) => id === lens.id)!.particulars).toEqual({ insuredFor: 500 });
    // Before anything was noted there is what came before, and no more.
    expect(told(await on('2020-04-30'))).toEqual({ things: [], gone: [] });
    expect(told(await on('2020-05-01')).things).toEqual([['Body', null, null]]);
  });

  it('tells what the shelf was worth at the end of each month, and is today', async () => {
    // Further back than a month or two lies nothing but the body, of which nobody said what it is worth.
    const { days } = (await t.http.get(routes.gearWorth).expect(200)).body as WorthOverTime;
    expect(days).toHaveLength(36 + 1);
    expect(days.at(-1)).toEqual({ day: t.clock.now().toISOString().slice(0, 10), things: 1, sum: 900, known: 1 });
    expect(days.find(({ day }) => day === '2026-03-31')).toMatchObject({ things: 1, sum: 900 });
    expect(days.find(({ day }) => day === '2026-02-28')).toEqual({ day: '2026-02-28', things: 1, sum: 0, known: 0 });
    expect(days.map(({ day }) => day)).toEqual([...days.map(({ day }) => day)].sort());
    const empty = await testApp();
    expect((await empty.http.get(routes.gearWorth).expect(200)).body).toEqual({ days: [] });
    await empty.app.close();
  });

  it('is printed with its day, and refused of a day to come', async () => {
    const pages = (await fetchPdf(t, routes.gearInventoryPdf('table', '2026-03-10'))).pages.join(' ');
    expect(pages).toMatch(/As of Tue,? 10 March 2026/);
    expect(pages).toContain('Old name');
    expect(pages).not.toContain('New name');
    expect((await t.http.get(routes.gearInventoryOn('2999-01-01')).expect(422)).body.code).toBe('in-the-future');
    await t.http.get(routes.gearInventoryOn('yesterday')).expect(400);
  });
});
