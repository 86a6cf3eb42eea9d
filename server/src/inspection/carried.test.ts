import {
  type CarriedLook,
  type LogEntry,
  type LookAnswer,
  type LookDoc,
  type LookPhoto,
  routes,
  type SurfaceState,
} from '@bright-keeper/contract';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { START, testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

let count = 0;
const freshId = () => `00000000-0000-4000-8000-${String((count += 1)).padStart(12, '0')}`;
const seen = (surface: string, soils: Record<string, number> = {}, note = ''): LookAnswer =>
  ({ surface, findings: Object.entries(soils).map(([soil, severity]) => ({ soil, severity })), note }) as LookAnswer;
const carry = (id: string, look: Partial<CarriedLook> & { itemId: string }) =>
  t.http.put(routes.lookCarried(id)).send({ startedAgoS: 7200, endedAgoS: null, at: null, answers: [], base: null, ...look });
const page = async (id: string) => (await t.http.get(routes.item(id)).expect(200)).body;
const log = async (id: string) =>
  (await t.http.get(routes.itemLog(id)).expect(200)).body.entries.filter((e: LogEntry) => e.data.kind === 'look');

describe('a look that was begun and finished out of reach', () => {
  it('is one of when it was, however often it is sent', async () => {
    const item = await t.add('Looked at on a hill');
    const id = freshId();
    const look = { itemId: item.id, endedAgoS: 3600, answers: [seen('front-glass', { fingerprint: 3 }), seen('rear-glass')] };
    const first = (await carry(id, look).expect(200)).body as LookDoc;
    expect(first.finishedAt).toBe('2026-03-10T09:00:00.000Z');
    await carry(id, look).expect(200);
    const now = await page(item.id);
    expect(now.surfaces.map((s: SurfaceState) => [s.surface, s.verdict, s.knownSince])).toEqual([
      ['front-glass', 'clean', '2026-03-10T09:00:00.000Z'],
      ['rear-glass', 'leave', '2026-03-10T09:00:00.000Z'],
    ]);
    expect((await log(item.id)).map((e: LogEntry) => e.at)).toEqual(['2026-03-10T09:00:00.000Z']);
  });

  it('is logged, and lets stand what was seen of a surface since', async () => {
    const item = await t.add('Seen at home since');
    await t.look(item.id, { 'front-glass': {} });
    await carry(freshId(), {
      itemId: item.id,
      endedAgoS: 3600,
      answers: [seen('front-glass', { dust: 4 }), seen('rear-glass', { dust: 4 })],
    }).expect(200);
    const now = await page(item.id);
    expect(now.surfaces.map((s: SurfaceState) => [s.surface, s.findings.length])).toEqual([
      ['front-glass', 0],
      ['rear-glass', 1],
    ]);
    expect(await log(item.id)).toHaveLength(2);
  });

  it('does not stop for a look of the same thing that is open at home', async () => {
    const item = await t.add('Open at home');
    const open = (await t.http.post(routes.looks).send({ itemId: item.id }).expect(201)).body as LookDoc;
    await carry(freshId(), { itemId: item.id, endedAgoS: 60, answers: [seen('rear-glass')] }).expect(200);
    expect((await page(item.id)).openLookId).toBe(open.id);
  });

  it('is refused where nothing was looked at, the thing is not there, or the id is of another’s look', async () => {
    const [one, other] = [await t.add('One'), await t.add('Other')];
    expect((await carry(freshId(), { itemId: one.id, endedAgoS: 5 }).expect(422)).body.code).toBe('nothing-looked-at');
    expect((await carry(freshId(), { itemId: freshId() }).expect(404)).body.code).toBe('item-not-found');
    const id = freshId();
    await carry(id, { itemId: one.id, answers: [seen('front-glass')] }).expect(200);
    expect((await carry(id, { itemId: other.id, answers: [seen('front-glass', { dust: 1 })] }).expect(404)).body.code).toBe(
      'look-not-found',
    );
    await carry(freshId(), { itemId: other.id, endedAgoS: -5, answers: [seen('front-glass')] }).expect(400);
    await carry(freshId(), { itemId: other.id, endedAgoS: 401 * 86_400, answers: [seen('front-glass')] }).expect(400);
    expect((await page(one.id)).surfaces).toEqual([]);
  });
});

describe('a look that goes on in two places', () => {
  it('joins the one that is open at home', async () => {
    const item = await t.add('Two beginnings');
    const open = (await t.http.post(routes.looks).send({ itemId: item.id }).expect(201)).body as LookDoc;
    await t.http
      .put(routes.look(open.id))
      .send({ version: 1, at: null, answers: [seen('barrel')] })
      .expect(200);
    const { body } = await carry(freshId(), { itemId: item.id, answers: [seen('front-glass', { dust: 2 })] }).expect(200);
    expect(body).toMatchObject({ id: open.id, answers: [{ surface: 'barrel' }, { surface: 'front-glass' }] });
  });

  it('is put together by surfaces; where the two differ it keeps both until a person has chosen', async () => {
    const item = await t.add('Two minds');
    const open = (await t.http.post(routes.looks).send({ itemId: item.id }).expect(201)).body as LookDoc;
    const theirs = [seen('front-glass', { dust: 1 }), seen('barrel')];
    await t.http.put(routes.look(open.id)).send({ version: 1, at: null, answers: theirs }).expect(200);
    const mine = [seen('front-glass', { dust: 3 }), seen('rear-glass')];
    const refused = (await carry(open.id, { itemId: item.id, answers: mine, base: [] }).expect(409)).body;
    expect(refused).toMatchObject({ code: 'look-told-twice', current: { answers: theirs } });
    expect((await t.http.get(routes.look(open.id))).body.answers).toEqual(theirs);
    // They chose the phone's: it is sent on top of what is there.
    const { body } = await carry(open.id, {
      itemId: item.id,
      answers: [mine[0]!, theirs[1]!, mine[1]!],
      base: theirs,
      endedAgoS: 10,
    }).expect(200);
    expect(body.answers).toEqual([mine[0], theirs[1], mine[1]]);
    expect((await log(item.id))[0].at).toBe(new Date(START.getTime() - 10_000).toISOString());
  });

  it('that was finished at home says so to whoever saw more, and not to whoever saw the same', async () => {
    const item = await t.add('Finished at home');
    const open = (await t.http.post(routes.looks).send({ itemId: item.id }).expect(201)).body as LookDoc;
    const there = [seen('front-glass', { dust: 1 })];
    await t.http.put(routes.look(open.id)).send({ version: 1, at: null, answers: there }).expect(200);
    await t.http.post(routes.lookFinish(open.id)).send({ version: 2 }).expect(200);
    await carry(open.id, { itemId: item.id, answers: there, base: there, endedAgoS: 5 }).expect(200);
    await carry(open.id, { itemId: item.id, answers: there, base: [], endedAgoS: 5 }).expect(200);
    const more = [...there, seen('rear-glass')];
    expect((await carry(open.id, { itemId: item.id, answers: more, base: there }).expect(409)).body.code).toBe('look-finished');
    expect(await log(item.id)).toHaveLength(1);
  });
});

describe('a photograph that is carried over', () => {
  it('is one, however often it is sent, and takes no other’s place', async () => {
    const [item, other] = [await t.add('Pictured'), await t.add('Pictured, too')];
    const [look, another, id] = [freshId(), freshId(), freshId()];
    for (const [lookId, itemId] of [
      [look, item.id],
      [another, other.id],
    ] as const)
      await carry(lookId, { itemId, endedAgoS: 60, answers: [seen('front-glass')] }).expect(200);
    const picture = await sharp({ create: { width: 20, height: 20, channels: 3, background: 'grey' } })
      .jpeg()
      .toBuffer();
    const send = async (lookId: string) =>
      (
        await t.http
          .post(`${routes.lookPhotos(lookId)}?surface=front-glass&id=${id}`)
          .set('content-type', 'image/jpeg')
          .send(picture)
          .expect(201)
      ).body as LookPhoto;
    const first = await send(look);
    expect([first.id, (await send(look)).id]).toEqual([id, id]);
    expect((await send(another)).id).not.toBe(id);
    expect((await t.http.get(routes.lookPhotos(look))).body.photos).toHaveLength(1);
  });
});
