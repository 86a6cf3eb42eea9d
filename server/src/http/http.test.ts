import { commonErrors, routes, type Device, type DeviceToken } from '@bright-keeper/contract';
import { DrizzleQueryError } from 'drizzle-orm';
import { DatabaseError } from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DatabaseStopped } from '../db/embedded/keeper.js';
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
  ])('by code %s is told as %i %s', (code, status, ours) => {
    expect(databaseFault(failed(code))).toMatchObject({ status, code: ours, detail: expect.any(String) as string });
  });

  it('is a fault of ours where it is of another kind, and says nothing of what people wrote', () => {
    expect(databaseFault(failed('42P01'))).toBeNull();
    expect(databaseFault(new TypeError('undefined is not a function'))).toBeNull();
    expect(databaseFault(new DatabaseStopped('it hung'))).toMatchObject({ status: 503 });
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
