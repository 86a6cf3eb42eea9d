import { commonErrors, routes, type Device, type DeviceToken } from '@bright-keeper/contract';
import { DrizzleQueryError } from 'drizzle-orm';
import { DatabaseError } from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DatabaseStopped } from '../wake/index.js';
import { TransactionUndone } from '../db/index.js';
import { testApp, type TestApp } from '../testing/testApp.js';
import { databaseFault, forTheLog } from './databaseFault.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const SECRET = 'what somebody wrote of their lens';
function failed(code: string): Error {
  const cause = Object.assign(new DatabaseError(`Key (name)=(${SECRET}) already exists.`, 1, 'error'), { code, table: 'item' });
  return new DrizzleQueryError('insert into item values ($1)', [SECRET], cause);
}

describe('what the database refuses', () => {
  it.each([
    ['23505', 409, 'already-there'],
    ['40001', 409, 'busy'],
    ['53100', 507, 'disk-full'],
    ['22021', 400, 'unkeepable'],
    ['22008', 400, 'unkeepable'],
    ['57P01', 503, 'database-away'],
    ['57P03', 503, 'database-away'],
    ['08006', 503, 'database-away'],
    ['53300', 503, 'database-away'],
    ['25006', 503, 'database-read-only'],
    ['21000', 400, 'unkeepable'],
  ])('by code %s is told as %i %s', (code, status, ours) => {
    expect(databaseFault(failed(code))).toMatchObject({ status, code: ours, detail: expect.any(String) as string });
  });

  it('is a fault of ours where it is of another kind, and says nothing of what people wrote', () => {
    expect(databaseFault(failed('42P01'))).toBeNull();
    expect(databaseFault(new TypeError('undefined is not a function'))).toBeNull();
    expect(databaseFault(new DatabaseStopped('it hung'))).toMatchObject({ status: 503 });
    const full = new DatabaseStopped('could not write to file "pg_wal/xlogtemp.9": No space left on device');
    // Where it had come to its commit nobody knows whether the log held it; where it had not, nothing is kept.
    expect(databaseFault(full)).toMatchObject({ status: 503, code: 'database-away' });
    expect(databaseFault(new TransactionUndone({ cause: full }))).toMatchObject({ status: 507, code: 'disk-full' });
    expect(databaseFault(new TransactionUndone({ cause: new DatabaseStopped('it hung') }))).toMatchObject({ code: 'database-lost' });
    expect(JSON.stringify(forTheLog(failed('42P01')))).not.toContain(SECRET);
    expect(forTheLog(failed('42P01'))).toMatchObject({
      code: '42P01',
      table: 'item',
      statement: expect.stringMatching(/insert into item/) as string,
    });
  });
});

describe('a request', () => {
  it.each(['a\0b', 'half a letter: \ud83d'])('with a sign that is none is told which field has it', async (name) => {
    // As a program would send it: the signs stand in the JSON as escapes.
    const body = JSON.stringify({ name, kind: 'lens', traits: {}, notes: '', acquiredOn: null });
    const answer = await t.http.post(routes.gear).set('content-type', 'application/json').send(body).expect(400);
    expect(answer.body).toMatchObject({ code: 'bad-input', fields: { name: expect.stringMatching(/no sign|none/) as string } });
  });

  it.each([
    ['another port of this machine', 'http://localhost:5999'],
    ['another scheme', 'https://127.0.0.1'],
    ['another site', 'http://example.org'],
    ['a page without an origin', 'null'],
  ])('of %s changes and reads nothing, and the refusal carries the same headers as any answer', async (_, origin) => {
    for (const asked of [t.http.post(routes.gear).send({}), t.http.get(routes.gear)]) {
      const { body, headers } = await asked.set('origin', origin).expect(403);
      expect(body).toMatchObject({ code: 'not-local' });
      expect(headers['content-security-policy']).toMatch(/default-src 'self'/);
      expect(headers).not.toHaveProperty('x-powered-by');
    }
  });

  it('of our own page passes, by whichever name of this machine it was opened', async () => {
    for (const host of ['localhost:4870', '127.0.0.1:4870', '[::1]:4870'])
      await t.http.get(routes.gear).set('host', host).set('origin', `http://${host}`).set('sec-fetch-site', 'same-origin').expect(200);
    await t.http.get(routes.gear).set('host', 'localhost:4870').set('origin', 'http://127.0.0.1:4870').expect(403);
  });

  it.each(['same-site', 'cross-site'])('that a browser says came from a %s page changes nothing', async (site) => {
    await t.http.delete(`${routes.gear}/01a20000-0000-7000-8000-0000000000aa`).set('sec-fetch-site', site).expect(403);
    await t.http.get(routes.gear).set('sec-fetch-site', site).expect(200);
  });

  // WHATWG HTML, "multipart/form-data", "application/x-www-form-urlencoded" and "text/plain" are all a form can send.
  it.each(['text/plain', 'text/plain;charset=UTF-8', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x', ''])(
    'as a form sends it (%s) changes nothing',
    async (type) => {
      const body = JSON.stringify({ name: 'By a form', kind: 'lens', traits: {}, notes: '', acquiredOn: null });
      for (const route of [routes.gear, routes.takeIn, routes.busyFile, routes.pushReadings])
        expect((await t.http.post(route).set('content-type', type).send(body).expect(415)).body).toMatchObject({ code: 'as-a-form' });
      expect((await t.http.get(routes.gear)).text).not.toContain('By a form');
    },
  );

  it('for the head of a page is answered like one for the page', async () => {
    const head = await t.http.head(routes.today).expect(200);
    expect(head.text ?? '').toBe('');
    expect(head.headers['content-type']).toMatch(/json/);
  });

  it.each(['(01a20000-0000-7000-8000-0000000000aa)', '01a20000:0000:7000:8000:0000000000aa', '-'.repeat(36), '%00', '%ED%A0%80'])(
    'for the thing %s finds none',
    async (id) => {
      expect([400, 404]).toContain((await t.http.get(`/api/gear/${id}`)).status);
    },
  );

  it('with a mark of another program is told so', async () => {
    for (const mark of [['x', '-'.repeat(36)], ['a\0', '01a20000-0000-7000-8000-0000000000aa'], [1, 2], 'text']) {
      const cursor = Buffer.from(JSON.stringify(mark)).toString('base64url');
      expect((await t.http.get(`${routes.gear}?cursor=${cursor}`).expect(400)).body).toMatchObject({ code: 'cursor-unknown' });
    }
  });

  it('with keys that open nothing, again and again, is turned away for a while; a right key is not', async () => {
    const probe = { name: 'Probe', source: 'push', outdoor: false, placeId: null, everyMinutes: 10, note: '' };
    const { id } = (await t.http.post(routes.devices).send(probe).expect(201)).body as Device;
    const { token } = (await t.http.post(routes.deviceToken(id)).expect(201)).body as DeviceToken;
    const right = () =>
      t.http
        .post(routes.pushReadings)
        .set('authorization', `Bearer ${token}`)
        .send([{ n: 'x', v: 1 }]);
    await right().expect(200);
    const guess = () =>
      t.http
        .post(routes.pushReadings)
        .set('authorization', 'Bearer guessed')
        .send([{ n: 'x', v: 1 }]);
    let last = 401;
    for (let i = 0; i < 70 && last === 401; i += 1) last = (await guess()).status;
    const turnedAway = await guess();
    expect([last, turnedAway.status]).toEqual([429, 429]);
    expect(turnedAway.body).toMatchObject({ code: 'too-often', title: commonErrors['too-often'].title });
    expect(turnedAway.headers['content-type']).toMatch(/problem\+json/);
    // Who came with a right key before comes in, and everything else goes on.
    await right().expect(200);
    await t.http.get(routes.today).expect(200);
  });
});
