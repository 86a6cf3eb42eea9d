import { routes } from '@bright-keeper/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const LENS = { name: 'Corvane 35/2', kind: 'lens', traits: {}, notes: '', acquiredOn: null };

/** Requirements of OWASP ASVS 4.0.3 (numbers from memory) that no test of a part of the program stands for; the chapters stand in `docs/security.md`. */
describe('ASVS', () => {
  it('5.1.1: a query that says something twice is refused', async () => {
    await t.http.get(`${routes.gear}?limit=1&limit=2`).expect(400);
  });

  it.each([
    { id: '01a20000-0000-7000-8000-0000000000aa' },
    { version: 7 },
    { status: 'quarantined' },
    { createdAt: '2020-01-01T00:00:00Z' },
  ])('5.1.2: what is not for the sender to set is refused: %o', async (more) => {
    const { body } = await t.http
      .post(routes.gear)
      .send({ ...LENS, ...more })
      .expect(400);
    expect(Object.keys((body as { fields: object }).fields)).toEqual(Object.keys(more));
  });

  it.each(['__proto__', 'constructor', 'prototype'])('5.1.2: nor is %s taken for a trait', async (name) => {
    const text = JSON.stringify(LENS).replace('"traits":{}', `"traits":{"${name}":{"weatherSealed":true}}`);
    const answer = await t.http.post(routes.gear).set('content-type', 'application/json').send(text);
    expect([400, 201]).toContain(answer.status);
    expect((answer.body as { traits?: object }).traits ?? {}).toEqual({});
    expect(({} as { weatherSealed?: boolean }).weatherSealed).toBeUndefined();
  });

  it.each(['..%2f..%2fetc%2fpasswd', '..', '%2e%2e%2fkeeper.zip', 'a/../../b.zip', '%00.zip', 'C:%5cboot.ini'])(
    '12.3.1: the name %s leads to no file',
    async (name) => {
      const answer = await t.http.get(`${routes.backups}/${name}`);
      expect([400, 404]).toContain(answer.status);
    },
  );

  it.each(['patch', 'delete', 'options', 'trace'] as const)('13.2.1, 14.5.1: %s is nothing one can do to the shelf', async (method) => {
    const answer = await t.http[method](routes.gear);
    expect([403, 404, 405]).toContain(answer.status);
  });

  it.each([routes.gear, routes.settings, routes.today, '/api/no-such-thing'])(
    '14.4: %s says what it is, may not be framed, guessed at or run, and tells no other site where one came from',
    async (path) => {
      const { headers } = await t.http.get(path);
      expect(headers['content-type']).toMatch(/^application\/(problem\+)?json(; charset=utf-8)?$/);
      expect(headers['x-content-type-options']).toBe('nosniff');
      expect(headers['content-security-policy']).toMatch(/default-src 'self'/);
      expect(headers['content-security-policy']).toMatch(/frame-ancestors 'self'/);
      expect(headers['content-security-policy']).toMatch(/object-src 'none'/);
      expect(headers['referrer-policy']).toBe('no-referrer');
      expect(headers['x-powered-by']).toBeUndefined();
      expect(headers['access-control-allow-origin']).toBeUndefined();
    },
  );

  it('8.2.1: what a household holds is asked for anew each time, and lies in no cache on the way', async () => {
    for (const path of [routes.gear, routes.settings, routes.today]) {
      const { headers } = await t.http.get(path);
      expect(headers['cache-control'] ?? '').toMatch(/no-store|private/);
    }
  });

  it('7.4.1: a refusal says what is wrong with what was sent, and nothing of how the program is made', async () => {
    const answers = await Promise.all([
      t.http.get(`${routes.gear}/not-an-id`),
      t.http.post(routes.gear).send({ ...LENS, kind: "'; drop table item; --" }),
      t.http.post(routes.gear).set('content-type', 'application/json').send('{"name":'),
    ]);
    for (const { text } of answers) expect(text).not.toMatch(/node_modules|\.js:\d|\.ts:\d|select |insert |at Object|stack/i);
  });
});
