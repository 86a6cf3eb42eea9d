import { type CausesTold, routes } from '@bright-keeper/contract';
import { MS_PER_DAY } from '@bright-keeper/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const later = (days: number) => t.clock.set(new Date(t.clock.now().getTime() + days * MS_PER_DAY));
const today = () => t.clock.now().toISOString().slice(0, 10);
const causes = async (): Promise<CausesTold> => (await t.http.get(routes.causes).expect(200)).body as CausesTold;

describe('how it got dirty', () => {
  it('says nothing of a household without looks, and what stands above chance once there are enough', async () => {
    expect(await causes()).toEqual({ told: [], weighed: 0, tooFew: 0, looks: 0 });
    const { id } = await t.add('Corvane 35/2');
    const outing = { name: 'Shore', place: 'shore', itemIds: [id], met: ['sand'], frames: null, lensChanges: null, hours: null, note: '' };
    for (let i = 0; i < 9; i++) {
      // A month at home, seen clean; then a day at the shore, and grains.
      later(30);
      await t.look(id, { 'front-glass': {} });
      const day = today();
      await t.http
        .post(routes.outings)
        .send({ ...outing, from: day, to: day })
        .expect(201);
      later(2);
      await t.look(id, { 'front-glass': { grit: 2 } });
      later(1);
      await t.look(id, { 'front-glass': {} });
    }
    const { told, looks, weighed } = await causes();
    expect(looks).toBeGreaterThan(15);
    expect(weighed).toBeGreaterThan(2);
    expect(told.map(({ dirt }) => dirt)).toEqual(told.map(() => 'loose'));
    expect(told.map(({ cause }) => cause)).toEqual(
      expect.arrayContaining([{ is: 'out' }, { is: 'ground', ground: 'shore' }, { is: 'met', met: 'sand' }]),
    );
    expect(told[0]).toMatchObject({ after: { found: 9, looks: 9 }, else: { found: 0 }, high: null });
  });

  it('forgets an outing that is taken away, and counts a thing that is gone', async () => {
    const before = await causes();
    const outings = (await t.http.get(routes.outings).expect(200)).body as { id: string }[];
    for (const { id } of outings) await t.http.delete(routes.outing(id)).expect(204);
    const after = await causes();
    expect(after.told).toEqual([]);
    expect(after.looks).toBe(before.looks);
  });
});
