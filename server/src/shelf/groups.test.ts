import { routes, type Shelf, type ShelfGroups } from '@bright-keeper/contract';
import { gear } from '@bright-keeper/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => {
  t = await testApp();
  const [cupboard, box] = [await t.addPlace({ name: 'Cupboard' }), await t.addPlace({ name: 'Box' })];
  const add = async (name: string, more: object, placeId: string | null) => {
    const { id } = await t.add(name, more);
    if (placeId) await t.http.put(routes.itemPlace(id)).send({ placeId, since: null }).expect(200);
    return id;
  };
  const lens = await add('Lens', { particulars: { insuredFor: 400, tags: ['Walks'] } }, cupboard.id);
  await add('Filters', { kind: 'filter', particulars: { count: 6, paid: 120, tags: ['walks', 'studio'] } }, box.id);
  await add('Bare', {}, null);
  const gone = await add('Gone', {}, box.id);
  await t.http
    .post(routes.itemArchive(gone))
    .send({ version: 1, gone: { why: 'sold', on: '2026-03-10', for: null } })
    .expect(200);
  await t.look(lens, { 'front-glass': { fingerprint: 3 } });
});
afterAll(() => t.app.close());

const groups = async (query: string) => ((await t.http.get(`${routes.gearGroups}?${query}`).expect(200)).body as ShelfGroups).groups;

describe('the shelf in groups', () => {
  it('is told by place with counts and worth, what lies nowhere last, and without what is gone', async () => {
    expect((await groups('by=place')).map(({ name, lines, things, worth }) => ({ name, lines, things, worth }))).toEqual([
      { name: 'Box', lines: 1, things: 6, worth: { sum: 120, known: 1 } },
      { name: 'Cupboard', lines: 1, things: 1, worth: { sum: 400, known: 1 } },
      { name: null, lines: 1, things: 1, worth: { sum: 0, known: 0 } },
    ]);
  });

  it('holds to the filters of the shelf, and refuses what is no grouping', async () => {
    expect(await groups('by=kind&search=filt')).toMatchObject([{ key: 'filter', lines: 1 }]);
    expect(await groups('by=kind&archived=true')).toMatchObject([{ key: 'lens', lines: 1 }]);
    await t.http.get(`${routes.gearGroups}?by=colour`).expect(400);
    await t.http.get(routes.gearGroups).expect(400);
    await t.http.get(`${routes.gear}?place=cupboard`).expect(400);
  });

  it.each(gear.GROUPINGS)('by %s: each group holds as many as the shelf that is filtered to it', async (by) => {
    for (const { key, lines } of await groups(`by=${by}`)) {
      const filter = {
        place: `place=${key ?? 'none'}`,
        kind: `kind=${key}`,
        tag: key === null ? 'untagged=true' : `tag=${key}`,
        verdict: `needs=${key ?? 'never-looked'}`,
      }[by];
      const { total } = (await t.http.get(`${routes.gear}?${filter}`).expect(200)).body as Shelf;
      expect(total, `${by} ${key}`).toBe(lines);
    }
  });
});
