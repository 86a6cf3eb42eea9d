import { routes, type HomesPage, type ItemExposure, type PlacePage } from '@bright-keeper/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { START, testApp, type TestApp } from '../testing/testApp.js';
import { sources, type air } from '@bright-keeper/core';

const HOUR = 3_600_000;
let t: TestApp;
beforeAll(async () => void (t = await testApp()));
afterAll(() => t.app.close());

const homes = async () => (await t.http.get(routes.homes).expect(200)).body as HomesPage;
const found = async () => {
  const page = await homes();
  if (!page.found) throw new Error('the best homes were not found in time');
  return page;
};
/** Forty days of hourly readings in a place, of so many %. */
async function measured(placeId: string, humidityPct: number): Promise<void> {
  const input = { name: `In ${placeId}`, source: 'push', outdoor: false, placeId, everyMinutes: 60, note: '' };
  const device = (await t.http.post(routes.devices).send(input).expect(201)).body as { id: string };
  const { token } = (await t.http.post(routes.deviceToken(device.id)).expect(201)).body as { token: string };
  const readings = Array.from({ length: 40 * 24 }, (_, i): air.Reading => ({
    at: new Date(START.getTime() - (40 * 24 - i) * HOUR).toISOString(),
    temperatureC: 20,
    humidityPct,
  }));
  await t.http.post(routes.pushReadings).set('authorization', `Bearer ${token}`).send(sources.toSenml('p', readings)).expect(200);
}
const put = (itemId: string, placeId: string) => t.http.put(routes.itemPlace(itemId)).send({ placeId }).expect(200);

describe('where everything lives best', () => {
  it('is nowhere while there is no place, and nothing while there is no thing', async () => {
    expect(await homes()).toEqual({ found: true, proven: true, unmeasured: [], moves: [], stay: 0, noRoom: [], more: [] });
    await t.add('Homeless');
    expect(await found()).toMatchObject({ moves: [], noRoom: [{ name: 'Homeless' }] });
  });

  it('is weighed for all at once: the dry cabinet takes what it holds, and every page says the same', async () => {
    const damp = await t.addPlace({ name: 'Damp shelf', volumeL: 300 });
    const small = await t.addPlace({ name: 'Small cabinet', kind: 'dry-cabinet', volumeL: 10 });
    await t.addPlace({ name: 'Never measured', kind: 'cupboard' });
    await measured(damp.id, 78);
    await measured(small.id, 44);
    const lenses = await Promise.all(['One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven'].map((name) => t.add(name)));
    for (const { id } of lenses) await put(id, damp.id);
    const page = await found();
    expect(page).toMatchObject({ proven: true, unmeasured: [{ name: 'Never measured' }] });
    // 6 L may be filled: four lenses of 1.5 L, that which lay nowhere among them or not; nobody goes where nothing is known.
    const sent = page.moves.filter((m) => m.to?.name === 'Small cabinet');
    expect(sent).toHaveLength(4);
    expect(page.moves.map((m) => m.to?.name)).not.toContain('Never measured');
    expect(page.more.map((m) => m.kind)).toEqual(['sealed-box', 'dry-cabinet']);
    const shelf = (await t.http.get(routes.placePage(damp.id)).expect(200)).body as PlacePage;
    const better = shelf.items.flatMap((i) => (i.better?.place?.id === small.id ? [i.itemId] : []));
    expect(better.sort()).toEqual(sent.flatMap((m) => (m.from ? [m.itemId] : [])).sort());
    for (const { itemId } of sent) {
      const { home } = (await t.http.get(routes.itemExposure(itemId)).expect(200)).body as ItemExposure;
      expect(home).toMatchObject({ place: { id: small.id }, stays: false });
    }
  });

  it('is reached by the moves it names, one after another, and then nothing is to be moved', async () => {
    for (let rest = (await found()).moves.length; rest > 0; rest--) {
      const { moves } = await found();
      expect(moves).toHaveLength(rest);
      await put(moves[0]!.itemId, moves[0]!.to!.id);
    }
    expect((await found()).moves).toEqual([]);
  });

  it('sends out what has fungus before anything else, and calls nothing its home where others lie', async () => {
    const place = (await t.addPlace({ name: 'Shared', kind: 'cupboard' })).id;
    const [sick, well] = [await t.add('Sick'), await t.add('Well')];
    await measured(place, 45);
    for (const { id } of [sick, well]) await put(id, place);
    await t.look(sick.id, { 'inner-glass': { fungus: 2 } });
    expect((await found()).moves[0]).toMatchObject({ itemId: sick.id, from: { name: 'Shared' } });
  });
});
