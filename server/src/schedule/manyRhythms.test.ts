import { routes, type ItemPage, type KeptRhythm, type RhythmsSet } from '@bright-keeper/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const set = (body: object) => t.http.put(routes.rhythmsMany).send(body);
const rhythms = async () => (await t.http.get(routes.rhythms).expect(200)).body as KeptRhythm[];
const due = async (id: string, code: string) =>
  ((await t.http.get(routes.item(id)).expect(200)).body as ItemPage).due.find((d) => d.code === code)?.window.due;

describe('a rhythm for many at once', () => {
  it('holds for each by itself, names what has no such duty, and is put back as it was', async () => {
    const [one, two, bag] = [await t.add('One'), await t.add('Two'), await t.add('Bag', { kind: 'accessory' })];
    const code = 'light-test';
    const before = [await due(one.id, code), await due(two.id, code)];
    await set({ itemIds: [two.id], code, months: 9 }).expect(200);
    const ofTwo = await due(two.id, code);
    const done = (await set({ itemIds: [one.id, two.id, bag.id], code, months: 24 }).expect(200)).body as RhythmsSet;
    expect(done.without).toEqual([{ itemId: bag.id, name: 'Bag' }]);
    expect(done.before.map(({ itemId, had }) => [itemId, had])).toEqual(
      expect.arrayContaining([
        [one.id, false],
        [two.id, true],
      ]),
    );
    expect((await rhythms()).map((r) => r.scope)).toEqual(
      expect.arrayContaining([
        { for: 'subject', id: one.id },
        { for: 'subject', id: two.id },
      ]),
    );
    await t.http.put(routes.rhythmsBack).send({ code, before: done.before }).expect(204);
    expect([await due(one.id, code), await due(two.id, code)]).toEqual([before[0], ofTwo]);

    await set({ itemIds: [one.id], code, months: null }).expect(200);
    expect(await due(one.id, code)).toBeUndefined();
  });

  it('puts nothing back that nobody could keep', async () => {
    const { id } = await t.add('Put back');
    const rhythm = {
      triggers: [{ on: 'calendar', rrule: 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=31', from: 'last-done' }],
      earlyDays: 0,
      lateDays: 0,
      minutes: 5,
    };
    const body = { code: 'light-test', before: [{ itemId: id, had: true, rhythm }] };
    expect((await t.http.put(routes.rhythmsBack).send(body).expect(400)).body).toMatchObject({ code: 'bad-rhythm' });
    expect((await rhythms()).filter((r) => r.scope.for === 'subject' && r.scope.id === id)).toEqual([]);
  });

  it.each([
    ['a month that is none', { months: 0 }, 'months'],
    ['ten thousand months', { months: 10_000 }, 'months'],
    ['a duty nobody knows', { code: 'polish' }, 'code'],
    ['what does not recur', { code: 'cap-missing' }, 'code'],
    ['nothing at all', { itemIds: [] }, 'itemIds'],
  ])('refuses %s and names it', async (_, change, field) => {
    const body = { itemIds: ['00000000-0000-7000-8000-000000000001'], code: 'light-test', months: 6, ...change };
    expect(Object.keys((await set(body).expect(400)).body.fields as object)).toContain(field);
  });
});
