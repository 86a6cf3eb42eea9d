import { routes, type Accepted, type Device, type DeviceToken, type Problem } from '@bright-keeper/contract';
import { sources } from '@bright-keeper/core';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

/** The test's clock, and a reading of then. */
const NOW = new Date('2026-03-10T10:00:00Z');

describe('what a device pushes', () => {
  let t: TestApp;
  let id: string;
  let token: string;
  beforeAll(async () => void (t = await testApp()));
  afterAll(() => t.app.close());
  beforeEach(async () => {
    const device = { name: 'Probe', source: 'push', outdoor: false, placeId: null, everyMinutes: 10, note: '' };
    id = ((await t.http.post(routes.devices).send(device).expect(201)).body as Device).id;
    token = ((await t.http.post(routes.deviceToken(id)).expect(201)).body as DeviceToken).token;
  });

  const push = (type: string, body: string, query = '') =>
    t.http
      .post(routes.pushReadings + query)
      .set('authorization', `Bearer ${token}`)
      .set('content-type', type)
      .send(body);
  const latest = async () => ((await t.http.get(routes.device(id))).body as Device).latest;

  it.each(sources.PUSH_FORMAT_IDS.flatMap((format) => sources.PUSH_FORMATS[format].mediaTypes.map((type) => [format, type] as const)))(
    'is taken as %s in %s',
    async (format, type) => {
      expect((await push(`${type}; charset=utf-8`, sources.PUSH_FORMATS[format].example).expect(200)).body).toEqual({
        accepted: 1,
        duplicates: 0,
        setAside: [],
      });
      expect(await latest()).toMatchObject({ at: NOW.toISOString(), temperatureC: 20.4, humidityPct: 55 });
    },
  );

  it('is read as its address says', async () => {
    const body = JSON.stringify({ s1: { c: 68, m: '55' }, at: 1_773_136_800 });
    await push('application/json', body, '?temperature=/s1/c&humidity=/s1/m&time=/at&unit=F').expect(200);
    expect(await latest()).toMatchObject({ temperatureC: 20, humidityPct: 55 });
    await push('text/plain', 'air temp=21,rh=44 1773136740', '?precision=s').expect(200);
    expect((await t.http.get(routes.device(id))).body).toMatchObject({ latest: { temperatureC: 20 }, readings: 2 });
  });

  it('that is partly nothing is kept as far as it is something', async () => {
    const { body } = await push('text/plain', 'air temp=20,rh=40\nnonsense\nair battery=3').expect(200);
    expect(body as Accepted).toEqual({
      accepted: 1,
      duplicates: 0,
      setAside: [
        { index: 1, reason: 'unreadable' },
        { index: 2, reason: 'nothing-of-ours' },
      ],
    });
  });

  it.each([
    ['another type', 'application/xml', '<temperature>20</temperature>', '', 415],
    ['no type', '', '{}', '', 415],
    ['an empty pack', 'application/senml+json', '[]', '', 400],
    ['an object as SenML', 'application/senml+json', '{"v":1}', '', 400],
    ['a list of numbers', 'application/json', '[1,2]', '', 400],
    ['no JSON', 'application/json', '{"temperature":', '', 400],
    ['a pointer that is none', 'application/json', '{"temperature":20,"humidity":40}', '?temperature=temperature', 400],
    ['an unknown unit', 'application/json', '{"temperature":20,"humidity":40}', '?unit=R', 400],
  ])('is refused as %s', async (_, type, body, query, status) => {
    const answer = await push(type, body, query);
    expect([answer.status, (answer.body as Problem).status]).toEqual([status, status]);
    expect(await latest()).toBeNull();
  });

  it('needs its key in each form, and a form without one is a web form', async () => {
    for (const format of sources.PUSH_FORMAT_IDS) {
      const { example, mediaTypes } = sources.PUSH_FORMATS[format];
      const sent = t.http.post(routes.pushReadings).set('content-type', mediaTypes.at(-1)!);
      await sent.send(example).expect(format === 'line-protocol' ? 415 : 401);
      await t.http
        .post(routes.pushReadings)
        .set('authorization', 'Bearer nothing')
        .set('content-type', mediaTypes.at(-1)!)
        .send(example)
        .expect(401);
    }
  });
});
