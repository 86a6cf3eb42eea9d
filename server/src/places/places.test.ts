import { routes, type Device, type ItemPage, type Log, type PlaceInput, type Stay, type Today } from '@bright-keeper/contract';
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
