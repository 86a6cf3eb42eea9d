import {
  type Item,
  type ItemPage,
  type KeptOffer,
  type KeptOffers,
  type OfferInput,
  type PracticeRuns,
  routes,
} from '@bright-keeper/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const OFFER: OfferInput = {
  name: 'Ostrane 58/1.4',
  note: 'at the fair',
  trouble: 'fungus',
  where: 'front',
  how: 'web',
  hands: 'practised',
  sums: { clean: 300, asked: 80, wipe: 5, ring: 30, deep: 120 },
  own: { clean: 60 },
};
const add = async (more: Partial<OfferInput> = {}): Promise<KeptOffer> =>
  (
    await t.http
      .post(routes.offers)
      .send({ ...OFFER, ...more })
      .expect(201)
  ).body as KeptOffer;
const all = async (): Promise<KeptOffer[]> => ((await t.http.get(routes.offers).expect(200)).body as KeptOffers).offers;

describe('an offer that is kept', () => {
  it('is there again as it was told, the newest first, and can be corrected by whoever saw it last', async () => {
    const first = await add();
    expect(first).toMatchObject({ ...OFFER, version: 1, state: 'open', itemId: null });
    t.clock.set(new Date(t.clock.now().getTime() + 60_000));
    const second = await add({ name: '  Another one ', trouble: 'marks', how: 'deep-scratch', own: {} });
    expect(second.name).toBe('Another one');
    expect((await all()).map(({ id }) => id)).toEqual([second.id, first.id]);
    const changed = { ...OFFER, sums: { ...OFFER.sums, asked: 60 } };
    const { version } = (
      await t.http
        .put(routes.offer(first.id))
        .send({ ...changed, version: 1 })
        .expect(200)
    ).body as KeptOffer;
    expect(version).toBe(2);
    const stale = await t.http
      .put(routes.offer(first.id))
      .send({ ...changed, version: 1 })
      .expect(409);
    expect(stale.body.current).toMatchObject({ version: 2 });
  });

  it('bought, stands on the shelf for what was asked with its first look, which settles one surface and no other', async () => {
    const { id } = await add();
    const item = (await t.http.post(routes.offerBought(id)).send({ version: 1 }).expect(200)).body as Item;
    const page = (await t.http.get(routes.item(item.id)).expect(200)).body as ItemPage;
    expect(page).toMatchObject({ name: OFFER.name, notes: 'at the fair', acquiredOn: '2026-03-10', particulars: { paid: 80 } });
    expect(page.surfaces.map(({ surface, verdict, findings }) => [surface, verdict, findings])).toEqual([
      ['inner-glass', 'isolate', [{ soil: 'fungus', severity: 3 }]],
    ]);
    expect((await all()).find((offer) => offer.id === id)).toMatchObject({ state: 'bought', itemId: item.id });
    // Bought once: again, declined or corrected is too late.
    for (const route of [routes.offerBought(id), routes.offerDeclined(id)]) {
      const refused = await t.http.post(route).send({ version: 2 }).expect(409);
      expect(refused.body.code).toBe('offer-over');
    }
    await t.http
      .put(routes.offer(id))
      .send({ ...OFFER, version: 2 })
      .expect(409);
    // Forgotten, it leaves what was bought on the shelf.
    await t.http.delete(routes.offer(id)).expect(204);
    await t.http.get(routes.item(item.id)).expect(200);
    await t.http.delete(routes.offer(id)).expect(404);
  });

  it('declined stays to be read; two that buy it at once have it once', async () => {
    const declined = await add();
    await t.http.post(routes.offerDeclined(declined.id)).send({ version: 1 }).expect(200);
    expect((await all()).find(({ id }) => id === declined.id)!.state).toBe('declined');
    const { id } = await add({ name: 'Wanted by two' });
    const answers = await Promise.all([1, 2].map(() => t.http.post(routes.offerBought(id)).send({ version: 1 })));
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409]);
    const { items } = (await t.http.get(routes.gear).query({ limit: 200 })).body as { items: Item[] };
    expect(items.filter(({ name }) => name === 'Wanted by two')).toHaveLength(1);
  });

  it.each<[string, object]>([
    ['no name', { name: ' ' }],
    ['a way that its trouble does not show', { trouble: 'marks', how: 'web' }],
    ['a trouble nobody knows', { trouble: 'ghosts' }],
    ['a price below nothing', { sums: { ...OFFER.sums, asked: -1 } }],
    ['a price that is missing', { sums: { clean: 300 } }],
    ['odds above all', { own: { clean: 101 } }],
    ['more than it asks for', { own: { luck: 7 } }],
  ])('is refused with %s', async (_, more) => {
    await t.http
      .post(routes.offers)
      .send({ ...OFFER, ...more })
      .expect(400);
  });
});

describe('runs of the practice', () => {
  it('are kept in their order, the same sent twice once, and none with more right than asked', async () => {
    const run = { id: '11111111-1111-4111-8111-111111111111', caseId: 'sensor-first-wet', asked: 5, right: 3 };
    await t.http.post(routes.practiceRuns).send(run).expect(201);
    await t.http.post(routes.practiceRuns).send(run).expect(201);
    t.clock.set(new Date(t.clock.now().getTime() + 60_000));
    await t.http
      .post(routes.practiceRuns)
      .send({ ...run, id: '22222222-2222-4222-8222-222222222222', right: 5 })
      .expect(201);
    const { runs } = (await t.http.get(routes.practiceRuns).expect(200)).body as PracticeRuns;
    expect(runs.map(({ right }) => right)).toEqual([3, 5]);
    await t.http
      .post(routes.practiceRuns)
      .send({ ...run, right: 6 })
      .expect(400);
    await t.http
      .post(routes.practiceRuns)
      .send({ ...run, caseId: '../x' })
      .expect(400);
  });
});
