import { type Cleaning, type ItemPage, type LookDoc, routes } from '@bright-keeper/contract';
import { MS_PER_DAY, MS_PER_HOUR, care, type schedule } from '@bright-keeper/core';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => {
  t = await testApp();
});
afterAll(() => t.app.close());

type Seen = Partial<Record<care.Surface, Partial<Record<care.Soil, number>>>>;
const pageOf = async (id: string): Promise<ItemPage> => (await t.http.get(routes.item(id)).expect(200)).body as ItemPage;
const openLook = async (itemId: string, seen: Seen): Promise<LookDoc> => {
  const doc = (await t.http.post(routes.looks).send({ itemId }).expect(201)).body as LookDoc;
  const answers = Object.entries(seen).map(([surface, soils]) => ({
    surface,
    findings: Object.entries(soils).map(([soil, severity]) => ({ soil, severity })),
    note: '',
  }));
  return (await t.http.put(routes.look(doc.id)).send({ version: doc.version, at: null, answers }).expect(200)).body as LookDoc;
};
const finish = (look: LookDoc, at: string | null) => t.http.post(routes.lookFinish(look.id)).send({ version: look.version, at });

describe('what is told for an earlier day', () => {
  const DAY_0 = new Date('2026-03-10T09:00:00.000Z');
  const after = (days: number): string => new Date(DAY_0.getTime() + days * MS_PER_DAY).toISOString();
  const look = (seen: Seen) => async (id: string, at: string | null) => void (await finish(await openLook(id, seen), at).expect(200));
  const post = (route: string, body: object) => async (itemId: string, at: string | null) =>
    void (await t.http
      .post(route)
      .send({ ...body, itemId, at })
      .expect(201));
  const exercised = async (id: string, at: string | null) =>
    void (await t.http
      .post(routes.dutyDone)
      .send({ code: 'exercise', subject: { kind: 'thing', id }, at })
      .expect(201));

  /** What happened to a lens, and how many days after the first. */
  const STORY: [number, (id: string, at: string | null) => Promise<void>][] = [
    [5, look({ 'front-glass': { dust: 3 }, barrel: { dust: 1 } })],
    [12, look({ 'front-glass': {}, 'inner-glass': { haze: 1 } })],
    [20, exercised],
    [31, look({ 'rear-glass': { fingerprint: 2 }, barrel: {} })],
    [44, exercised],
  ];
  const GONE: typeof STORY = [
    [33, post(routes.away, { why: 'loan', until: null, to: 'a neighbour' })],
    [40, post(routes.back, {})],
  ];
  /** All that hangs on the past: what is known, what falls due and when, and whether it is here. */
  const presentOf = async (id: string) => {
    const { surfaces, due, away, verdict } = await pageOf(id);
    const windows = due.map(({ code, window, urgency }) => ({ code, window, urgency }));
    return { surfaces: surfaces.map(({ surface, findings, knownSince }) => ({ surface, findings, knownSince })), windows, away, verdict };
  };
  const tell = async (id: string, story: typeof STORY) => {
    for (const [day, happens] of story) await happens(id, after(day));
  };

  it('stands as if it had been told then, in whatever order it is told', async () => {
    t.clock.set(DAY_0);
    const [then, inOrder, backwards, mixed] = await Promise.all(['Then', 'In order', 'Backwards', 'Mixed'].map((name) => t.add(name)));
    const whole = [...STORY, ...GONE].sort(([a], [b]) => a - b);
    for (const [day, happens] of whole) {
      t.clock.set(new Date(after(day)));
      await happens(then!.id, null);
    }
    t.clock.set(new Date(after(60)));
    await tell(inOrder!.id, whole);
    await tell(backwards!.id, [...STORY].reverse());
    await tell(backwards!.id, GONE);
    await tell(mixed!.id, [STORY[3]!, STORY[0]!]);
    await tell(mixed!.id, GONE);
    await tell(mixed!.id, [STORY[4]!, STORY[2]!, STORY[1]!]);
    const present = await presentOf(then!.id);
    expect(present.surfaces.map((s) => [s.surface, s.knownSince])).toEqual([
      ['barrel', after(31)],
      ['front-glass', after(12)],
      ['inner-glass', after(12)],
      ['rear-glass', after(31)],
    ]);
    for (const { id } of [inOrder!, backwards!, mixed!]) expect(await presentOf(id)).toEqual(present);
  });

  it('stands so with outings and a place, too: ten seeded orders of all of it, against the day by day', async () => {
    t.clock.set(DAY_0);
    const place = await t.addPlace({ name: 'A shelf of long ago' });
    const outing = async (id: string) =>
      void (await t.http
        .post(routes.outings)
        .send({
          ...{ name: 'Dunes', from: after(24).slice(0, 10), to: after(25).slice(0, 10), place: 'shore', met: ['sand', 'salt'] },
          ...{ itemIds: [id], frames: 300, lensChanges: 4, hours: 6, used: {}, note: '' },
        })
        .expect(201));
    const lies = async (id: string, at: string | null) =>
      void (await t.http.put(routes.itemPlace(id)).send({ placeId: place.id, since: at }).expect(200));
    const story: typeof STORY = [[2, lies], ...STORY, [25, outing]];
    // What is counted from the day a thing came has its turn among the whole shelf: that is no matter of its own past.
    const hasTurn = ({ facts }: schedule.Duty) => facts.says === 'rhythm' && facts.because.some((b) => b.because === 'since-on-the-shelf');
    const whole = async (id: string) => {
      const { place: lain, due } = await pageOf(id);
      const { surfaces, away, verdict } = await presentOf(id);
      const own = due.filter((duty) => !hasTurn(duty)).map(({ code, window, urgency, facts }) => ({ code, window, urgency, facts }));
      return { surfaces, away, verdict, own, since: lain?.since };
    };
    const dayByDay = (await t.add('Day by day')).id;
    const orders = fc.sample(fc.shuffledSubarray(story, { minLength: story.length }), { numRuns: 10, seed: 28 });
    const others = await Promise.all(orders.map(async (_, i) => (await t.add(`Order ${i}`)).id));
    for (const [day, happens] of [...story].sort(([a], [b]) => a - b)) {
      t.clock.set(new Date(after(day)));
      await happens(dayByDay, null);
    }
    t.clock.set(new Date(after(60)));
    for (const [i, order] of orders.entries()) await tell(others[i]!, order);
    const present = await whole(dayByDay);
    expect(present.since).toBe(after(2));
    expect(present.own.map(({ code }) => code)).toEqual(expect.arrayContaining(['look-after-outing', 'exercise']));
    for (const [i, id] of others.entries()) expect(await whole(id), JSON.stringify(orders[i]!.map(([day]) => day))).toEqual(present);
  });

  it('begins no later than it ended', async () => {
    const { id } = await t.add('Told later');
    const doc = await openLook(id, { 'front-glass': { dust: 1 } });
    const at = new Date(t.clock.now().getTime() - 3 * MS_PER_DAY).toISOString();
    await finish(doc, at).expect(200);
    const over = (await t.http.get(routes.look(doc.id)).expect(200)).body as LookDoc;
    expect([over.startedAt, over.finishedAt]).toEqual([at, at]);
    expect((await t.http.get(routes.itemLog(id)).expect(200)).body.entries.map((e: { at: string }) => e.at)).toContain(at);
  });

  it('takes nothing from what was seen of a surface since: a clean told for last week leaves what was found yesterday', async () => {
    const { id } = await t.add('Cleaned last week');
    await t.look(id, { 'front-glass': { fingerprint: 3 } });
    const cleaning = await t.startCleaning(id);
    const events = care.workThrough(cleaning.plan, ['clean-enough']);
    const saved = (await t.http.put(routes.cleaning(cleaning.id)).send({ version: cleaning.version, events }).expect(200)).body as Cleaning;
    t.clock.set(new Date(t.clock.now().getTime() + 7 * MS_PER_DAY));
    await t.look(id, { 'front-glass': { dust: 2 } });
    const at = new Date(t.clock.now().getTime() - 6 * MS_PER_DAY).toISOString();
    await t.http.post(routes.cleaningFinish(cleaning.id)).send({ version: saved.version, at }).expect(200);
    const { surfaces, contacts } = await pageOf(id);
    expect(surfaces.find((s) => s.surface === 'front-glass')?.findings).toEqual([{ soil: 'dust', severity: 2 }]);
    // It was touched all the same.
    expect(contacts['front-glass']).toBeGreaterThan(0);
  });

  it('is refused of tomorrow, and of a loan that ends before it began or begins before the last one ended', async () => {
    const { id } = await t.add('Lent lens');
    const now = t.clock.now().getTime();
    const at = (hours: number): string => new Date(now + hours * MS_PER_HOUR).toISOString();
    const doc = await openLook(id, { 'front-glass': {} });
    expect((await finish(doc, at(30)).expect(422)).body.fields).toHaveProperty('at');
    const away = (when: string) => t.http.post(routes.away).send({ itemId: id, why: 'loan', until: null, to: 'a friend', at: when });
    const back = (when: string) => t.http.post(routes.back).send({ itemId: id, at: when });
    expect((await away(at(30)).expect(422)).body.fields).toHaveProperty('at');
    await away(at(-72)).expect(201);
    expect((await back(at(-80)).expect(400)).body.fields.at).toMatch(/^It went away later than that/);
    await back(at(-48)).expect(201);
    expect((await away(at(-60)).expect(400)).body.fields.at).toMatch(/^It came back later than that/);
    await away(at(-24)).expect(201);
    expect((await pageOf(id)).away).toMatchObject({ why: 'loan', to: 'a friend' });
    expect(
      (
        await t.http
          .post(routes.dutyDone)
          .send({ code: 'exercise', subject: { kind: 'thing', id: (await t.add('Here')).id }, at: at(30) })
          .expect(422)
      ).body.fields,
    ).toHaveProperty('at');
  });
});
