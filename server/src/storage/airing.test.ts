import { routes, type Device, type DeviceInput, type PlacePage } from '@bright-keeper/contract';
import { type air, sources } from '@bright-keeper/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { START, testApp, type TestApp } from '../testing/testApp.js';

const HOUR = 3_600_000;
let t: TestApp;
beforeAll(async () => void (t = await testApp()));
afterAll(() => t.app.close());

const reading = (hours: number, temperatureC: number, humidityPct: number): air.Reading => ({
  at: new Date(START.getTime() + hours * HOUR).toISOString(),
  temperatureC,
  humidityPct,
});
/** A hygrometer that pushes, and what it pushed. */
async function heard(more: Partial<DeviceInput>, ...readings: air.Reading[]): Promise<string> {
  const input = { name: 'Probe', source: 'push', outdoor: false, placeId: null, everyMinutes: 60, note: '', ...more };
  const { id } = (await t.http.post(routes.devices).send(input).expect(201)).body as Device;
  const { token } = (await t.http.post(routes.deviceToken(id)).expect(201)).body as { token: string };
  await t.http.post(routes.pushReadings).set('authorization', `Bearer ${token}`).send(sources.toSenml('p', readings)).expect(200);
  return token;
}
const airing = async (id: string) => ((await t.http.get(routes.placePage(id)).expect(200)).body as PlacePage).airing;

describe('when to open a place', () => {
  it('is not said where nothing is known of now: neither of itself, nor of what would come in', async () => {
    const room = await t.addPlace({ name: 'Room' });
    expect(await airing(room.id)).toBeNull();
    await heard({ placeId: room.id }, reading(-0.5, 20, 60));
    expect(await airing(room.id)).toBeNull();
    const cupboard = await t.addPlace({ name: 'Cupboard', kind: 'cupboard', standsInId: room.id });
    await heard({ placeId: cupboard.id }, reading(-5, 16, 80));
    expect(await airing(cupboard.id)).toBeNull();
  });

  it('is by the room it stands in', async () => {
    const room = await t.addPlace({ name: 'Dry room' });
    const [damp, drier] = [
      await t.addPlace({ name: 'Damp box', kind: 'sealed-box', standsInId: room.id }),
      await t.addPlace({ name: 'Dry box', kind: 'sealed-box', standsInId: room.id }),
    ];
    await heard({ placeId: room.id }, reading(-0.5, 20, 50));
    await heard({ placeId: damp.id }, reading(-0.5, 20, 70));
    await heard({ placeId: drier.id }, reading(-0.5, 20, 30));
    expect(await airing(damp.id)).toEqual({
      by: 'room',
      name: 'Dry room',
      now: { effect: 'dries', toPct: expect.closeTo(50, 0) },
      hours: [],
    });
    expect(await airing(drier.id)).toMatchObject({ now: { effect: 'wets' } });
  });

  it('is by the weather where it is open to a room: now, and in the hours that are foretold', async () => {
    const room = await t.addPlace({ name: 'Open room' });
    await heard({ placeId: room.id }, reading(-0.5, 20, 60));
    const station = await heard({ name: 'Roof', outdoor: true }, reading(-0.5, 2, 90));
    const forecast = Array.from({ length: 40 }, (_, h) => (h < 6 ? reading(h + 1, 2, 90) : reading(h + 1, 22, 80)));
    await t.http.post('/api/air/forecast').set('authorization', `Bearer ${station}`).send(sources.toSenml('f', forecast)).expect(200);
    const found = (await airing(room.id))!;
    expect(found).toMatchObject({ by: 'weather', name: 'Roof', now: { effect: 'dries' } });
    expect(found.hours.map(({ from, to, effect }) => [from, to, effect])).toEqual([
      [forecast[0]!.at, forecast[6]!.at, 'dries'],
      [forecast[6]!.at, new Date(START.getTime() + 41 * HOUR).toISOString(), 'wets'],
    ]);
    // The windows are no matter of a box that stands nowhere one knows.
    const box = await t.addPlace({ name: 'Box', kind: 'sealed-box' });
    await heard({ placeId: box.id }, reading(-0.5, 20, 60));
    expect(await airing(box.id)).toBeNull();
    // A day later the weather was not heard again, and its forecast is an old one.
    t.clock.set(new Date(START.getTime() + 25 * HOUR));
    await heard({ placeId: room.id, name: 'Later' }, reading(24.5, 20, 60));
    expect(await airing(room.id)).toBeNull();
    t.clock.set(START);
  });
});
