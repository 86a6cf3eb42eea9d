import { type CarriedCleaning, type Cleaning, type LogEntry, routes } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

let count = 0;
const freshId = () => `00000000-0000-4000-9000-${String((count += 1)).padStart(12, '0')}`;
const FINDINGS: care.Finding[] = [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }];
const request = (more: Partial<care.PlanRequest> = {}): care.PlanRequest => ({
  item: { kind: 'lens', traits: {} },
  findings: FINDINGS,
  place: 'field',
  schools: care.DEFAULT_SCHOOLS,
  sensorRehearsed: false,
  ...more,
});

/** Every step done, every look clean. */
function worked(plan: care.CleaningPlan): care.BenchEvent[] {
  const events: care.BenchEvent[] = [];
  for (let state = care.benchState(plan, events); state.phase !== 'close'; state = care.benchState(plan, events)) {
    const step = state.step?.id ?? '';
    if (state.phase === 'prepare') events.push({ type: 'ready' });
    else if (state.phase === 'look' || state.phase === 'round-look') events.push({ type: 'answer', step, answer: 'clean-enough' });
    else events.push({ type: 'done', step });
  }
  return events;
}
const EVENTS = worked(care.planCleaning(request()));

const carry = (id: string, cleaning: Partial<CarriedCleaning> & { itemId: string }) =>
  t.http
    .put(routes.cleaningCarried(id))
    .send({ startedAgoS: 7200, endedAgoS: null, request: request(), schools: {}, events: EVENTS, base: null, ...cleaning });
const marked = async (name: string) => {
  const item = await t.add(name);
  await t.look(item.id, { 'front-glass': { fingerprint: 3 } });
  return item;
};
const page = async (id: string) => (await t.http.get(routes.item(id)).expect(200)).body;
const cleans = async (id: string) =>
  (await t.http.get(routes.itemLog(id)).expect(200)).body.entries.filter((e: LogEntry) => e.data.kind === 'clean');
const later = (s: number) => t.clock.set(new Date(t.clock.now().getTime() + s * 1000));

describe('a cleaning that was begun and ended out of reach', () => {
  it('is one of when it was, with the plan the device had, however often it is sent', async () => {
    const item = await marked('Wiped on a hill');
    later(3600);
    const id = freshId();
    for (let i = 0; i < 3; i += 1) await carry(id, { itemId: item.id, startedAgoS: 1200, endedAgoS: 600 }).expect(200);
    const at = new Date(t.clock.now().getTime() - 600_000).toISOString();
    const [entry, ...more] = await cleans(item.id);
    expect(more).toEqual([]);
    expect(entry).toMatchObject({ at, data: { place: 'field', minutes: 10, outcomes: { 'front-glass': 'clean-enough' } } });
    const now = await page(item.id);
    expect(now.surfaces).toMatchObject([{ surface: 'front-glass', findings: [], knownSince: at }]);
    expect(now.contacts).toEqual(care.benchState(care.planCleaning(request()), EVENTS).contacts);
    expect((await t.http.get(routes.cleaning(id))).body.plan.steps).toEqual(care.planCleaning(request()).steps);
  });

  it('lets stand what was seen since', async () => {
    const item = await marked('Looked at since');
    later(3600);
    await t.look(item.id, { 'front-glass': { fingerprint: 4 } });
    await carry(freshId(), { itemId: item.id, startedAgoS: 1200, endedAgoS: 600 }).expect(200);
    expect((await page(item.id)).surfaces).toMatchObject([{ findings: [{ soil: 'fingerprint', severity: 4 }] }]);
    expect(await cleans(item.id)).toHaveLength(1);
  });

  it('does not stop for one that is open at home, which stays', async () => {
    const item = await marked('Open at home');
    const open = await t.startCleaning(item.id);
    await carry(freshId(), { itemId: item.id, endedAgoS: 60 }).expect(200);
    expect((await page(item.id)).openCleaningId).toBe(open.id);
  });

  it('is refused of a thing of another kind, of what is nothing to clean, of what is not there', async () => {
    const item = await marked('Refused');
    const camera = { kind: 'mirrorless-body' as const, traits: {} };
    const { body } = await carry(freshId(), {
      itemId: item.id,
      request: request({ item: camera, findings: [{ ...FINDINGS[0]!, surface: 'sensor-cover', soil: 'dust' }] }),
    }).expect(400);
    expect(body.fields['request.item.kind']).toBe('This thing is a lens.');
    expect((await carry(freshId(), { itemId: item.id, request: request({ findings: [] }) }).expect(422)).body.code).toBe(
      'nothing-to-clean',
    );
    await carry(freshId(), { itemId: freshId() }).expect(404);
    await carry(freshId(), { itemId: item.id, request: { ...request(), place: 'moon' as never } }).expect(400);
    const id = freshId();
    await carry(id, { itemId: item.id, endedAgoS: 1 }).expect(200);
    await carry(id, { itemId: (await marked('Another')).id, endedAgoS: 1 }).expect(404);
  });
});

describe('a bench that goes on in two places', () => {
  const open = async (name: string): Promise<{ itemId: string; cleaning: Cleaning; all: care.BenchEvent[] }> => {
    const item = await marked(name);
    const cleaning = await t.startCleaning(item.id);
    return { itemId: item.id, cleaning, all: worked(cleaning.plan) };
  };
  const save = (cleaning: Cleaning, events: care.BenchEvent[]) =>
    t.http.put(routes.cleaning(cleaning.id)).send({ version: cleaning.version, events }).expect(200);

  it('is what the one made of it who went on, and may be ended by them', async () => {
    const { itemId, cleaning, all } = await open('One went on');
    await save(cleaning, all.slice(0, 2));
    await carry(cleaning.id, { itemId, base: all.slice(0, 1), events: all, endedAgoS: 0 }).expect(200);
    expect(await cleans(itemId)).toHaveLength(1);
    expect((await page(itemId)).openCleaningId).toBeNull();
  });

  it('is a person’s choice where both went on differently; nothing is written until then', async () => {
    const { itemId, cleaning, all } = await open('Both went on');
    const stopped: care.BenchEvent[] = [all[0]!, { type: 'stop' }];
    await save(cleaning, stopped);
    const refused = (await carry(cleaning.id, { itemId, base: all.slice(0, 1), events: all, endedAgoS: 0 }).expect(409)).body;
    expect(refused).toMatchObject({ code: 'cleaning-told-twice', current: { events: stopped } });
    expect(await cleans(itemId)).toEqual([]);
    await carry(cleaning.id, { itemId, base: stopped, events: all, endedAgoS: 0 }).expect(200);
    expect(await cleans(itemId)).toHaveLength(1);
  });

  it('that two keepers end is one clean where they did the same, and told where they did not', async () => {
    const { itemId, cleaning, all } = await open('Two ends');
    await save(cleaning, all);
    await t.http.post(routes.cleaningFinish(cleaning.id)).send({ version: 2 }).expect(200);
    await carry(cleaning.id, { itemId, base: all.slice(0, 1), events: all, endedAgoS: 5 }).expect(200);
    const otherwise: care.BenchEvent[] = [all[0]!, { type: 'leave-surface', surface: 'front-glass' }];
    const refused = (await carry(cleaning.id, { itemId, base: all.slice(0, 1), events: otherwise, endedAgoS: 5 }).expect(409)).body;
    expect(refused.code).toBe('cleaning-finished');
    expect(await cleans(itemId)).toHaveLength(1);
  });

  it('cannot begin beside another open one, unless nothing was done in that', async () => {
    const { itemId, cleaning, all } = await open('Two benches');
    await save(cleaning, all.slice(0, 1));
    const refused = await carry(freshId(), { itemId }).expect(409);
    expect(refused.body).toMatchObject({ code: 'cleaning-open', current: { id: cleaning.id } });
    const untouched = await open('An answer that never came');
    const id = freshId();
    await carry(id, { itemId: untouched.itemId }).expect(200);
    expect((await page(untouched.itemId)).openCleaningId).toBe(id);
  });
});

describe('what happened outdoors, told later', () => {
  it('is noted once with each thing, at its time, however often it is told', async () => {
    const [one, two] = [await t.add('At the shore'), await t.add('At the shore, too')];
    const told = { happening: 'spray', itemIds: [one.id, two.id], later: { id: freshId(), agoS: 7200 } };
    for (let i = 0; i < 3; i += 1) await t.http.post(routes.happenings).send(told).expect(204);
    const at = new Date(t.clock.now().getTime() - 7_200_000).toISOString();
    for (const { id } of [one, two]) {
      const entries = (await t.http.get(routes.itemLog(id))).body.entries.filter((e: LogEntry) => e.data.kind === 'outdoors');
      expect(entries).toMatchObject([{ at, data: { happening: 'spray' } }]);
    }
  });

  it('and what waits for home likewise', async () => {
    const item = await t.add('Waits');
    await t.look(item.id, { 'front-glass': { fingerprint: 3 } });
    const told = { itemId: item.id, conditions: { blowingSand: true }, later: { id: freshId(), agoS: 60 } };
    for (let i = 0; i < 2; i += 1) await t.http.post(routes.waitForHome).send(told).expect(204);
    const entries = (await t.http.get(routes.itemLog(item.id))).body.entries.filter((e: LogEntry) => e.data.kind === 'left-for-home');
    expect(entries).toHaveLength(1);
  });
});
