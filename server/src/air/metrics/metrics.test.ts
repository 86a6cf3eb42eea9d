import { routes, type Device, type DeviceToken, type IntakePlaces } from '@bright-keeper/contract';
import { createRequire } from 'node:module';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { onNetwork, type OnNetwork } from '../../testing/onNetwork.js';
import { START, testApp, type TestApp } from '../../testing/testApp.js';

type Family = { name: string; metrics: { value: string; labels?: Record<string, string> }[] };
/** The parser of the registry has no types of its own. */
const parse = createRequire(import.meta.url)('parse-prometheus-text-format') as (text: string) => Family[];

const probe = { source: 'push', outdoor: false, placeId: null, everyMinutes: 10, note: '' };

describe('what the hygrometers say, for other programs', () => {
  let t: TestApp;
  beforeAll(async () => void (t = await testApp()));
  afterAll(() => t.app.close());
  const add = async (name: string) =>
    (
      await t.http
        .post(routes.devices)
        .send({ ...probe, name })
        .expect(201)
    ).body as Device;
  async function push(device: Device, body: object): Promise<void> {
    const { token } = (await t.http.post(routes.deviceToken(device.id)).expect(201)).body as DeviceToken;
    await t.http.post(routes.pushReadings).set('authorization', `Bearer ${token}`).send(body).expect(200);
  }
  /** As a parser reads it that is not ours. */
  const read = async () => {
    const { text, headers } = await t.http.get(routes.metrics).expect(200);
    expect(headers['content-type']).toBe('text/plain; version=0.0.4; charset=utf-8');
    return new Map(
      parse(text).map((family) => [family.name, family.metrics.map(({ labels, value }) => [labels?.hygrometer, Number(value)])]),
    );
  };

  it('is told in base units, each by its name, and of what is silent only that it is', async () => {
    const [shelf, old, odd] = [await add('Shelf'), await add('Old'), await add('Odd "\\\n name')];
    await push(shelf, { temperature: 20.4, humidity: 55, battery: 84, rssi: -71 });
    await push(old, { temperature: 1, humidity: 99, time: new Date(START.getTime() - 24 * 3_600_000).toISOString() });
    await push(odd, { temperature: 21, humidity: 40 });
    const said = await read();
    expect(said.get('bright_keeper_temperature_celsius')).toEqual([
      ['Shelf', 20.4],
      ['Odd "\\\n name', 21],
    ]);
    expect(said.get('bright_keeper_relative_humidity_ratio')).toEqual([
      ['Shelf', 0.55],
      ['Odd "\\\n name', 0.4],
    ]);
    expect(said.get('bright_keeper_battery_ratio')).toEqual([['Shelf', 0.84]]);
    expect(said.get('bright_keeper_signal_dbm')).toEqual([['Shelf', -71]]);
    expect(said.get('bright_keeper_silent')).toEqual([
      ['Shelf', 0],
      ['Old', 1],
      ['Odd "\\\n name', 0],
    ]);
    expect(said.get('bright_keeper_last_reading_timestamp_seconds')![0]).toEqual(['Shelf', START.getTime() / 1000]);
  });
});

describe('on the network', () => {
  let n: OnNetwork;
  beforeAll(async () => void (n = await onNetwork()));
  afterAll(() => n.close());

  it('is told with its key and to nobody else, and no more once that is taken away', async () => {
    const asked = async (key?: string) =>
      (await n.send(routes.metrics, { cookie: null, headers: key === undefined ? {} : { authorization: `Bearer ${key}` } })).status;
    expect(await asked()).toBe(401);
    const { token } = (await n.http.post(routes.metricsKey).expect(201)).body as DeviceToken;
    expect(((await n.http.get(routes.intake)).body as IntakePlaces).hasMetricsKey).toBe(true);
    expect([await asked(token), await asked('nothing'), await asked()]).toEqual([200, 401, 401]);
    const { token: next } = (await n.http.post(routes.metricsKey).expect(201)).body as DeviceToken;
    expect([await asked(token), await asked(next)]).toEqual([401, 200]);
    await n.http.delete(routes.metricsKey).expect(204);
    expect(await asked(next)).toBe(401);
    // It opens nothing else, and nothing else opens it.
    expect((await n.send(routes.devices, { cookie: null, headers: { authorization: `Bearer ${next}` } })).status).toBe(401);
  });
});
