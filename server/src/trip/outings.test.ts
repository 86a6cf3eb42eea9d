import { type Cleaning, type Drawer, type Outing, routes, type StorageOverview, type Supply } from '@bright-keeper/contract';
import { care, MS_PER_DAY, type schedule, sources } from '@bright-keeper/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const day = (inDays: number): string => new Date(t.clock.now().getTime() + inDays * MS_PER_DAY).toISOString().slice(0, 10);
const blank = { met: [], frames: null, lensChanges: null, hours: null, note: '' };
const add = async (more: object): Promise<Outing> =>
  (
    await t.http
      .post(routes.outings)
      .send({ ...blank, name: 'Out', from: day(0), to: day(0), place: 'shore', itemIds: [], ...more })
      .expect(201)
  ).body as Outing;
const drawer = async (): Promise<Drawer> => (await t.http.get(routes.supplies).expect(200)).body as Drawer;
const put = async (thing: string, kit: string | null): Promise<Supply> =>
  (
    await t.http
      .post(routes.supplies)
      .send({ thing, state: 'clean', stock: null, packSize: null, packPrice: null, openedOn: null, note: '', kit })
      .expect(201)
  ).body as Supply;

describe('an outing that is planned', () => {
  it('says where else it goes, in which weather and how, with which kit; where nothing is said, plainly so', async () => {
    expect(await add({})).toMatchObject({ also: [], weather: [], travel: 'own-way', kit: null });
    const told = { also: ['boat', 'night-sky'], weather: ['wind'], travel: 'flight', kit: 'Belt pouch' };
    const outing = await add(told);
    expect(outing).toMatchObject(told);
    const { id, ...rest } = outing;
    const changed = await t.http
      .put(routes.outing(id))
      .send({ ...rest, also: ['shore', 'boat'], kit: '  Boat box ' })
      .expect(200);
    // The ground it is named by is not one of the others, and a name has no spaces around it.
    expect(changed.body).toMatchObject({ also: ['boat'], kit: 'Boat box' });
    for (const made of [outing, changed.body as Outing]) await t.http.delete(routes.outing(made.id));
  });

  it.each([
    ['ground nobody knows', { also: ['moon'] }, /^also/],
    ['weather nobody knows', { weather: ['frogs'] }, /^weather/],
    ['a kit without a name', { kit: '   ' }, /^kit$/],
    ['a kit with a novel for a name', { kit: 'x'.repeat(61) }, /^kit$/],
  ])('is refused with %s, beside the field', async (_, wrong, field) => {
    const { body } = await t.http
      .post(routes.outings)
      .send({ ...blank, name: 'Out', from: day(0), to: day(0), place: 'shore', itemIds: [], ...wrong })
      .expect(400);
    expect(Object.keys(body.fields as object).some((name) => field.test(name))).toBe(true);
  });

  it('asks for its minute every evening but the last, once a day, until each thing was looked at', async () => {
    const [lens, other] = [await t.add('Goes along'), await t.add('Goes as well')];
    const outing = await add({ from: day(-1), to: day(2), itemIds: [lens.id, other.id] });
    const minute = async () =>
      ((await t.http.get(routes.outingAsks(outing.id)).expect(200)).body as schedule.Duty[]).find((d) => d.code === 'evening-minute');
    expect((await minute())?.facts).toMatchObject({ things: [{ name: 'Goes along' }, { name: 'Goes as well' }] });
    await t.look(lens.id, Object.fromEntries(care.surfacesOf('lens', {}).map((surface) => [surface, {}])));
    expect((await minute())?.facts).toMatchObject({ things: [{ name: 'Goes as well' }] });
    const subject = { kind: 'outing', id: outing.id };
    await t.http.post(routes.dutyDone).send({ code: 'evening-minute', subject, at: null }).expect(201);
    expect(await minute()).toBeUndefined();
    t.clock.set(new Date(t.clock.now().getTime() + MS_PER_DAY));
    expect((await minute())?.window.due).toBe(day(0));
    await t.http.delete(routes.outing(outing.id));
  });
});

describe('what the weather asks of an outing', () => {
  const asked = async (id: string) => ((await t.http.get(routes.outingAsks(id)).expect(200)).body as schedule.Duty[]).map((d) => d.code);
  /** A station that foretells so many hours of such air. */
  const foretell = async (temperatureC: number, humidityPct: number) => {
    const input = { name: 'Roof', source: 'push', outdoor: true, placeId: null, everyMinutes: 60, note: '' };
    const { id } = (await t.http.post(routes.devices).send(input).expect(201)).body as { id: string };
    const { token } = (await t.http.post(routes.deviceToken(id)).expect(201)).body as { token: string };
    const now = t.clock.now().getTime();
    const ahead = Array.from({ length: 24 }, (_, h) => ({
      at: new Date(now + h * 3_600_000).toISOString(),
      ...{ temperatureC, humidityPct, windMs: 7, rainMmPerH: 0 },
    }));
    await t.http.post(routes.pushForecast).set('authorization', `Bearer ${token}`).send(sources.toSenml('roof', ahead)).expect(200);
  };

  it('is a bag shut before the door where it was cold, until that is seen to', async () => {
    const lens = await t.add('Comes in cold');
    const outing = await add({ from: day(-1), to: day(0), itemIds: [lens.id], weather: ['cold'] });
    expect(await asked(outing.id)).toContain('comes-in-cold');
    const mild = await add({ from: day(-1), to: day(0), itemIds: [lens.id], weather: ['wind'] });
    expect(await asked(mild.id)).not.toContain('comes-in-cold');
    await t.http
      .post(routes.dutyDone)
      .send({ code: 'comes-in-cold', subject: { kind: 'outing', id: outing.id }, at: null })
      .expect(201);
    expect(await asked(outing.id)).not.toContain('comes-in-cold');
    for (const { id } of [outing, mild]) await t.http.delete(routes.outing(id));
  });

  it('is the strap before the dew, where the station foretells it for tonight; a forecast of yesterday foretells nothing', async () => {
    const lens = await t.add('Under the stars');
    const outing = await add({ from: day(-1), to: day(3), itemIds: [lens.id], place: 'night-sky' });
    expect(await asked(outing.id)).not.toContain('dew-tonight');
    await foretell(6, 93);
    const outdoors = async () => ((await t.http.get(routes.storage).expect(200)).body as StorageOverview).outdoors;
    expect((await outdoors())?.forecast?.readings[0]).toMatchObject({ windMs: 7, rainMmPerH: 0 });
    expect(await asked(outing.id)).toContain('dew-tonight');
    const before = t.clock.now();
    t.clock.set(new Date(before.getTime() + 25 * 3_600_000));
    expect((await outdoors())?.forecast).toBeNull();
    expect(await asked(outing.id)).not.toContain('dew-tonight');
    t.clock.set(before);
    await t.http.delete(routes.outing(outing.id));
  });
});

describe('a kit that is along', () => {
  it('is that of the outing under way, and what the plan outdoors has', async () => {
    const lens = await t.add('Out with a kit');
    await t.look(lens.id, { 'front-glass': { fingerprint: 3, dust: 3 } });
    const start = async (more: object) =>
      (await t.http.post(routes.cleanings).send({ itemId: lens.id, place: 'field', ...more })).body as Cleaning;
    const given = async (more: object) => {
      const { request, id, staleBecause } = await start(more);
      await t.http.delete(routes.cleaning(id)).expect(204);
      return { has: request.onHand?.map((o) => o.id), more: request.moreOnHand, kit: request.kit, staleBecause };
    };
    await put('lens-tissue', null);
    expect((await drawer()).along).toBeNull();
    // Without kits the drawer travels.
    expect((await given({})).has).toContain('lens-tissue');
    await put('bulb-blower', 'Belt pouch');
    await put('sealed-wipe', 'Belt pouch');
    await put('bulb-blower', 'Boat box');
    const outing = await add({ from: day(-1), to: day(1), kit: 'Belt pouch' });
    expect((await drawer()).along).toBe('Belt pouch');
    expect(await given({ kit: 'Belt pouch' })).toEqual({
      ...{ has: ['bulb-blower', 'sealed-wipe'], more: false, kit: 'Belt pouch', staleBecause: [] },
    });
    expect((await given({ kit: 'Boat box' })).has).toEqual(['bulb-blower']);
    // At home everything is there.
    const home = (await t.http.post(routes.cleanings).send({ itemId: lens.id, place: 'home' }).expect(201)).body as Cleaning;
    expect(home.request.onHand?.map((o) => o.id)).toEqual(['lens-tissue', 'bulb-blower', 'sealed-wipe', 'bulb-blower']);
    expect(home.request.kit).toBeUndefined();
    await t.http.delete(routes.cleaning(home.id)).expect(204);
    await t.http.delete(routes.outing(outing.id)).expect(204);
    expect((await drawer()).along).toBeNull();
  });
});
