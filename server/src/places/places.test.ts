import {
  routes,
  type Device,
  type ItemPage,
  type Log,
  type Moved,
  type MovesTakenBack,
  type PlaceInput,
  type Stay,
  type Today,
} from '@bright-keeper/contract';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { SHELF, START, testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeEach(async () => void (t = await testApp()));
afterEach(() => t.app.close());

const cupboard: PlaceInput = { ...SHELF, name: 'Oak cupboard', kind: 'cupboard', volumeL: 300, openingsPerWeek: 5, lining: 'wood' };
const add = (more: Partial<PlaceInput> = {}) => t.addPlace({ ...cupboard, ...more });
const move = (itemId: string, placeId: string | null) => t.http.put(routes.itemPlace(itemId)).send({ placeId });
const page = async (id: string) => (await t.http.get(routes.item(id)).expect(200)).body as ItemPage;
const daysLater = (days: number) => t.clock.set(new Date(START.getTime() + days * 86_400_000));

describe('places', () => {
  it('refuse a band upside down and a place that would stand in itself, naming the field', async () => {
    const upsideDown = await t.http
      .post(routes.places)
      .send({ ...cupboard, lowPct: 70 })
      .expect(400);
    expect(upsideDown.body.fields.highPct).toMatch(/above the lower/);
    const shelf = await add({ name: 'Shelf', kind: 'shelf' });
    const box = await add({ standsInId: shelf.id });
    const ring = await t.http.put(routes.place(shelf.id)).send({ ...cupboard, name: 'Shelf', standsInId: box.id, version: 1 });
    expect(ring.status).toBe(422);
    expect(ring.body.fields.standsInId).toMatch(/itself/);
  });

  it('keep every stay of a thing, one at a time, and log the move', async () => {
    const [a, b] = [await add(), await add({ name: 'Box' })];
    const { id } = await t.add('Corvane 35/2');
    await move(id, a.id).expect(200);
    daysLater(3);
    await move(id, b.id).expect(200);
    daysLater(5);
    const stays = (await move(id, null).expect(200)).body as Stay[];
    expect(stays.map((s) => [s.placeName, s.since.slice(0, 10), s.until?.slice(0, 10)])).toEqual([
      ['Oak cupboard', '2026-03-10', '2026-03-13'],
      ['Box', '2026-03-13', '2026-03-15'],
    ]);
    expect((await page(id)).place).toBeNull();
  });

  describe('told for an earlier day', () => {
    const put = (itemId: string, placeId: string | null, since: string) => t.http.put(routes.itemPlace(itemId)).send({ placeId, since });
    const spans = (stays: Stay[]) => stays.map((s) => [s.placeName, s.since.slice(0, 10), s.until?.slice(0, 10) ?? null]);
    const titles = async (id: string) =>
      ((await t.http.get(routes.itemLog(id)).expect(200)).body as Log).entries.map((e) => [e.at.slice(0, 10), e.data.kind]);

    it('have things lie there since then, with what was measured meanwhile', async () => {
      const place = await add();
      const { id } = await t.add('Corvane 35/2');
      const dial = { name: 'Dial', source: 'hand', outdoor: false, placeId: place.id, everyMinutes: 1440, note: '' };
      const device = (await t.http.post(routes.devices).send(dial).expect(201)).body as Device;
      for (const day of [1, 3, 5, 7]) {
        const reading = { at: `2026-03-0${day}T10:00:00Z`, temperatureC: 20, humidityPct: 70 };
        await t.http.post(routes.deviceReadings(device.id)).send(reading).expect(200);
      }
      expect(spans((await put(id, place.id, '2026-03-02T10:00:00Z').expect(200)).body as Stay[])).toEqual([
        ['Oak cupboard', '2026-03-02', null],
      ]);
      expect((await page(id)).place).toMatchObject({ id: place.id, since: '2026-03-02T10:00:00.000Z' });
      // Of the four hours that were read, the first was before it came.
      expect((await t.http.get(routes.itemExposure(id)).expect(200)).body.measuredDays).toBe(3 / 24);
    });

    it('are put right, and the log keeps what was said before', async () => {
      const [a, b] = [await add(), await add({ name: 'Box' })];
      const { id } = await t.add('Corvane 35/2');
      await move(id, a.id).expect(200);
      expect(spans((await put(id, a.id, '2026-02-01T12:00:00Z').expect(200)).body as Stay[])).toEqual([
        ['Oak cupboard', '2026-02-01', null],
      ]);
      expect(spans((await put(id, b.id, '2026-02-20T12:00:00Z').expect(200)).body as Stay[])).toEqual([
        ['Oak cupboard', '2026-02-01', '2026-02-20'],
        ['Box', '2026-02-20', null],
      ]);
      const log = await titles(id);
      expect(log.filter(([, kind]) => kind !== 'added')).toEqual([
        ['2026-03-10', 'stay-told'],
        ['2026-03-10', 'moved'],
        ['2026-02-20', 'moved'],
      ]);
    });

    it('refuse the future, and a day on which it still lay elsewhere, beside the field; nothing is changed', async () => {
      const [a, b] = [await add(), await add({ name: 'Box' })];
      const { id } = await t.add('Corvane 35/2');
      await put(id, a.id, '2026-02-01T12:00:00Z').expect(200);
      await put(id, b.id, '2026-02-20T12:00:00Z').expect(200);
      const ahead = await put(id, a.id, '2026-03-11T12:00:00Z').expect(422);
      expect(ahead.body.fields.since).toMatch(/future/);
      const over = await put(id, b.id, '2026-02-10T12:00:00Z').expect(409);
      expect(over.body.fields.since).toMatch(/still lay in Oak cupboard/);
      expect(spans((await t.http.get(routes.itemStays(id)).expect(200)).body as Stay[])).toEqual([
        ['Oak cupboard', '2026-02-01', '2026-02-20'],
        ['Box', '2026-02-20', null],
      ]);
    });
  });

  describe('many at once', () => {
    const moveAll = (itemIds: string[], placeId: string | null, since: string | null = null) =>
      t.http.post(routes.moves).send({ itemIds, placeId, since });
    const takeBack = async (entryIds: string[]) =>
      (await t.http.post(routes.movesTakenBack).send({ entryIds }).expect(200)).body as MovesTakenBack;
    const staysOf = async (id: string) =>
      ((await t.http.get(routes.itemStays(id)).expect(200)).body as Stay[]).map(({ placeName, since, until }) => ({
        placeName,
        since,
        until,
      }));
    const shelf = async (n: number) => {
      const things: string[] = [];
      for (let i = 0; i < n; i++) things.push((await t.add(`Thing ${i}`)).id);
      return things;
    };

    it('are moved in one go and taken back in one, as if it had never been told', async () => {
      const [a, b] = [await add(), await add({ name: 'Box' })];
      const things = await shelf(4);
      await move(things[0]!, a.id).expect(200);
      await move(things[1]!, b.id).expect(200);
      const before = await Promise.all(things.map(staysOf));
      daysLater(3);
      const { entryIds, refused } = (await moveAll(things, b.id).expect(201)).body as Moved;
      expect(refused).toEqual([]);
      // One lay there already.
      expect(entryIds).toHaveLength(3);
      for (const id of things) expect((await page(id)).place?.name).toBe('Box');
      daysLater(4);
      expect(await takeBack(entryIds)).toEqual({ takenBack: 3, kept: 0 });
      expect(await Promise.all(things.map(staysOf))).toEqual(before);
      const log = ((await t.http.get(routes.itemLog(things[2]!)).expect(200)).body as Log).entries;
      expect(log.map((e) => e.data.kind)).toEqual(['added']);
      expect(await takeBack(entryIds)).toEqual({ takenBack: 0, kept: 3 });
    });

    it('are told for an earlier day, what was corrected by it included, and what lay elsewhere then is named', async () => {
      const [a, b] = [await add(), await add({ name: 'Box' })];
      const [never, lately, elsewhere] = (await shelf(3)) as [string, string, string];
      await move(lately, a.id).expect(200);
      await t.http.put(routes.itemPlace(elsewhere)).send({ placeId: a.id, since: '2026-01-01T00:00:00Z' }).expect(200);
      await t.http.put(routes.itemPlace(elsewhere)).send({ placeId: null, since: '2026-03-05T00:00:00Z' }).expect(200);
      const before = await Promise.all([never, lately, elsewhere].map(staysOf));
      const { entryIds, refused } = (await moveAll([never, lately, elsewhere], b.id, '2026-02-01T00:00:00Z').expect(201)).body as Moved;
      expect(refused).toEqual([{ itemId: elsewhere, name: 'Thing 2', because: 'lay-elsewhere', placeName: 'Oak cupboard' }]);
      const since = { placeName: 'Box', since: '2026-02-01T00:00:00.000Z', until: null };
      expect([await staysOf(never), await staysOf(lately)]).toEqual([[since], [since]]);
      expect(await takeBack(entryIds)).toEqual({ takenBack: 2, kept: 0 });
      expect(await Promise.all([never, lately, elsewhere].map(staysOf))).toEqual(before);
    });

    it('that were moved again since stay as they are, and nothing else is taken back by it', async () => {
      const [a, b] = [await add(), await add({ name: 'Box' })];
      const [one, two] = (await shelf(2)) as [string, string];
      const { entryIds } = (await moveAll([one, two], a.id).expect(201)).body as Moved;
      daysLater(1);
      await move(one, b.id).expect(200);
      expect(await takeBack(entryIds)).toEqual({ takenBack: 1, kept: 1 });
      expect((await page(one)).place?.name).toBe('Box');
      expect((await page(two)).place).toBe(null);
      const added = ((await t.http.get(routes.itemLog(two)).expect(200)).body as Log).entries.find((e) => e.data.kind === 'added')!;
      expect(await takeBack([added.id, '018f0000-0000-7000-8000-000000000000'])).toEqual({ takenBack: 0, kept: 2 });
    });

    it('of which one has fungus leave it apart', async () => {
      const a = await add();
      const [sick, well] = (await shelf(2)) as [string, string];
      const { version } = await page(sick);
      await t.http.put(routes.itemStatus(sick)).send({ version, status: 'quarantined' }).expect(200);
      const { entryIds, refused } = (await moveAll([sick, well], a.id).expect(201)).body as Moved;
      expect([entryIds.length, refused]).toEqual([1, [{ itemId: sick, name: 'Thing 0', because: 'quarantined' }]]);
      expect((await page(sick)).place).toBe(null);
    });

    it('are not taken back over what was told later, nor into a place that was given up', async () => {
      const [a, b] = [await add(), await add({ name: 'Box' })];
      const [one, two] = (await shelf(2)) as [string, string];
      await moveAll([one, two], a.id).expect(201);
      daysLater(1);
      const out = (await moveAll([one], null).expect(201)).body as Moved;
      daysLater(2);
      await move(one, b.id).expect(200);
      daysLater(3);
      await move(one, null).expect(200);
      const before = await staysOf(one);
      expect(await takeBack(out.entryIds)).toEqual({ takenBack: 0, kept: 1 });
      expect(await staysOf(one)).toEqual(before);
      const away = (await moveAll([two], b.id).expect(201)).body as Moved;
      await t.http
        .post(`${routes.place(a.id)}/archive`)
        .send({ version: a.version })
        .expect(200);
      expect(await takeBack(away.entryIds)).toEqual({ takenBack: 0, kept: 1 });
      await move(two, a.id).expect(404);
      expect((await page(two)).place?.name).toBe('Box');
    });

    it('refuse an unknown place, the future, and more than can be walked at once; nothing is moved', async () => {
      const a = await add();
      const things = await shelf(2);
      await moveAll(things, '018f0000-0000-7000-8000-000000000000').expect(404);
      await moveAll(things, a.id, '2027-01-01T00:00:00Z').expect(422);
      await moveAll([], a.id).expect(400);
      await moveAll([things[0]!, things[0]!], a.id).expect(400);
      for (const id of things) expect((await page(id)).place).toBe(null);
    });

    it('are archived and put back in one go, each once', async () => {
      const things = await shelf(3);
      const did = async (route: string, itemIds = things) =>
        (await t.http.post(route).send({ itemIds }).expect(200)).body.itemIds as string[];
      expect(await did(routes.gearArchive, [things[0]!])).toEqual([things[0]]);
      expect((await did(routes.gearArchive)).sort()).toEqual(things.slice(1).sort());
      for (const id of things) expect((await page(id)).archivedAt).not.toBe(null);
      expect((await did(routes.gearRestore, things.slice(1))).sort()).toEqual(things.slice(1).sort());
      expect((await page(things[0]!)).archivedAt).not.toBe(null);
      expect((await page(things[1]!)).archivedAt).toBe(null);
    });
  });

  it('are given up only when nothing lies in them', async () => {
    const place = await add();
    const { id } = await t.add('Corvane 35/2');
    await move(id, place.id).expect(200);
    await t.http.post(routes.placeArchive(place.id)).send({ version: 1 }).expect(409);
    await move(id, null).expect(200);
    await t.http.post(routes.placeArchive(place.id)).send({ version: 1 }).expect(200);
  });
});

/** Rule 12 and section 10 of the knowledge: isolate at once, look at the neighbours now, after 4 and after 12 weeks. */
describe('quarantine', () => {
  const quarantine = async (id: string) =>
    t.http
      .put(routes.itemStatus(id))
      .send({ version: (await page(id)).version, status: 'quarantined' })
      .expect(200);

  it('takes the thing out, lists what shared its place, and has each looked at three times', async () => {
    const place = await add();
    const other = await add({ name: 'Shelf' });
    const [sick, beside, elsewhere, gone] = await Promise.all(['Sick', 'Beside', 'Elsewhere', 'Gone before'].map((n) => t.add(n)));
    await move(gone!.id, place.id);
    daysLater(1);
    await move(gone!.id, other.id);
    daysLater(2);
    for (const thing of [sick!, beside!]) await move(thing.id, place.id);
    await move(elsewhere!.id, other.id);
    daysLater(30);
    await quarantine(sick!.id);

    const after = await page(sick!.id);
    expect(after.place).toBeNull();
    expect(after.neighbours).toEqual([
      { itemId: beside!.id, name: 'Beside', placeName: 'Oak cupboard', until: '2026-04-09T10:00:00.000Z' },
    ]);
    const looks = (await page(beside!.id)).due.filter((d) => d.code.startsWith('neighbour-look'));
    expect(looks.map((d) => d.window.due)).toEqual(['2026-04-09', '2026-05-07', '2026-07-02']);
    expect(looks[0]!.facts).toEqual({
      says: 'rhythm',
      because: [{ because: 'shared-a-place', name: 'Sick' }],
      sight: { asked: ['inner-glass'], seen: [] },
    });
    expect((await page(elsewhere!.id)).due.some((d) => d.code.startsWith('neighbour-look'))).toBe(false);
    const today = (await t.http.get(routes.today).expect(200)).body as Today;
    expect(today.duties.find((d) => d.code === 'neighbour-look')?.subject.name).toBe('Beside');
  });

  it('counts a look at a neighbour for the one that is due, and keeps the later ones', async () => {
    const place = await add();
    const [sick, beside] = [await t.add('Sick'), await t.add('Beside')];
    for (const thing of [sick, beside]) await move(thing.id, place.id);
    daysLater(7);
    await quarantine(sick.id);
    const glanced = await t.look(beside.id, { 'front-glass': {} });
    expect(
      glanced.due.map((d) => d.code),
      'a look at the front is no torch through it',
    ).toContain('neighbour-look');
    const left = await t.look(beside.id, { 'inner-glass': {} });
    expect(left.due.map((d) => d.code).filter((code) => code.startsWith('neighbour'))).toEqual([
      'neighbour-look-4-weeks',
      'neighbour-look-12-weeks',
    ]);
  });
});
