import {
  routes,
  type Chart,
  type Device,
  type DeviceInput,
  type PlaceExplanation,
  type PlacePage,
  type Today,
} from '@bright-keeper/contract';
import { type air, MS_PER_HOUR, sources } from '@bright-keeper/core';
import { request as httpRequest } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Memo } from '../platform/index.js';
import { START, testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => void (t = await testApp()));
afterAll(() => t.app.close());

const addDevice = async (more: Partial<DeviceInput> = {}) =>
  (
    await t.http
      .post(routes.devices)
      .send({ name: 'Probe', source: 'push', outdoor: false, placeId: null, everyMinutes: 60, note: '', ...more })
      .expect(201)
  ).body as Device;
const update = (device: Device, more: Partial<DeviceInput>) => {
  const { name, source, outdoor, placeId, everyMinutes, note, version } = device;
  return t.http.put(routes.device(device.id)).send({ name, source, outdoor, placeId, everyMinutes, note, version, ...more });
};
const steady = (hours: number, endMs: number, humidityPct: number): air.Reading[] =>
  Array.from({ length: hours }, (_, i) => ({
    at: new Date(endMs - (hours - 1 - i) * MS_PER_HOUR).toISOString(),
    temperatureC: 20,
    humidityPct,
  }));
async function push(device: Device, readings: air.Reading[]): Promise<void> {
  const { token } = (await t.http.post(routes.deviceToken(device.id)).expect(201)).body as { token: string };
  await t.http.post(routes.pushReadings).set('authorization', `Bearer ${token}`).send(sources.toSenml('p', readings)).expect(200);
}
const chart = async (placeId: string, days: number) =>
  (
    await t.http
      .get(routes.placeChart(placeId))
      .query({ from: new Date(START.getTime() - days * 24 * MS_PER_HOUR).toISOString(), to: START.toISOString(), points: 300 })
      .expect(200)
  ).body as Chart;

describe('a hygrometer', () => {
  it('that is moved leaves what it read in the place it read it in', async () => {
    const [shelf, cupboard] = [await t.addPlace({ name: 'Shelf' }), await t.addPlace({ name: 'Cupboard' })];
    const device = await addDevice({ placeId: shelf.id });
    const movedAt = START.getTime() - 5 * 24 * MS_PER_HOUR;
    // An hour counts for the place the device lay in at its middle, so the last one ends before the move.
    await push(device, steady(10 * 24, movedAt - MS_PER_HOUR, 45));
    t.clock.set(new Date(movedAt));
    await update(device, { placeId: cupboard.id }).expect(200);
    t.clock.set(START);
    await push(device, steady(5 * 24 - 1, START.getTime(), 75));
    expect((await chart(shelf.id, 30)).points.map((p) => p.humidityPct.max)).not.toContain(75);
    expect((await chart(cupboard.id, 30)).points.map((p) => p.humidityPct.min)).not.toContain(45);
    const page = (await t.http.get(routes.placePage(cupboard.id)).expect(200)).body as PlacePage;
    expect(page.latest!.humidityPct).toBe(75);
  });

  it('that shares a place with another counts beside it while they agree', async () => {
    const shelf = await t.addPlace({ name: 'Shared' });
    for (const humidityPct of [48, 52]) await push(await addDevice({ placeId: shelf.id }), steady(48, START.getTime(), humidityPct));
    const { points } = await chart(shelf.id, 3);
    expect(Math.min(...points.map((p) => p.humidityPct.min))).toBe(48);
    expect(Math.max(...points.map((p) => p.humidityPct.max))).toBe(52);
    expect(points.at(-1)!.humidityPct.mean).toBe(50);
  });

  it('that disagrees with another in the same place is told of, and nothing is averaged away', async () => {
    const shelf = await t.addPlace({ name: 'Disputed' });
    const [logger, dial] = [await addDevice({ name: 'Logger', placeId: shelf.id }), await addDevice({ name: 'Dial', placeId: shelf.id })];
    const end = START.getTime() - MS_PER_HOUR;
    await push(logger, steady(20 * 24, end, 56));
    await push(dial, steady(20 * 24, end, 44));
    const page = async () => (await t.http.get(routes.placePage(shelf.id)).expect(200)).body as PlacePage;
    // Whichever spoke last: the wetter is shown, and by neither is it safe.
    expect(await page()).toMatchObject({ latest: { humidityPct: 56 }, standing: { says: 'disputed' } });
    const { points } = await chart(shelf.id, 3);
    expect(points.at(-1)!.humidityPct).toEqual({ min: 44, mean: 56, max: 56 });
    expect((await page()).ribbon.at(-1)).toMatchObject({ minPct: 44, meanPct: 56, maxPct: 56 });
    const explained = (await t.http.get(routes.placeExplanation(shelf.id)).expect(200)).body as PlaceExplanation;
    expect(explained.advice).toEqual({ by: 'measured', verdict: 'settle-first' });

    const atHand = async () =>
      ((await t.http.get(routes.today).expect(200)).body as Today).duties.filter((d) => d.code === 'apart' && d.subject.id === shelf.id);
    const facts = { cause: 'apart', wetter: { name: 'Logger', humidityPct: 56, testedAt: null }, drier: { name: 'Dial', humidityPct: 44 } };
    expect(await atHand()).toMatchObject([{ facts }]);

    // The dial is found to read 12 % too little: from there on both say the same.
    const test = { at: START.toISOString(), note: '', points: [{ salt: 'NaCl', temperatureC: 20, rawPct: 63.5 }] };
    await t.http.post(routes.deviceCalibrations(dial.id)).send(test).expect(201);
    expect(await atHand()).toEqual([]);
    expect((await page()).standing).toMatchObject({ says: 'safe' });
  });

  it('refuses a stale change, a place nobody knows, and work after it was taken out', async () => {
    const device = await addDevice();
    await update(device, { name: 'Renamed' }).expect(200);
    const stale = await update(device, { name: 'Again' }).expect(409);
    expect(stale.body.current.name).toBe('Renamed');
    await t.http
      .post(routes.devices)
      .send({ name: 'x', source: 'push', outdoor: false, placeId: '018f0000-0000-7000-8000-000000000000', everyMinutes: 5, note: '' })
      .expect(404);
    const { token } = (await t.http.post(routes.deviceToken(device.id)).expect(201)).body as { token: string };
    await t.http
      .post(`${routes.device(device.id)}/archive`)
      .send({ version: 2 })
      .expect(204);
    await t.http
      .post(routes.pushReadings)
      .set('authorization', `Bearer ${token}`)
      .send(sources.toSenml('p', steady(1, START.getTime(), 50)))
      .expect(401);
    const all = (await t.http.get(routes.devices).expect(200)).body.devices as Device[];
    expect(all.map((d) => d.id)).not.toContain(device.id);
    await t.http.get(routes.device('018f0000-0000-7000-8000-000000000000')).expect(404);
  });

  it('takes what is told for an earlier time as that, and nothing of the future', async () => {
    const dial = await addDevice({ source: 'hand' });
    const read = (at: string | null, humidityPct: number) =>
      t.http.post(routes.deviceReadings(dial.id)).send({ at, temperatureC: 20, humidityPct });
    await read(null, 50).expect(200);
    await read('2026-03-01T08:00:00Z', 61).expect(200);
    const told = (await t.http.get(routes.device(dial.id)).expect(200)).body as Device;
    expect(told).toMatchObject({ readings: 2, firstAt: '2026-03-01T00:00:00.000Z', clockJumps: [] });
    expect(told.latest!.humidityPct).toBe(50);
    const test = (at: string | null) =>
      t.http.post(routes.deviceCalibrations(dial.id)).send({ at, points: [{ salt: 'NaCl', temperatureC: 20, rawPct: 72 }], note: '' });
    const tested = (await test('2026-02-20T08:00:00Z').expect(201)).body as Device;
    expect(tested.calibrations.map((c) => c.at)).toEqual(['2026-02-20T08:00:00.000Z']);
    for (const refused of [await read('2026-04-01T08:00:00Z', 50), await test('2026-04-01T08:00:00Z')]) {
      expect(refused.status).toBe(422);
      expect(refused.body).toMatchObject({ code: 'in-the-future', fields: { at: 'This lies in the future.' } });
    }
    expect((await t.http.get(routes.device(dial.id)).expect(200)).body).toMatchObject({ readings: 2 });
  });

  it('keeps what came before its log was cut off, and goes on answering', async () => {
    const device = await addDevice({ source: 'csv' });
    await t.app.listen(0, '127.0.0.1');
    const { port } = t.app.getHttpServer().address() as AddressInfo;
    const format = encodeURIComponent(
      JSON.stringify({
        delimiter: ',',
        decimal: '.',
        dateOrder: 'iso',
        date: 'time',
        time: null,
        temperature: 'temp',
        humidity: 'hum',
        temperatureUnit: 'C',
        humidityUnit: 'pct',
        timeZone: 'UTC',
      }),
    );
    await new Promise<void>((resolve) => {
      const sending = httpRequest({
        port,
        method: 'POST',
        path: `${routes.logImport(device.id)}?format=${format}`,
        headers: { 'content-type': 'text/csv' },
      });
      sending.on('error', () => resolve());
      sending.on('close', () => resolve());
      sending.write('time,temp,hum\n2026-01-01T00:00:00Z,20,50\n');
      setTimeout(() => sending.destroy(), 200);
    });
    await t.http.get(routes.device(device.id)).expect(200);
  });
});

/** IANA zones, rules as published for 2026: Lisbon changes on 29 March and 25 October, Kathmandu is 5:45 ahead all year. */
describe('the memory of what was worked out', () => {
  it('has the last answer for each thing one asks about, however many there are', () => {
    const memo = new Memo();
    let asked = 0;
    const get = (of: string, key: string) => memo.get(of, key, () => ++asked);
    const places = Array.from({ length: 500 }, (_, i) => `place ${i}`);
    for (const place of places) get(place, 'dry');
    expect(asked).toBe(500);
    for (const place of places) get(place, 'dry');
    expect(asked).toBe(500);
    expect(get('place 7', 'damp')).toBe(501);
    expect(get('place 7', 'damp')).toBe(501);
    // Only the last key of a thing is kept.
    expect(get('place 7', 'dry')).toBe(502);
  });
});
