import { routes, type ItemPage, type Log, type Looked } from '@bright-keeper/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const page = async (id: string): Promise<ItemPage> => (await t.http.get(routes.item(id)).expect(200)).body as ItemPage;
const lookedAt = async (body: object): Promise<Looked> => (await t.http.post(routes.looksMany).send(body).expect(201)).body as Looked;
const seen = async (id: string) => (await page(id)).surfaces.map((s) => s.surface);

describe('many things looked at in one go', () => {
  it('settles what its light showed and nothing else, and is taken back in one go', async () => {
    const ids = await Promise.all(['One', 'Two', 'Three'].map(async (name) => (await t.add(name)).id));
    const due = async (id: string) => (await page(id)).due.map((d) => d.code);
    const before = await Promise.all(ids.map(due));
    const byDay = await lookedAt({ itemIds: ids, light: 'daylight', at: null });
    expect(byDay.entryIds).toHaveLength(3);
    expect(await seen(ids[0]!)).toContain('barrel');
    expect(await seen(ids[0]!)).not.toContain('front-glass');
    // The torch through it is asked for as before: nobody looked through it.
    expect(await due(ids[0]!)).toContain('light-test');
    await t.http.post(routes.takeBack).send({ entryIds: byDay.entryIds }).expect(200);
    expect(await Promise.all(ids.map(due))).toEqual(before);
    expect(await seen(ids[2]!)).toEqual([]);

    t.clock.set(new Date('2026-03-11T10:00:00Z'));
    await lookedAt({ itemIds: ids, light: 'torch', at: null });
    expect(await seen(ids[1]!)).toContain('inner-glass');
    const [{ data }] = ((await t.http.get(routes.itemLog(ids[1]!))).body as Log).entries as [Log['entries'][number]];
    expect(data).toMatchObject({ kind: 'look', light: 'torch', verdicts: [] });
  });

  it('leaves what was found where it was found, and says of which', async () => {
    const [clean, sick] = [await t.add('Clean one'), await t.add('Sick one')];
    await t.look(sick.id, { 'inner-glass': { fungus: 3 }, 'front-glass': {} });
    const { found } = await lookedAt({ itemIds: [clean.id, sick.id], light: 'torch', at: null });
    expect(found).toEqual([{ itemId: sick.id, name: 'Sick one' }]);
    expect((await page(sick.id)).verdict).toBe('isolate');
    expect((await page(clean.id)).verdict).toBe('leave');
  });

  it('notes nothing of what is being cleaned, nor of what this light does not show; refuses a light nobody knows and the future', async () => {
    const item = await t.add('On the bench');
    await t.look(item.id, { 'front-glass': { dust: 3 } });
    await t.startCleaning(item.id);
    const loupe = await t.add('Only glass', { kind: 'filter' });
    const { entryIds, refused } = await lookedAt({ itemIds: [item.id, loupe.id], light: 'daylight', at: null });
    expect(entryIds).toEqual([]);
    expect(refused.map((r) => r.because)).toEqual(['under-way', 'nothing-shown']);
    const send = (body: object) => t.http.post(routes.looksMany).send({ itemIds: [item.id], light: 'lamp', at: null, ...body });
    expect((await send({ light: 'moon' }).expect(400)).body.fields.light).toMatch(/Choose one of/);
    await send({ at: '2031-01-01T00:00:00Z' }).expect(422);
    await send({ itemIds: [] }).expect(400);
  });
});
