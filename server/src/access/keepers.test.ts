import { routes, type Access, type Keeper, type Log, type Problem, type Shelf, type Trail } from '@bright-keeper/contract';
import type { OpenAPIObject } from '@nestjs/swagger';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { LIMITS } from '../limits.js';
import { given, onNetwork, PASSPHRASE, type Answer, type OnNetwork } from '../testing/onNetwork.js';
import { FIRST_OWNER } from './kept.js';

const code = ({ body }: Answer): string | undefined => (body as Problem | null)?.code;
const OTHERS = 'two hoods and a cap in snow';

describe('several keepers', () => {
  let t: OnNetwork;
  beforeEach(async () => {
    t = await onNetwork();
  });
  afterEach(() => t.close());

  const access = async (cookie: string | null = null): Promise<Access> =>
    (cookie === null ? await t.http.get(routes.access) : await t.send(routes.access, { cookie })).body as Access;
  const keeper = async (name: string): Promise<Keeper> => (await access()).keepers.find((one) => one.name === name)!;
  const add = (body: object) => t.http.post(routes.accessKeepers).send(body);
  /** A household of Ada, who owns it, and one more. */
  const with2 = async (role: string): Promise<Keeper> => {
    await add({ name: 'Ben', role, ownName: 'Ada' }).expect(201);
    return keeper('Ben');
  };
  /** Lets a phone of this keeper in by a code. */
  const phoneOf = async (keeperId: string, name = 'Phone'): Promise<string> => {
    const shown = ((await t.http.post(routes.accessCode).send({ keeperId }).expect(201)).body as { code: string }).code;
    return given(await t.send(routes.accessPair, { method: 'POST', body: { code: shown, name } }))!;
  };
  const newThing = (name: string) => ({ name, kind: 'lens', traits: {}, notes: '', acquiredOn: null });
  const change = (cookie: string) => t.send(routes.gear, { method: 'POST', cookie, body: newThing('Fifty') });

  it('are not spoken of while there is one alone', async () => {
    const alone = await access();
    expect([alone.keepers, alone.mayLetIn]).toEqual([[], true]);
    expect((await t.send(routes.access)).body as object).toEqual({ isIn: false, asksName: false });
    const { cookie } = await t.pair();
    const answer = await t.send(routes.gear, { cookie });
    expect(answer.headers['keeper-role']).toBeUndefined();
    expect((await access(cookie)).devices).toMatchObject([{ keeper: null }]);
    expect((await change(cookie)).status).toBe(201);
    const { entries } = (await t.http.get(routes.trail)).body as Trail;
    expect(entries.find(({ subject }) => subject === 'thing')!.who).toEqual({ is: 'keeper', name: null });
  });

  it('each have a name from the second on, and whoever was alone says theirs', async () => {
    expect(code(await add({ name: 'Ben', role: 'keeper' }).expect(409))).toBe('own-name-missing');
    expect((await access()).keepers).toEqual([]);
    expect(code(await add({ name: ' BEN ', role: 'keeper', ownName: 'ben' }).expect(409))).toBe('name-taken');
    await add({ name: '  ', role: 'keeper', ownName: 'Ada' }).expect(400);
    await with2('keeper');
    expect((await access()).keepers).toMatchObject([
      { name: 'Ada', role: 'owner', hasPassphrase: true, isThis: false },
      { name: 'Ben', role: 'keeper', hasPassphrase: false, devices: 0 },
    ]);
    expect(code(await add({ name: 'bEN', role: 'reader' }).expect(409))).toBe('name-taken');
    for (let i = 2; i < LIMITS.access.keepers; i++) await add({ name: `No ${i}`, role: 'reader' }).expect(201);
    expect(code(await add({ name: 'Last', role: 'reader' }).expect(409))).toBe('too-many-keepers');
  });

  it('are let in each by their own name and passphrase, or by a code made for them', async () => {
    const ben = await with2('keeper');
    expect((await t.send(routes.access)).body as object).toEqual({ isIn: false, asksName: true });
    const phone = await phoneOf(ben.id);
    expect((await access(phone)).keepers.find((one) => one.isThis)!.name).toBe('Ben');
    // Without a passphrase there is nothing to prove; from then on there is.
    const set = (passphrase: string) =>
      t.send(routes.accessPassphrase, { method: 'PUT', cookie: phone, body: { passphrase, endOthers: false } });
    expect((await set(OTHERS)).status).toBe(200);
    expect(code(await set('another shelf of hoods'))).toBe('owner-only');
    const signIn = (keeper: string | undefined, passphrase: string) =>
      t.send(routes.accessSignIn, { method: 'POST', body: { passphrase, name: 'Laptop', ...(keeper === undefined ? {} : { keeper }) } });
    expect((await signIn(' ben', OTHERS)).status).toBe(201);
    expect((await signIn('Ada', PASSPHRASE)).status).toBe(201);
    for (const [who, passphrase] of [
      ['Ada', OTHERS],
      ['Ben', PASSPHRASE],
      ['Nobody', PASSPHRASE],
      [undefined, PASSPHRASE],
      ['', PASSPHRASE],
    ] as const) {
      const answer = await signIn(who, passphrase);
      expect([who, answer.status, code(answer)]).toEqual([who, 401, 'wrong-name-or-passphrase']);
    }
  });

  it('are guessed at by name only so often, from however many addresses', async () => {
    await with2('keeper');
    const guess = (n: number, keeper: string) =>
      t.send(routes.accessSignIn, {
        method: 'POST',
        // Another address each few tries: its own limit is never met.
        from: `127.0.0.${2 + Math.floor((2 * n) / LIMITS.access.wrongOfOne)}`,
        body: { passphrase: `guess ${n}`, name: 'x', keeper },
      });
    const statuses = [];
    for (let n = 0; n < LIMITS.access.wrongAtOne; n++) statuses.push((await guess(n, n % 2 ? 'Ben' : ' bEN ')).status);
    expect(new Set(statuses)).toEqual(new Set([401]));
    expect(code(await guess(LIMITS.access.wrongAtOne, 'Ben'))).toBe('guessed-too-often');
    expect(code(await guess(LIMITS.access.wrongAtOne, 'Ada'))).toBe('wrong-name-or-passphrase');
  });

  it('may do by their role: a reader looks and changes nothing, at any route there is', async () => {
    const ben = await with2('reader');
    const phone = await phoneOf(ben.id);
    const { paths } = (await t.http.get('/api/docs.json')).body as OpenAPIObject;
    const ID = '018f0000-0000-7000-8000-0000000000aa';
    const calls = Object.entries(paths).flatMap(([path, item]) =>
      ['get', 'post', 'put', 'delete'].filter((verb) => verb in item).map((verb) => ({ path, method: verb.toUpperCase() })),
    );
    const before = readFileSync(join(t.dataDir, 'access', 'access.json'), 'utf8');
    const refused = new Map<string, string>();
    for (const { path, method } of calls) {
      if (path === routes.live || path === routes.accessSignOut) continue;
      const answer = await t.send(path.replaceAll(/\{[^}]+\}/g, ID), {
        method,
        cookie: phone,
        body: method === 'POST' || method === 'PUT' ? {} : undefined,
      });
      if (method === 'GET') expect([path, code(answer)]).not.toEqual([path, 'readers-only-read']);
      else refused.set(`${method} ${path}`, `${answer.status} ${code(answer)}`);
    }
    // What only asks, what opens by a key, and what is about oneself is no change of the household.
    const notRefused = [...refused].filter(([, answer]) => answer !== '403 readers-only-read').map(([call]) => call);
    expect(refused.size - notRefused.length).toBeGreaterThan(90);
    expect(notRefused.filter((call) => !call.includes('/api/access/'))).toEqual(
      expect.not.arrayContaining([`POST ${routes.gear}`, `PUT ${routes.settings}`]),
    );
    const own = (all: string[]) => all.filter((call) => call.includes('/api/access/')).sort();
    expect(own(notRefused)).toEqual(
      [
        `DELETE /api/access/devices/{id}`,
        `POST ${routes.accessCode}`,
        `POST ${routes.accessPair}`,
        `POST ${routes.accessProof}`,
        `POST ${routes.accessSignIn}`,
        `PUT ${routes.accessPassphrase}`,
      ].sort(),
    );
    expect(refused.get(`POST ${routes.accessCode}`)).toBe('403 owners-only');
    expect(readFileSync(join(t.dataDir, 'access', 'access.json'), 'utf8')).toBe(before);
    expect((await t.send(routes.gear, { cookie: phone })).headers['keeper-role']).toBe('reader');
    expect(((await t.http.get(routes.gear)).body as Shelf).items).toEqual([]);
    expect((await t.send(routes.accessSignOut, { method: 'POST', cookie: phone, body: {} })).status).toBe(204);
  });

  it('who are no owners let nobody in, with the passphrase given or not', async () => {
    const ben = await with2('keeper');
    const phone = await phoneOf(ben.id);
    await t.send(routes.accessPassphrase, { method: 'PUT', cookie: phone, body: { passphrase: OTHERS, endOthers: false } });
    expect((await t.send(routes.accessProof, { method: 'POST', cookie: phone, body: { passphrase: OTHERS } })).status).toBe(200);
    for (const [method, path, body] of [
      ['POST', routes.accessCode, {}],
      ['POST', routes.accessKeepers, { name: 'Cy', role: 'owner' }],
      ['PUT', routes.accessKeeper(ben.id), { name: 'Ben', role: 'owner' }],
      ['DELETE', routes.accessKeeper(FIRST_OWNER), undefined],
      ['POST', routes.accessKeeperReset(FIRST_OWNER), {}],
      ['PUT', routes.accessNetwork, { open: false, sessionDays: 30 }],
    ] as const)
      expect([path, code(await t.send(path, { method, cookie: phone, body }))]).toEqual([path, 'owners-only']);
    expect((await change(phone)).status).toBe(201);
  });

  it('see and let go devices of their own; owners any', async () => {
    const ben = await with2('keeper');
    const [adas, bens] = [await phoneOf(FIRST_OWNER, 'Ada’s'), await phoneOf(ben.id, 'Ben’s')];
    expect((await access(bens)).devices.map(({ name }) => name)).toEqual(['Ben’s']);
    const all = (await access(adas)).devices;
    expect(all.map(({ name, keeper }) => [name, keeper])).toEqual([
      ['Ada’s', 'Ada'],
      ['Ben’s', 'Ben'],
    ]);
    const idOf = (name: string) => all.find((d) => d.name === name)!.id;
    expect(code(await t.send(routes.accessDevice(idOf('Ada’s')), { method: 'DELETE', cookie: bens }))).toBe('not-yours');
    expect((await t.send(routes.accessDevice(idOf('Ben’s')), { method: 'DELETE', cookie: adas })).status).toBe(204);
    expect((await t.send(routes.gear, { cookie: bens })).status).toBe(401);
  });

  it('sign what they do, under the name they had then', async () => {
    const ben = await with2('keeper');
    const phone = await phoneOf(ben.id);
    const made = (await change(phone)).body as { id: string };
    await t.http.put(routes.accessKeeper(ben.id)).send({ name: 'Benno', role: 'keeper' }).expect(200);
    const log = ((await t.http.get(routes.itemLog(made.id))).body as Log).entries;
    expect(log.map(({ data, keeper }) => [data.kind, keeper])).toEqual([['added', 'Ben']]);
    const { entries } = (await t.http.get(routes.trail)).body as Trail;
    expect(entries.find(({ act, subject }) => act === 'added' && subject === 'thing')!.who).toEqual({ is: 'keeper', name: 'Ben' });
    // Whoever is at the machine and said no name is nobody in particular.
    await t.http.post(routes.gear).send(newThing('Eighty')).expect(201);
    const latest = ((await t.http.get(routes.trail)).body as Trail).entries.find(({ name }) => name === 'Eighty')!;
    expect(latest.who).toEqual({ is: 'keeper', name: null });
  });

  it('finish the same cleaning once, under the name of whoever was first', async () => {
    const ben = await with2('keeper');
    const hands = [await phoneOf(FIRST_OWNER), await phoneOf(ben.id)];
    const { id: itemId } = (await t.http.post(routes.gear).send(newThing('Fifty'))).body as { id: string };
    await t.look(itemId, { 'front-glass': { dust: 2 } });
    const c = await t.startCleaning(itemId);
    const finish = (cookie: string) => t.send(routes.cleaningFinish(c.id), { method: 'POST', cookie, body: { version: c.version } });
    const answers = await Promise.all(hands.map(finish));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    expect(code(answers.find(({ status }) => status === 409)!)).toBe('cleaning-finished');
    const log = ((await t.http.get(routes.itemLog(itemId))).body as Log).entries.filter(({ data }) => data.kind === 'clean');
    expect(log.map(({ keeper: who }) => who)).toEqual([answers[0]!.status === 200 ? 'Ada' : 'Ben']);
  });

  it('say who they are at the machine, too, if they like, and are held to it there', async () => {
    const ben = await with2('reader');
    const phone = await phoneOf(ben.id);
    await t.send(routes.accessPassphrase, { method: 'PUT', cookie: phone, body: { passphrase: OTHERS, endOthers: false } });
    const came = await t.http.post(routes.accessSignIn).send({ passphrase: OTHERS, name: 'Desk', keeper: 'Ben' }).expect(201);
    const shown = (came.headers['set-cookie'] as unknown as string[]).at(-1)!.split(';')[0]!;
    await t.http.get(routes.gear).set('cookie', shown).expect('keeper-role', 'reader');
    const refused = await t.http.post(routes.gear).set('cookie', shown).send(newThing('Fifty')).expect(403);
    expect((refused.body as Problem).code).toBe('readers-only-read');
    await t.http.post(routes.accessSignOut).set('cookie', shown).send({}).expect(204);
    await t.http.post(routes.gear).set('cookie', shown).send(newThing('Fifty')).expect(201);
  });

  it('go at once with every device, are reset, and hand over; an owner always stays', async () => {
    const ben = await with2('keeper');
    const phone = await phoneOf(ben.id);
    const refuse = async (done: Promise<unknown>) => code((await done) as Answer);
    expect(await refuse(t.http.delete(routes.accessKeeper(FIRST_OWNER)))).toBe('last-owner');
    expect(await refuse(t.http.put(routes.accessKeeper(FIRST_OWNER)).send({ name: 'Ada', role: 'reader' }))).toBe('last-owner');
    expect(await refuse(t.http.post(routes.accessKeeperReset(FIRST_OWNER)).send({}))).toBe('last-owner');
    await t.send(routes.accessPassphrase, { method: 'PUT', cookie: phone, body: { passphrase: OTHERS, endOthers: false } });
    const reset = (await t.http.post(routes.accessKeeperReset(ben.id)).send({}).expect(200)).body as Access;
    expect(reset.keepers.find(({ id }) => id === ben.id)).toMatchObject({ hasPassphrase: false, devices: 0 });
    expect((await t.send(routes.gear, { cookie: phone })).status).toBe(401);
    const [pending, again] = [
      ((await t.http.post(routes.accessCode).send({ keeperId: ben.id }).expect(201)).body as { code: string }).code,
      await t.http.put(routes.accessKeeper(ben.id)).send({ name: 'Ben', role: 'owner' }).expect(200),
    ];
    expect((again.body as Access).keepers.map(({ role }) => role)).toEqual(['owner', 'owner']);
    await t.http.put(routes.accessKeeper(FIRST_OWNER)).send({ name: 'Ada', role: 'reader' }).expect(200);
    expect(await refuse(t.http.delete(routes.accessKeeper(ben.id)))).toBe('last-owner');
    await t.http.put(routes.accessKeeper(FIRST_OWNER)).send({ name: 'Ada', role: 'owner' }).expect(200);
    await t.http.delete(routes.accessKeeper(ben.id)).expect(204);
    // A code that was made for somebody who is gone opens nothing.
    expect(code(await t.send(routes.accessPair, { method: 'POST', body: { code: pending, name: 'x' } }))).toBe('wrong-code');
    expect((await access()).keepers).toEqual([]);
    expect((await t.send(routes.accessSignIn, { method: 'POST', body: { passphrase: PASSPHRASE, name: 'x' } })).status).toBe(201);
    expect(await refuse(t.http.delete(routes.accessKeeper(ben.id)))).toBe('no-such-keeper');
  });

  it('are found in a file from before there were any: one owner, and their devices', async () => {
    const { cookie } = await t.pair('Old phone');
    const path = join(t.dataDir, 'access', 'access.json');
    const { data } = JSON.parse(readFileSync(path, 'utf8')) as { data: { keepers: { passphrase: string }[]; devices: object[] } };
    const { keepers, devices, ...rest } = data;
    const before = { ...rest, passphrase: keepers[0]!.passphrase, devices: devices.map((d) => ({ ...d, keeperId: undefined })) };
    writeFileSync(path, JSON.stringify({ v: 1, data: before }));
    expect((await t.send(routes.gear, { cookie })).status).toBe(200);
    expect((await t.send(routes.accessSignIn, { method: 'POST', body: { passphrase: PASSPHRASE, name: 'x' } })).status).toBe(201);
    expect(await access()).toMatchObject({ keepers: [], hasPassphrase: true });
  });
});
