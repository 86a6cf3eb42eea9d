import {
  routes,
  type FitPage,
  type Item,
  type ItemPage,
  type Log,
  type Moved,
  type SentAway,
  type TakenBack,
} from '@bright-keeper/contract';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());
beforeEach(() => t.clock.set(new Date(t.clock.now().getTime() + 60_000)));

const page = async ({ id }: Pick<Item, 'id'>): Promise<ItemPage> => (await t.http.get(routes.item(id)).expect(200)).body as ItemPage;
const put = (belongsTo: Item | null, ...things: Item[]) =>
  t.http.post(routes.gearTogether).send({ itemIds: things.map(({ id }) => id), belongsTo: belongsTo?.id ?? null });
const names = (things: { name: string }[]) => things.map(({ name }) => name);

/** A bag with a lens in it, and the lens with its cap and its hood. */
async function bagged(name: string) {
  const bag = await t.add(`${name} bag`, { kind: 'accessory' });
  const lens = await t.add(`${name} lens`, { belongsTo: bag.id });
  const cap = await t.add(`${name} cap`, { kind: 'accessory' });
  const hood = await t.add(`${name} hood`, { kind: 'accessory' });
  await put(lens, cap, hood).expect(200);
  return { bag, lens, cap, hood };
}

describe('what belongs together', () => {
  it('is told from each side, and of what belongs to nothing any more no longer', async () => {
    const { bag, lens, cap } = await bagged('Told');
    expect(names((await page(bag)).together.things)).toEqual(['Told lens', 'Told cap', 'Told hood']);
    expect((await page(lens)).together).toMatchObject({ to: { name: 'Told bag' }, things: [{ name: 'Told cap' }, { name: 'Told hood' }] });
    await put(null, cap).expect(200);
    expect((await page(cap)).together).toEqual({ to: null, things: [] });
    expect(names((await page(bag)).together.things)).toEqual(['Told lens', 'Told hood']);
  });

  it('never holds itself, at once or by way of what it holds; all of them or none', async () => {
    const { bag, lens, hood } = await bagged('Ring');
    const other = await t.add('Another');
    for (const [to, ...things] of [
      [bag, bag],
      [hood, other, lens],
      [hood, bag],
    ] as const) {
      const { body } = await put(to, ...things).expect(409);
      expect(body).toMatchObject({ code: 'belongs-to-itself', fields: { belongsTo: expect.any(String) as string } });
    }
    expect((await page(other)).belongsTo).toBeNull();
    const { name, kind, traits, notes, acquiredOn, version } = await page(bag);
    await t.http.put(routes.item(bag.id)).send({ name, kind, traits, notes, acquiredOn, version, belongsTo: hood.id }).expect(409);
  });

  it('refuses what is not on the shelf, and keeps what an edit does not speak of', async () => {
    const { lens, cap } = await bagged('Kept');
    await put({ id: '00000000-0000-7000-8000-000000000000' } as Item, cap).expect(404);
    const { name, kind, traits, notes, acquiredOn, version } = await page(cap);
    const edited = (
      await t.http
        .put(routes.item(cap.id))
        .send({ name: `${name}!`, kind, traits, notes, acquiredOn, version })
        .expect(200)
    ).body;
    expect((edited as Item).belongsTo).toBe(lens.id);
  });
});

describe('together', () => {
  it('moves with what lies with it; what lies elsewhere stays there, and alone it goes alone', async () => {
    const [drawer, shelf] = [await t.addPlace({ name: 'Drawer' }), await t.addPlace({ name: 'Board' })];
    const { bag, lens, cap, hood } = await bagged('Moved');
    await t.http.put(routes.itemPlace(hood.id)).send({ placeId: drawer.id, since: null }).expect(200);
    await t.http.put(routes.itemPlace(bag.id)).send({ placeId: shelf.id, since: null }).expect(200);
    const where = async () => Promise.all([bag, lens, cap, hood].map(async (thing) => (await page(thing)).place?.name ?? null));
    expect(await where()).toEqual(['Board', 'Board', 'Board', 'Drawer']);
    t.clock.set(new Date(t.clock.now().getTime() + 60_000));
    const { body } = await t.http
      .post(routes.moves)
      .send({ itemIds: [lens.id], placeId: drawer.id, since: null })
      .expect(201);
    expect((body as Moved).entryIds).toHaveLength(2);
    expect(await where()).toEqual(['Board', 'Drawer', 'Drawer', 'Drawer']);
    await t.http
      .post(routes.movesTakenBack)
      .send({ entryIds: (body as Moved).entryIds })
      .expect(200);
    expect(await where()).toEqual(['Board', 'Board', 'Board', 'Drawer']);
    await t.http.put(routes.itemPlace(lens.id)).send({ placeId: drawer.id, since: null, alone: true }).expect(200);
    expect(await where()).toEqual(['Board', 'Drawer', 'Board', 'Drawer']);
  });

  it('is lent and comes back; what went elsewhere on another day stays away', async () => {
    const { lens, cap, hood } = await bagged('Lent');
    await t.http.post(routes.away).send({ itemId: hood.id, why: 'service', until: null, estimate: 45 }).expect(201);
    expect((await page(hood)).away).toMatchObject({ why: 'service', estimate: 45 });
    t.clock.set(new Date(t.clock.now().getTime() + 60_000));
    await t.http.post(routes.away).send({ itemId: lens.id, why: 'loan', to: 'A neighbour', until: null }).expect(201);
    const away = async () => Promise.all([lens, cap, hood].map(async (thing) => (await page(thing)).away?.why ?? null));
    expect(await away()).toEqual(['loan', 'loan', 'service']);
    t.clock.set(new Date(t.clock.now().getTime() + 60_000));
    await t.http.post(routes.back).send({ itemId: lens.id }).expect(201);
    expect(await away()).toEqual([null, null, 'service']);
  });

  it('is taken back as the one deed it was: the move of a lens with that of its cap, its sale with theirs', async () => {
    const place = await t.addPlace({ name: 'Somewhere' });
    const { lens, cap, hood } = await bagged('Deed');
    const last = async () => ((await t.http.get(routes.itemLog(lens.id))).body as Log).entries[0]!.id;
    const takeBack = async () =>
      (
        await t.http
          .post(routes.takeBack)
          .send({ entryIds: [await last()] })
          .expect(200)
      ).body as TakenBack;
    await t.http.put(routes.itemPlace(lens.id)).send({ placeId: place.id, since: null }).expect(200);
    expect((await page(cap)).place).not.toBeNull();
    expect(await takeBack()).toEqual({ takenBack: 3, kept: [] });
    expect((await page(cap)).place).toBeNull();
    t.clock.set(new Date(t.clock.now().getTime() + 60_000));
    await t.http.post(routes.away).send({ itemId: lens.id, why: 'loan', to: 'X', until: null }).expect(201);
    expect(await takeBack()).toEqual({ takenBack: 3, kept: [] });
    expect((await page(hood)).away).toBeNull();
    t.clock.set(new Date(t.clock.now().getTime() + 60_000));
    const { version } = await page(lens);
    await t.http
      .post(routes.itemArchive(lens.id))
      .send({ version, gone: { why: 'lost', on: '2026-03-10', for: null }, together: true })
      .expect(200);
    expect(await takeBack()).toEqual({ takenBack: 3, kept: [] });
    expect((await page(hood)).archivedAt).toBeNull();
  });

  it('many are lent in one go and taken back; what is away already is named', async () => {
    const { lens, cap, hood } = await bagged('Many');
    const other = await t.add('Many others');
    await t.http.post(routes.away).send({ itemId: hood.id, why: 'other', until: null }).expect(201);
    t.clock.set(new Date(t.clock.now().getTime() + 60_000));
    const send = (body: object) => t.http.post(routes.awayMany).send({ why: 'loan', until: '2026-04-01', ...body });
    expect((await send({ itemIds: [lens.id] }).expect(400)).body.fields.to).toMatch(/Whom is it lent to/);
    expect((await send({ itemIds: [lens.id], why: 'loan', to: 'X', estimate: 3 }).expect(400)).body.fields.estimate).toBeDefined();
    const sent = (await send({ itemIds: [lens.id, other.id], to: 'A friend' }).expect(201)).body as SentAway;
    expect(sent.entryIds).toHaveLength(3);
    expect(sent.refused).toEqual([{ itemId: hood.id, name: 'Many hood', because: 'already-away' }]);
    expect((await page(cap)).away).toMatchObject({ to: 'A friend', until: '2026-04-01' });
    await t.http.post(routes.takeBack).send({ entryIds: sent.entryIds }).expect(200);
    expect((await page(cap)).away).toBeNull();
    expect((await page(hood)).away).not.toBeNull();
  });

  it('is gone when it is said so, the sum with the thing itself; and what is not is spare', async () => {
    const [sold, alone] = [await bagged('Sold'), await bagged('Left')];
    const gone = { why: 'sold', on: '2026-03-10', for: 200 };
    const { version } = await page(sold.lens);
    await t.http.post(routes.itemArchive(sold.lens.id)).send({ version, gone, together: true }).expect(200);
    expect((await page(sold.cap)).gone).toEqual({ ...gone, for: null });
    expect((await page(sold.bag)).gone).toBeNull();
    const left = await page(alone.cap);
    const { name, kind, traits, notes, acquiredOn } = left;
    const particulars = { part: 'front-cap', threadMm: 58 };
    await t.http.put(routes.item(left.id)).send({ name, kind, traits, notes, acquiredOn, particulars, version: left.version }).expect(200);
    const spare = async () => ((await t.http.get(routes.gearFit).expect(200)).body as FitPage).spareCaps.map((s) => s.thing.name);
    expect(await spare()).toEqual([]);
    await t.http.post(routes.itemArchive(alone.lens.id)).send({ version: 1, gone }).expect(200);
    expect(await spare()).toEqual(['Left cap']);
    expect((await page(left)).together.to).toBeNull();
  });

  it('a lost cap is replaced by a spare one of its thread', async () => {
    const lens = await t.add('Lost its cap', { particulars: { threadMm: 46 } });
    await t.add('Spare 46', { kind: 'accessory', particulars: { part: 'front-cap', threadMm: 46 } });
    await t.http.post(routes.capMissing).send({ itemId: lens.id, surface: 'front-cap' }).expect(201);
    const { wantedCaps, spareCaps } = (await t.http.get(routes.gearFit).expect(200)).body as FitPage;
    expect(wantedCaps).toMatchObject([
      { of: { name: 'Lost its cap' }, cap: 'front-cap', size: { threadMm: 46 }, spare: { name: 'Spare 46' } },
    ]);
    expect(spareCaps.find((s) => s.thing.name === 'Spare 46')).toMatchObject({ left: 0 });
  });
});
