import { routes, type Access, type Problem } from '@bright-keeper/contract';
import type { OpenAPIObject } from '@nestjs/swagger';
import { execFile, execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { LIMITS } from '../limits.js';
import { ADDRESS, given, onNetwork, PASSPHRASE, type Answer, type OnNetwork } from '../testing/onNetwork.js';
import { testApp } from '../testing/testApp.js';
import { ownAuthority } from './certificate.js';
import { PairingCodes } from './pairingCode.js';

const code = ({ body }: Answer): string => (body as Problem).code;
const ID = '018f0000-0000-7000-8000-0000000000aa';
const MINUTE = 60_000;
const DAY = 1440 * MINUTE;

/** What a stranger may ask for: whether one is in, and to come in. */
const OPEN = new Set([`GET ${routes.access}`, `POST ${routes.accessPair}`, `POST ${routes.accessSignIn}`]);
/** What opens with a key of its own, and says so itself. */
const BY_KEY = new Set([
  `POST ${routes.pushReadings}`,
  `POST ${routes.pushForecast}`,
  `GET ${routes.metrics}`,
  'GET /api/schedule/feed/{token}.ics',
]);
const OWNERS = new Set([
  `PUT ${routes.accessNetwork}`,
  `POST ${routes.accessCode}`,
  `PUT ${routes.accessUnencrypted}`,
  `POST ${routes.accessKeepers}`,
]);

type Call = { call: string; method: string; path: string };

describe('who may come in', () => {
  let t: OnNetwork;
  let calls: Call[];
  beforeAll(async () => {
    t = await onNetwork();
    const { paths } = (await t.http.get('/api/docs.json')).body as OpenAPIObject;
    calls = Object.entries(paths).flatMap(([path, item]) =>
      ['get', 'post', 'put', 'delete'].flatMap((verb) =>
        verb in item
          ? [{ call: `${verb.toUpperCase()} ${path}`, method: verb.toUpperCase(), path: path.replaceAll(/\{[^}]+\}/g, ID) }]
          : [],
      ),
    );
  });
  afterAll(() => t.close());

  const asked = async (headers: Record<string, string>, cookie: string | null, only = (_: Call) => true) => {
    const answered = new Map<string, Answer>();
    for (const one of calls.filter(only)) {
      const body = one.method === 'GET' ? undefined : {};
      answered.set(one.call, await t.send(one.path, { method: one.method, cookie, headers, body }));
    }
    return answered;
  };

  it('is asked at every route there is, and at what is none', async () => {
    expect(calls.length).toBeGreaterThan(90);
    for (const [call, answer] of await asked({}, null, ({ call }) => !OPEN.has(call) && !BY_KEY.has(call)))
      expect([call, answer.status, code(answer)]).toEqual([call, 401, 'not-in']);
    for (const path of [
      '/api',
      '/api/',
      '/API/gear',
      '/api/gear/',
      '/api//gear',
      '/api/docs',
      '/api/docs.json',
      '/api/nothing',
      '/api/access/x',
    ])
      expect([path, (await t.send(path)).status]).toEqual([path, 401]);
  });

  it('is not fooled by another spelling of an address', async () => {
    for (const path of [
      '/%61pi/gear',
      '/./api/gear',
      '/x/../api/gear',
      '//api/gear',
      '/api%2Fgear',
      '/api/access/../gear',
      '/api/access/%2e%2e/gear',
      '/api/schedule/feed/x.ics/../../../gear',
    ])
      expect([path, (await t.send(path)).text]).not.toEqual([path, expect.stringContaining('"items"')]);
  });

  it('keeps what keys open for keys', async () => {
    for (const [call, answer] of await asked({}, null, ({ call }) => BY_KEY.has(call)))
      expect([call, answer.status >= 400]).toEqual([call, true]);
    const device = (
      await t.http.post(routes.devices).send({ name: 'Probe', source: 'push', outdoor: false, placeId: null, everyMinutes: 10, note: '' })
    ).body as { id: string };
    const { token } = (await t.http.post(routes.deviceToken(device.id))).body as { token: string };
    const pack = {
      method: 'POST',
      body: [
        { bn: 'probe/', bt: Date.parse('2026-03-10T09:00:00Z') / 1000, n: 'temperature', u: 'Cel', v: 20 },
        { n: 'humidity', u: '%RH', v: 55 },
      ],
    };
    expect((await t.send(routes.pushReadings, { ...pack, headers: { authorization: `Bearer ${token}` } })).status).toBe(200);
    expect((await t.send(routes.gear, { headers: { authorization: `Bearer ${token}` } })).status).toBe(401);
    expect((await t.send(routes.pushReadings, { ...pack, headers: { authorization: 'Bearer nothing' } })).status).toBe(401);
  });

  it('lets a phone in by a code, once, and every route but the owner’s is open to it', async () => {
    const shown = await t.code();
    const codeUntil = async () => ((await t.http.get(routes.access)).body as Access).codeUntil;
    expect(await codeUntil()).toBe('2026-03-10T10:10:00.000Z');
    const first = await t.send(routes.accessPair, { method: 'POST', body: { code: shown, name: ' Phone ' } });
    expect(first.status).toBe(201);
    expect(await codeUntil()).toBeNull();
    const second = await t.send(routes.accessPair, { method: 'POST', body: { code: shown, name: 'Thief' } });
    expect([second.status, code(second)]).toEqual([401, 'wrong-code']);
    const cookie = given(first);
    for (const [call, answer] of await asked({}, cookie, ({ method, path }) => method === 'GET' && path !== routes.live))
      expect([call, answer.status]).not.toEqual([call, 401]);
    for (const [call, answer] of await asked({}, cookie, ({ call }) => OWNERS.has(call)))
      expect([call, answer.status, code(answer)]).toEqual([call, 403, 'owner-only']);
    const seen = (await t.send(routes.access, { cookie })).body as Access;
    expect(seen).toMatchObject({ isIn: true, from: 'network', hasPassphrase: true, provedUntil: null });
    expect(seen.devices.filter((d) => d.isThis)).toMatchObject([{ name: 'Phone', cameBy: 'code', seenFrom: ADDRESS }]);
  });

  it('has the passphrase once more before letting others in, for ten minutes', async () => {
    const { cookie } = await t.pair();
    expect(code(await t.send(routes.accessCode, { method: 'POST', cookie }))).toBe('owner-only');
    expect(code(await t.send(routes.accessProof, { method: 'POST', cookie, body: { passphrase: 'wrong' } }))).toBe('wrong-passphrase');
    expect((await t.send(routes.accessProof, { method: 'POST', cookie, body: { passphrase: PASSPHRASE } })).status).toBe(200);
    expect((await t.send(routes.accessCode, { method: 'POST', cookie })).status).toBe(201);
    const start = t.clock.now();
    t.clock.set(new Date(start.getTime() + 10 * MINUTE));
    expect(code(await t.send(routes.accessCode, { method: 'POST', cookie }))).toBe('owner-only');
    t.clock.set(start);
  });

  it('gives a cookie that no script, no other site and no plain HTTP gets at', async () => {
    const answer = await t.send(routes.accessSignIn, { method: 'POST', body: { passphrase: PASSPHRASE, name: 'Laptop' } });
    const [cookie] = answer.headers['set-cookie']!;
    expect(cookie).toMatch(/^__Host-bright-keeper=[\w-]{43}; /);
    for (const flag of ['HttpOnly', 'Secure', 'SameSite=Lax', 'Path=/', `Max-Age=${30 * 86_400}`])
      expect(cookie!.split('; ')).toContain(flag);
    expect(cookie).not.toMatch(/Domain/);
    const kept = readFileSync(join(t.dataDir, 'access', 'access.json'), 'utf8');
    expect(kept).not.toContain(cookie!.slice(22, 65));
    expect(kept).not.toContain(PASSPHRASE);
    expect(statSync(join(t.dataDir, 'access', 'access.json')).mode & 0o777).toBe(0o600);
  });

  it('lets a device go at once: what it shows opens nothing, and what it was being told ends', async () => {
    const lost = await t.pair('Lost phone');
    const line = t.send(routes.live, { cookie: lost.cookie });
    const cut = expect(line).rejects.toThrow();
    // The line stands once something is heard over it; until then there is nothing to end.
    for (let open = 0; open === 0;) open = (await t.send(routes.access, { cookie: lost.cookie })).status === 200 ? 1 : 0;
    expect((await t.send(routes.accessDevice(lost.id), { method: 'DELETE', cookie: (await t.pair()).cookie })).status).toBe(204);
    await cut;
    expect(code(await t.send(routes.today, { cookie: lost.cookie }))).toBe('not-in');
    expect((await t.send(routes.accessDevice(lost.id), { method: 'DELETE', cookie: (await t.pair()).cookie })).status).toBe(404);
  });

  it('lets go of itself, and takes its cookie back', async () => {
    const { cookie } = await t.pair();
    const out = await t.send(routes.accessSignOut, { method: 'POST', cookie });
    expect([out.status, out.headers['set-cookie']]).toEqual([204, [expect.stringMatching(/^__Host-bright-keeper=; Max-Age=0; /)]]);
    expect(code(await t.send(routes.today, { cookie }))).toBe('not-in');
  });

  it('is not asked on the machine itself, unless a proxy that nobody named stands in between', async () => {
    await t.http.get(routes.today).expect(200);
    for (const header of ['x-forwarded-for', 'forwarded', 'via', 'x-real-ip', 'x-forwarded-host'])
      expect((await t.http.get(routes.today).set(header, 'for=192.168.1.9').expect(403)).body).toMatchObject({ code: 'unnamed-proxy' });
  });

  it.each([
    ['another page', { origin: 'https://evil.example' }],
    ['our page without TLS', { origin: `http://${ADDRESS}` }],
    ['another port of this machine', { origin: `https://${ADDRESS}:1` }],
    ['a foreign site, by Fetch Metadata', { 'sec-fetch-site': 'cross-site' }],
    ['a neighbouring site', { 'sec-fetch-site': 'same-site' }],
  ])('answers nothing that %s has a browser send with its cookie', async (_, headers) => {
    const { cookie } = await t.pair();
    const answer = await t.send(routes.gear, { method: 'POST', cookie, headers, body: { name: 'Planted', kind: 'lens' } });
    expect([answer.status, code(answer)]).toEqual([403, 'not-local']);
  });

  it('takes no form, whoever is in', async () => {
    const { cookie } = await t.pair();
    const answer = await t.send(routes.gear, { method: 'POST', cookie, headers: { 'content-type': 'text/plain' }, body: {} });
    expect([answer.status, code(answer)]).toEqual([415, 'as-a-form']);
  });

  it.each(['evil.example', 'kitchen.local.evil.example', '192.168.1.20', 'localhost.evil', '198.51.100.7'])(
    'is not reached by a name that is not its own: %s',
    async (name) => {
      const answer = await t.send(routes.access, { headers: { host: `${name}:${t.port}` } });
      expect([answer.status, code(answer)]).toEqual([403, 'not-local']);
    },
  );

  it('is reached by its own names', async () => {
    for (const name of ['kitchen.local', 'KITCHEN.local', 'localhost'])
      expect((await t.send(routes.access, { headers: { host: `${name}:${t.port}` } })).body).toEqual({ isIn: false, asksName: false });
  });

  it('reads nothing large from whoever is not in', async () => {
    const answer = await t.send(routes.accessSignIn, {
      method: 'POST',
      body: { passphrase: 'x'.repeat(LIMITS.access.strangerBytes), name: 'x' },
    });
    expect([answer.status, code(answer)]).toEqual([413, 'too-large']);
  });

  it('speaks TLS 1.2 and newer only, as an independent client sees it', async () => {
    writeFileSync(join(t.dataDir, 'root.pem'), t.service.network.certificate!.authority!.pem);
    /** OpenSSL's own client: whether it trusts, and what it says. */
    const speak = (...args: string[]): Promise<{ trusts: boolean; said: string }> =>
      new Promise((resolve) => {
        const all = ['s_client', '-connect', t.host, '-CAfile', join(t.dataDir, 'root.pem'), '-verify_return_error', ...args];
        execFile('openssl', all, (error, stdout) => resolve({ trusts: error === null, said: stdout })).stdin!.end();
      });
    expect((await speak('-tls1_3', '-verify_hostname', 'kitchen.local')).said).toMatch(/Verify return code: 0 \(ok\)/);
    expect((await speak('-tls1_2', '-verify_ip', ADDRESS)).trusts).toBe(true);
    expect((await speak('-tls1_1', '-cipher', 'DEFAULT@SECLEVEL=0')).trusts).toBe(false);
    expect((await speak('-verify_hostname', 'cellar.local')).trusts).toBe(false);
  });

  it('tells in plain HTTP how to begin, and nothing else', async () => {
    const page = await t.sendPlainly('/');
    expect(page.status).toBe(200);
    expect(page.text.replaceAll('<br>', ':')).toContain(t.service.network.certificate!.authority!.fingerprint);
    expect(page.text).toContain(`href="https://`);
    expect(page.headers['content-security-policy']).toContain("script-src 'self'");
    const certificate = await t.sendPlainly('/authority.crt');
    expect(certificate.headers['content-type']).toBe('application/x-x509-ca-cert');
    expect((await t.sendPlainly('/begin.js')).text).toContain('Date.now()');
    expect((await t.sendPlainly('/gear')).headers.location).toBe('/');
    for (const path of [routes.gear, routes.access, '/API/gear', routes.feedFile('x')])
      expect([path, code(await t.sendPlainly(path))]).toEqual([path, 'only-encrypted']);
    expect(code(await t.sendPlainly(routes.accessSignIn, { method: 'POST', body: { passphrase: PASSPHRASE, name: 'x' } }))).toBe(
      'only-encrypted',
    );
    expect((await t.sendPlainly('/', { headers: { host: 'evil.example' } })).status).toBe(403);
  });

  it('lets a key come unencrypted where that was allowed, to what it opens and no further', async () => {
    const device = (
      await t.http
        .post(routes.devices)
        .send({ name: 'Old probe', source: 'push', outdoor: false, placeId: null, everyMinutes: 10, note: '' })
    ).body as { id: string };
    const { token } = (await t.http.post(routes.deviceToken(device.id))).body as { token: string };
    const send = () =>
      t.sendPlainly(routes.pushReadings, {
        method: 'POST',
        body: [{ n: 'humidity', u: '%RH', v: 55, t: Date.parse('2026-03-10T09:00:00Z') / 1000 }],
        headers: { authorization: `Bearer ${token}` },
      });
    const allow = (key: string | null) => t.http.put(routes.accessUnencrypted).send({ id: device.id, key }).expect(200);
    expect(code(await send())).toBe('only-encrypted');
    expect((await allow(token)).body).toMatchObject({ unencrypted: [device.id] });
    expect((await send()).status).toBe(200);
    for (const path of [routes.gear, routes.devices])
      expect(code(await t.sendPlainly(path, { headers: { authorization: `Bearer ${token}` } }))).toBe('only-encrypted');
    expect(code(await t.sendPlainly(routes.pushReadings, { method: 'POST', body: [], headers: { authorization: 'Bearer another' } }))).toBe(
      'only-encrypted',
    );
    await allow(null);
    expect(code(await send())).toBe('only-encrypted');
  });

  it('lets a calendar be fetched over the network, unencrypted only where that was allowed', async () => {
    const filter = { subjects: null, gravities: null, benchDays: true, duties: true };
    const feed = (await t.http.post(routes.feeds).send({ name: 'Care', filter }).expect(201)).body as { id: string; path: string };
    expect((await t.send(feed.path)).text).toMatch(/^BEGIN:VCALENDAR/);
    expect(code(await t.sendPlainly(feed.path))).toBe('only-encrypted');
    await t.http
      .put(routes.accessUnencrypted)
      .send({ id: feed.id, key: /([^/]+)\.ics$/.exec(feed.path)![1] })
      .expect(200);
    expect((await t.sendPlainly(feed.path)).text).toMatch(/^BEGIN:VCALENDAR/);
    expect(code(await t.sendPlainly(routes.calendarFile))).toBe('only-encrypted');
  });

  it('forgets nobody at a new start', async () => {
    const { cookie, id } = await t.pair('Tablet');
    const other = await testApp({ dataDir: t.dataDir });
    expect(((await other.http.get(routes.access)).body as Access).devices.map((d) => d.id)).toContain(id);
    expect(cookie).not.toBeNull();
    await other.app.close();
  });
});

describe('what a device shows', () => {
  let t: OnNetwork;
  let start: Date;
  beforeAll(async () => {
    t = await onNetwork();
    start = t.clock.now();
  });
  afterAll(() => t.close());
  const after = (ms: number) => t.clock.set(new Date(start.getTime() + ms));
  const ask = (cookie: string) => t.send(routes.settings, { cookie });

  it('is changed every day, without a request that is under way being refused', async () => {
    after(0);
    const { cookie: first } = await t.pair();
    after(DAY - 1);
    expect(given(await ask(first))).toBeNull();
    after(DAY);
    const [one, two] = await Promise.all([ask(first), ask(first)]);
    const second = given(one)!;
    // Whoever asks twice at once keeps whichever answer comes last.
    expect(given(two)).toBe(second);
    expect(second).not.toBe(first);
    expect((await ask(first)).status).toBe(200);
    expect((await ask(second)).status).toBe(200);
    expect((await ask(first)).status).toBe(200);
  });

  it('counts for whom the answer with the new one was lost', async () => {
    after(0);
    const { cookie } = await t.pair();
    for (const days of [1, 2, 3, 4, 5]) {
      after(days * DAY);
      expect((await ask(cookie)).status).toBe(200);
    }
  });

  it('ends when somebody else turns out to have it, too', async () => {
    after(0);
    const { cookie: stolen } = await t.pair('Stolen from');
    after(DAY);
    const present = given(await ask(stolen))!;
    expect((await ask(present)).status).toBe(200);
    after(DAY + 2 * MINUTE);
    expect((await ask(stolen)).status).toBe(401);
    expect((await ask(present)).status).toBe(401);
  });

  it('ends when the device does not come for as long as was chosen, and not when it does', async () => {
    after(0);
    const idle = await t.pair('Idle');
    const busy = await t.pair('Busy');
    for (let day = 1; day < 30; day++) {
      after(day * DAY);
      busy.cookie = given(await ask(busy.cookie)) ?? busy.cookie;
    }
    after(30 * DAY);
    expect([(await ask(idle.cookie)).status, (await ask(busy.cookie)).status]).toEqual([401, 200]);
    await t.http.put(routes.accessNetwork).send({ open: true, sessionDays: 365 }).expect(200);
    const { devices } = (await t.http.get(routes.access)).body as Access;
    expect(devices.map((d) => d.name)).toContain('Busy');
  });

  it('opens nothing after a new passphrase that has everybody come anew', async () => {
    after(0);
    const [mine, theirs] = [await t.pair(), await t.pair()];
    await t.send(routes.accessProof, { method: 'POST', cookie: mine.cookie, body: { passphrase: PASSPHRASE } });
    const passphrase = 'quite another shelf of lenses';
    const changed = await t.send(routes.accessPassphrase, { method: 'PUT', cookie: mine.cookie, body: { passphrase, endOthers: true } });
    expect(changed.status).toBe(200);
    expect([(await ask(mine.cookie)).status, (await ask(theirs.cookie)).status]).toEqual([200, 401]);
    const old = await t.send(routes.accessSignIn, { method: 'POST', body: { passphrase: PASSPHRASE, name: 'x' } });
    expect([old.status, code(old)]).toEqual([401, 'wrong-passphrase']);
    expect((await t.send(routes.accessSignIn, { method: 'POST', body: { passphrase, name: 'x' } })).status).toBe(201);
  });
});

describe('a code', () => {
  it('ends by itself, by the next one, by wrong tries, and by being used', () => {
    const codes = new PairingCodes();
    const { code } = codes.make('a', 0);
    expect(code).toMatch(/^\d{8}$/);
    expect(codes.takes(code, 10 * MINUTE)).toBeNull();
    expect(codes.until(10 * MINUTE)).toBeNull();
    const first = codes.make('a', 0).code;
    const second = codes.make('b', 0).code;
    expect(codes.takes(first, 1)).toBe(first === second ? 'b' : null);
    expect(codes.takes(second, 1)).toBe(first === second ? null : 'b');
    expect(codes.takes(second, 1)).toBeNull();
    const guessed = codes.make('a', 0).code;
    const wrong = guessed === '00000000' ? '00000001' : '00000000';
    for (let i = 0; i < 10; i++) expect(codes.takes(wrong, 1)).toBeNull();
    expect(codes.takes(guessed, 1)).toBeNull();
  });
});

describe('guesses', () => {
  let t: OnNetwork;
  beforeAll(async () => {
    t = await onNetwork();
  });
  afterAll(() => t.close());
  const guess = (path: string, body: object) => t.send(path, { method: 'POST', body });

  it('are slowed, and keep neither the machine nor whoever is in waiting', async () => {
    const { cookie } = await t.pair();
    const statuses: number[] = [];
    for (let i = 0; i < LIMITS.access.wrongOfOne; i++) {
      const wrong =
        i % 2
          ? guess(routes.accessSignIn, { passphrase: `guess ${i}`, name: 'x' })
          : guess(routes.accessPair, { code: '00000000', name: 'x' });
      statuses.push((await wrong).status);
    }
    expect(new Set(statuses)).toEqual(new Set([401]));
    const held = await guess(routes.accessSignIn, { passphrase: PASSPHRASE, name: 'x' });
    expect([held.status, code(held)]).toEqual([429, 'guessed-too-often']);
    expect(Number(held.headers['retry-after'])).toBeGreaterThan(0);
    expect((await t.send(routes.today, { cookie })).status).toBe(200);
    await t.http.get(routes.today).expect(200);
    await t.http.post(routes.accessCode).expect(201);
  });
});

describe('a household of one machine', () => {
  it('is asked nothing, and opens only with a passphrase', async () => {
    const t = await testApp();
    expect((await t.http.get(routes.access)).body).toMatchObject({ isIn: true, from: 'machine', hasPassphrase: false, devices: [] });
    expect((await t.http.post(routes.accessCode).expect(409)).body).toMatchObject({ code: 'no-passphrase-set' });
    expect((await t.http.put(routes.accessNetwork).send({ open: true, sessionDays: 30 }).expect(409)).body).toMatchObject({
      code: 'no-network-here',
    });
    for (const [passphrase, why] of [
      ['short', /At least 12/],
      ['aaaaaaaaaaaaaaa', /five different/],
      ['ｘｘｘｘｘｘｘｘｘｘｘｘｘ', /five different/],
      ['x'.repeat(129), /At most 128/],
    ] as const) {
      const { body } = await t.http.put(routes.accessPassphrase).send({ passphrase, endOthers: false }).expect(400);
      expect((body as Problem).fields?.['passphrase']).toMatch(why);
      expect(JSON.stringify(body)).not.toContain(passphrase);
    }
    await t.app.close();
  });

  it('is said to be open only once it answers, whoever asks meanwhile', async () => {
    let held: Promise<void> = Promise.resolve();
    const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-authority-'));
    const authority = ownAuthority(folder, () => ({ dns: [], ips: [ADDRESS] }));
    const t = await onNetwork({ certificates: { ...authority, get: (at) => held.then(() => authority.get(at)) } });
    const network = async () => ((await t.http.get(routes.access)).body as Access).network;
    await t.http.put(routes.accessNetwork).send({ open: false, sessionDays: 30 }).expect(200);
    let goOn = () => {};
    held = new Promise((resolve) => (goOn = resolve));
    const opening = t.http.put(routes.accessNetwork).send({ open: true, sessionDays: 30 }).expect(200).then();
    // Until the certificate is being waited for.
    await expect.poll(async () => (await network()).addresses).toEqual([]);
    expect((await network()).open).toBe(false);
    goOn();
    await opening;
    expect(await network()).toMatchObject({ open: true, trouble: null });
    expect((await network()).addresses).not.toEqual([]);
    await t.close();
    rmSync(folder, { recursive: true });
  });

  it('lets nobody in by a file it cannot read, writes nothing over it, and goes on', async () => {
    const t = await onNetwork();
    const file = join(t.dataDir, 'access', 'access.json');
    writeFileSync(file, '{"v":1,"data":{"passphrase":null');
    const other = await testApp({ dataDir: t.dataDir });
    await other.http.get(routes.today).expect(200);
    expect(
      (await other.http.put(routes.accessPassphrase).send({ passphrase: PASSPHRASE, endOthers: false }).expect(409)).body,
    ).toMatchObject({ code: 'access-unreadable' });
    expect(readFileSync(file, 'utf8')).toBe('{"v":1,"data":{"passphrase":null');
    // Moved away, as the refusal says, everybody comes in anew.
    rmSync(file);
    await other.http.put(routes.accessPassphrase).send({ passphrase: PASSPHRASE, endOthers: false }).expect(200);
    await other.app.close();
    await t.close();
  });

  it('lets nobody in whom another process of the same folder let go', async () => {
    const t = await onNetwork();
    const { cookie, id } = await t.pair();
    expect((await t.send(routes.settings, { cookie })).status).toBe(200);
    const other = await testApp({ dataDir: t.dataDir });
    await other.http.delete(routes.accessDevice(id)).expect(204);
    expect((await t.send(routes.settings, { cookie })).status).toBe(401);
    const newcomer = await t.pair('Newcomer');
    expect(((await other.http.get(routes.access)).body as Access).devices.map((d) => d.id)).toEqual([newcomer.id]);
    await other.app.close();
    await t.close();
  });

  it('carries none of it along in an export', async () => {
    const t = await onNetwork();
    await t.pair('A phone of ours');
    await t.add('A lens of ours');
    const zip = join(t.dataDir, 'export.zip');
    const { body } = await t.http
      .get(routes.exportAll)
      .buffer(true)
      .parse((response, done) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () => done(null, Buffer.concat(parts)));
      });
    writeFileSync(zip, body as Buffer);
    const all = execFileSync(
      'python3',
      ['-c', 'import sys,zipfile; z=zipfile.ZipFile(sys.argv[1]); sys.stdout.buffer.write(b"".join(z.read(n) for n in z.namelist()))', zip],
      { maxBuffer: 1e9 },
    ).toString('latin1');
    expect(all).toContain('A lens of ours');
    expect(all).not.toMatch(/argon2|A phone of ours/);
    await t.close();
  });
});
