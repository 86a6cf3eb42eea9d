import { MS_PER_DAY } from '@bright-keeper/core';
import { routes, type Device, type DeviceToken, type Trail } from '@bright-keeper/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

describe('who changed what', () => {
  let app: TestApp;
  beforeAll(async () => {
    app = await testApp();
  });
  afterAll(() => app.app.close());

  const trail = async (query = ''): Promise<Trail> => (await app.http.get(routes.trail + query).expect(200)).body as Trail;
  const said = ({ entries }: Trail) =>
    entries.map((e) => `${e.who.is === 'device' ? e.who.name : 'keeper'}: ${e.subject} ${e.act} ${e.name ?? ''}`.trim());

  it('names what was done, to what, newest first; a look that is sent after every tap is one line', async () => {
    app.clock.set(new Date('2026-03-11T09:00:00Z'));
    const lens = await app.add('Fifty');
    await app.look(lens.id, { 'front-glass': { dust: 1 } });
    app.clock.set(new Date('2026-03-11T09:05:00Z'));
    await app.look(lens.id, { 'front-glass': { dust: 1 } });
    expect(
      said(await trail())
        .slice(0, 4)
        .sort(),
    ).toEqual(
      ['keeper: look begun Fifty', 'keeper: look changed Fifty', 'keeper: look finished Fifty', 'keeper: thing added Fifty'].sort(),
    );
    const finished = (await trail()).entries.find((e) => e.act === 'finished')!;
    expect(finished).toMatchObject({ times: 2, firstAt: '2026-03-11T09:00:00.000Z', at: '2026-03-11T09:05:00.000Z' });
    // On another day it is another line.
    app.clock.set(new Date('2026-03-12T09:00:00Z'));
    await app.look(lens.id, { 'rear-glass': { dust: 1 } });
    expect(said(await trail()).filter((s) => s === 'keeper: look finished Fifty')).toHaveLength(2);
  });

  it('says nothing of what was refused, or only asked', async () => {
    const before = await trail();
    await app.http.post(routes.gear).send({ name: '' }).expect(400);
    await app.http.post(routes.plans).send({ itemId: '01a20000-0000-7000-8000-0000000000aa' });
    expect(await trail()).toEqual(before);
  });

  it('tells what a device did from what the keeper did, and when its key was last used', async () => {
    const probe = { name: 'Probe', source: 'push', outdoor: false, placeId: null, everyMinutes: 10, note: '' };
    const { id } = (await app.http.post(routes.devices).send(probe).expect(201)).body as Device;
    const device = async () => (await app.http.get(routes.device(id)).expect(200)).body as Device;
    const { token } = (await app.http.post(routes.deviceToken(id)).expect(201)).body as DeviceToken;
    expect((await device()).keyUsedAt).toBeNull();
    const push = async (at: string) => {
      app.clock.set(new Date(at));
      const bt = Date.parse(at) / 1000;
      const pack = [{ bt, n: 't', u: 'Cel', v: 20 }, { n: 'h', u: '%RH', v: 50 }]; // prettier-ignore
      await app.http.post(routes.pushReadings).set('authorization', `Bearer ${token}`).send(pack).expect(200);
    };
    await push('2026-03-13T10:00:00.000Z');
    await push('2026-03-13T10:10:00.000Z');
    expect((await device()).keyUsedAt).toBe('2026-03-13T10:10:00.000Z');
    const { entries } = await trail('?who=device');
    expect(entries).toEqual([
      expect.objectContaining({ who: { is: 'device', id, name: 'Probe' }, act: 'pushed', subject: 'readings', times: 2 }),
    ]);
    expect(
      said(await trail('?who=keeper'))
        .slice(0, 2)
        .sort(),
    ).toEqual(['keeper: hygrometer added Probe', 'keeper: key made Probe']);
  });

  it('goes page by page without a gap, and refuses a mark that is none of ours', async () => {
    const whole = await trail();
    const pages: Trail['entries'] = [];
    for (let cursor: string | null = ''; cursor !== null;) {
      const page: Trail = await trail(`?limit=3${cursor && `&cursor=${cursor}`}`);
      pages.push(...page.entries);
      cursor = page.nextCursor;
    }
    expect(pages).toEqual(whole.entries);
    await app.http.get(`${routes.trail}?cursor=nonsense`).expect(400);
  });

  it('forgets what is older than 400 days', async () => {
    app.clock.set(new Date(Date.parse('2026-03-11T12:00:00Z') + 400 * MS_PER_DAY));
    await app.add('Later');
    expect(said(await trail('?limit=500'))).not.toContain('keeper: thing added Fifty');
    expect(said(await trail('?limit=500'))[0]).toBe('keeper: thing added Later');
  });
});
