import { routes, type FromPictures, type Outing, type OutingInput } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeEach(async () => void (t = await testApp()));
afterEach(() => t.app.close());

const outings = async () => (await t.http.get(routes.outings).expect(200)).body as Outing[];
const takeIn = (told: FromPictures, status = 200) => t.http.post(routes.outingsFromPictures).send(told).expect(status);
const walk = (itemIds: string[], more: Partial<OutingInput> = {}): OutingInput => ({
  name: '7 March 2026',
  from: '2026-03-07',
  to: '2026-03-07',
  place: 'other',
  itemIds,
  met: [],
  frames: 300,
  lensChanges: 4,
  hours: 3.5,
  note: '',
  ...more,
});

describe('what pictures tell of outings', () => {
  it('is taken in as a whole: new ones, and what they say of one that is noted', async () => {
    const { id } = await t.add('Long lens');
    const noted = (
      await t.http
        .post(routes.outings)
        .send(walk([], { name: 'Pier', frames: null, met: ['salt'] }))
        .expect(201)
    ).body as Outing;
    expect(noted.used).toEqual({});
    const { body } = await takeIn({
      added: [walk([id], { from: '2026-02-01', to: '2026-02-02' })],
      changed: [{ ...noted, itemIds: [id], frames: 120, used: { [id]: { frames: 90, lensChanges: 2 } } }],
    });
    expect(body).toEqual({ added: 1, changed: 1 });
    const [pier, earlier] = await outings();
    expect(pier).toMatchObject({ name: 'Pier', met: ['salt'], frames: 120, used: { [id]: { frames: 90, lensChanges: 2 } }, version: 2 });
    expect(earlier).toMatchObject({ from: '2026-02-01', used: {} });
  });

  it('is all or nothing: a stray thing and a stale one are said beside their field', async () => {
    const noted = (await t.http.post(routes.outings).send(walk([])).expect(201)).body as Outing;
    const stray = '018f0000-0000-7000-8000-000000000000';
    const { body } = await takeIn({ added: [walk([]), walk([stray])], changed: [] }, 404);
    expect(body.fields).toHaveProperty(['added.1.itemIds.0']);
    await takeIn({ added: [walk([])], changed: [{ ...noted, version: 7 }] }, 409);
    await takeIn({ added: [walk([])], changed: [{ ...noted, id: stray }] }, 404);
    const late = await takeIn({ added: [walk([], { to: '2026-01-01' })], changed: [] }, 400);
    expect(late.body.fields['added.0.to']).toMatch(/ends before it begins/);
    await takeIn({ added: [], changed: [noted, noted] }, 400);
    expect(await outings()).toHaveLength(1);
  });

  it('keeps no use of what did not come along, and refuses one that is none', async () => {
    const [a, b] = [await t.add('Along'), await t.add('At home')];
    const used = { [a.id]: { frames: 5, lensChanges: null }, [b.id]: { frames: 7, lensChanges: 0 } };
    await takeIn({ added: [walk([a.id], { used })], changed: [] });
    expect((await outings())[0]!.used).toEqual({ [a.id]: used[a.id] });
    for (const wrong of [{ frames: -1, lensChanges: 0 }, { frames: null, lensChanges: 0 }, { frames: 1 }])
      await t.http
        .post(routes.outings)
        .send(walk([a.id], { used: { [a.id]: wrong as never } }))
        .expect(400);
    await t.http
      .post(routes.outings)
      .send(walk([a.id], { used: { whatever: { frames: 1, lensChanges: 0 } } }))
      .expect(400);
  });

  it('wears each thing by its own use, not by that of all', async () => {
    const [much, little] = [await t.add('Much used'), await t.add('Little used')];
    await t.http
      .put(routes.rhythms)
      .send({
        code: 'shell-and-contacts',
        scope: { for: 'all' },
        rhythm: { triggers: [{ on: 'use', of: 'frames', count: 200 }], earlyDays: 0, lateDays: 14, minutes: 10 },
        version: null,
      })
      .expect(200);
    t.clock.set(new Date('2026-03-14T12:00:00Z'));
    const day = '2026-03-12';
    await takeIn({
      added: [
        walk([much.id, little.id], {
          from: day,
          to: day,
          used: { [much.id]: { frames: 280, lensChanges: 2 }, [little.id]: { frames: 20, lensChanges: 2 } },
        }),
      ],
      changed: [],
    });
    const { duties } = (await t.http.get(routes.agenda).expect(200)).body as schedule.Agenda;
    const due = duties.filter((d) => d.code === 'shell-and-contacts' && d.ahead === 0);
    expect(due.find((d) => d.subject.id === much.id)?.window.due).toBe(day);
    expect(due.find((d) => d.subject.id === little.id)?.window.due ?? '2099').not.toBe(day);
  });
});

describe('what an outing asks for', () => {
  const asks = async (id: string) => (await t.http.get(routes.outingAsks(id)).expect(200)).body as schedule.Duty[];
  it('is what the agenda holds of it, until it was looked at or removed', async () => {
    const [along, home] = [await t.add('Along'), await t.add('At home')];
    const { body } = await t.http.post(routes.outings).send(walk([along.id], { from: '2026-03-10', to: '2026-03-10', met: ['salt'] })).expect(201); // prettier-ignore
    const { id } = body as Outing;
    t.clock.set(new Date('2026-03-11T08:00:00Z'));
    const asked = await asks(id);
    expect(asked.map((d) => [d.code, d.subject.id, d.gravity])).toEqual([['look-after-outing', along.id, 'harms']]);
    const { duties } = (await t.http.get(routes.agenda).expect(200)).body as schedule.Agenda;
    expect(duties.find((d) => d.id === asked[0]!.id)).toEqual(asked[0]);
    expect(asked.some((d) => d.subject.id === home.id)).toBe(false);
    await t.http.delete(routes.outing(id)).expect(204);
    expect(await asks(id)).toEqual([]);
    expect((await t.http.get(routes.outingAsks('none'))).status).toBe(400);
  });
});
