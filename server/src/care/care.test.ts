import { routes, type BenchUses, type Cleaning, type ItemPage, type RungsAtTheBench, type Today } from '@bright-keeper/contract';
import { care, record, schedule, supplies } from '@bright-keeper/core';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());
afterEach(() => void vi.restoreAllMocks());

const save = (c: Cleaning, events: care.BenchEvent[], version = c.version) => t.http.put(routes.cleaning(c.id)).send({ version, events });

const dirtyLens = async (name: string): Promise<Cleaning> => {
  const { id } = await t.add(name);
  await t.look(id, { 'front-glass': { fingerprint: 3, 'fine-scratch': 2 }, 'rear-glass': { dust: 2 } });
  return t.startCleaning(id);
};

describe('a plan over the API', () => {
  it('is the engine’s own', async () => {
    const request: care.PlanRequest = {
      item: { kind: 'lens', traits: {} },
      place: 'home',
      findings: [{ surface: 'front-glass', soil: 'dust', severity: 2 }],
    };
    const { body } = await t.http.post(routes.plans).send(request).expect(200);
    expect(body).toEqual(JSON.parse(JSON.stringify(care.planCleaning(request))));
  });

  it.each([
    ['a surface the thing does not have', { findings: [{ surface: 'sensor-cover', soil: 'dust', severity: 2 }] }, 'findings.0.surface'],
    ['an unknown soil', { findings: [{ surface: 'front-glass', soil: 'jam', severity: 2 }] }, 'findings.0.soil'],
    ['a severity beyond heavy', { findings: [{ surface: 'front-glass', soil: 'dust', severity: 5 }] }, 'findings.0.severity'],
    ['an unknown school', { schools: { solvent: 'spit' } }, 'schools.solvent'],
    ['an unknown place', { place: 'moon' }, 'place'],
  ])('refuses %s and names the field', async (_, change, field) => {
    const { body } = await t.http
      .post(routes.plans)
      .send({ item: { kind: 'lens', traits: {} }, place: 'home', findings: [], ...change })
      .expect(400);
    expect(Object.keys(body.fields)).toContain(field);
  });
});

describe('a cleaning', () => {
  it('follows the plan for what was last seen', async () => {
    const c = await dirtyLens('Planned');
    expect(new Set(c.plan.steps.map((s) => s.surface))).toEqual(new Set(['front-glass', 'rear-glass']));
    expect(c.request.findings).toContainEqual({ surface: 'front-glass', soil: 'fingerprint', severity: 3 });
  });

  it('stands where it stood after every tap', async () => {
    const c = await dirtyLens('Resumed');
    const events: care.BenchEvent[] = [{ type: 'ready' }, { type: 'done', step: c.plan.steps[0]!.id }];
    await save(c, events).expect(200);
    const again = (await t.http.get(routes.cleaning(c.id))).body as Cleaning;
    expect(care.benchState(again.plan, again.events)).toEqual(care.benchState(c.plan, events));
  });

  it('writes log, surfaces, touches and the next look when it ends', async () => {
    const c = await dirtyLens('Ended');
    const events = care.workThrough(c.plan, ['clean-enough']);
    await save(c, events).expect(200);
    t.clock.set(new Date('2026-03-10T10:20:00Z'));
    const page = (await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2 }).expect(200)).body as ItemPage;
    expect(page.surfaces).toEqual([
      expect.objectContaining({ surface: 'front-glass', verdict: 'leave', findings: [{ soil: 'fine-scratch', severity: 2 }] }),
      expect.objectContaining({ surface: 'rear-glass', verdict: 'leave', findings: [] }),
    ]);
    expect(page.contacts).toEqual(care.benchState(c.plan, events).contacts);
    expect(page.openCleaningId).toBeNull();
    expect(page.due.find((d) => d.code === 'light-test')).toMatchObject({
      // Front and rear were cleaned; nobody has shone a torch through it yet.
      window: { due: '2026-03-10' },
      facts: { because: [{ because: 'never-looked-at' }], sight: { asked: ['inner-glass'], seen: [] } },
    });
    const [entry] = (await t.http.get(routes.itemLog(page.id))).body.entries;
    expect(entry.data).toMatchObject({
      kind: 'clean',
      outcomes: { 'front-glass': 'clean-enough', 'rear-glass': 'clean-enough' },
      minutes: 20,
    });
  });

  it('hands over what did not come off, and looks again in two weeks', async () => {
    const c = await dirtyLens('Stubborn');
    await save(c, care.workThrough(c.plan, ['no-change'])).expect(200);
    const page = (await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2 }).expect(200)).body as ItemPage;
    expect(page.surfaces.find((s) => s.surface === 'front-glass')).toMatchObject({
      verdict: 'hand-over',
      because: { reason: 'did-not-come-off' },
    });
    expect(page.due.find((d) => d.code === 'follow-up-look')).toMatchObject({ window: { due: '2026-03-24' } });
  });

  it.each([
    ['film', 'clean', 'film-left'],
    ['deeper', 'hand-over', 'lies-deeper'],
    ['damage', 'leave', 'is-damage'],
  ] as const)('keeps what outlasted every rung as what it was read to be: %s', async (reading, verdict, reason) => {
    const c = await dirtyLens(`Read as ${reading}`);
    await save(c, care.workThrough(c.plan, ['no-change'], reading)).expect(200);
    const page = (await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2 }).expect(200)).body as ItemPage;
    expect(page.surfaces.find((s) => s.surface === 'front-glass')).toMatchObject({ verdict, because: { reason } });
  });

  it('keeps what it was asked for on surfaces that were not reached', async () => {
    const c = await dirtyLens('Stopped');
    await save(c, [{ type: 'ready' }, { type: 'stop' }]).expect(200);
    const page = (await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2 }).expect(200)).body as ItemPage;
    expect(page.surfaces.map((s) => s.verdict)).toEqual(['clean', 'clean']);
  });

  it('writes nothing at all when one of its writes fails', async () => {
    const c = await dirtyLens('Torn');
    await save(c, care.workThrough(c.plan, ['no-change'])).expect(200);
    const before = (await t.http.get(routes.item(c.itemId))).body;
    // The journal is the last thing written; its id is the last one asked for.
    const next = t.ids.next.bind(t.ids);
    let asked = 0;
    vi.spyOn(t.ids, 'next').mockImplementation(() => {
      asked += 1;
      if (asked > 2) throw new Error('the disk is full');
      return next();
    });
    vi.spyOn(console, 'error').mockImplementation(() => undefined);
    await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2 }).expect(500);
    vi.restoreAllMocks();
    expect((await t.http.get(routes.item(c.itemId))).body).toEqual(before);
    expect(((await t.http.get(routes.cleaning(c.id))).body as Cleaning).finishedAt).toBeNull();
    await t.http.post(routes.cleaningFinish(c.id)).send({ version: 2 }).expect(200);
  });

  it('is one at a time for a thing, needs something to clean, and is not changed once finished', async () => {
    const c = await dirtyLens('Single');
    expect((await t.http.post(routes.cleanings).send({ itemId: c.itemId, place: 'home' }).expect(409)).body).toMatchObject({
      code: 'cleaning-open',
      current: { id: c.id },
    });
    const clean = await t.add('Clean already');
    expect((await t.http.post(routes.cleanings).send({ itemId: clean.id, place: 'home' }).expect(422)).body.code).toBe('nothing-to-clean');
    await t.http.post(routes.cleaningFinish(c.id)).send({ version: 1 }).expect(200);
    expect((await save(c, [], 2).expect(409)).body.code).toBe('cleaning-finished');
  });

  it('refuses a stale save and an event nobody knows', async () => {
    const c = await dirtyLens('Stale');
    await save(c, [{ type: 'ready' }]).expect(200);
    expect((await save(c, []).expect(409)).body).toMatchObject({ code: 'stale', current: { version: 2, events: [{ type: 'ready' }] } });
    await save(c, [{ type: 'scrub' } as never], 2).expect(400);
  });

  it('can be left while nothing was touched, and must be ended afterwards', async () => {
    const untouched = await dirtyLens('Untouched');
    await t.http.delete(routes.cleaning(untouched.id)).expect(204);
    const touched = await dirtyLens('Touched');
    await save(touched, care.workThrough(touched.plan, ['no-change'])).expect(200);
    expect((await t.http.delete(routes.cleaning(touched.id)).expect(409)).body.code).toBe('already-touched');
  });
});

describe('today', () => {
  it('ranks what needs the keeper by consequence and names what is open and due', async () => {
    const sick = await t.add('A sick lens');
    await t.look(sick.id, { 'inner-glass': { fungus: 2 } });
    const { duties } = (await t.http.get(routes.today).expect(200)).body as Today;
    expect(duties[0]).toMatchObject({ code: 'isolate', gravity: 'spreads', subject: { name: 'A sick lens' } });
    const gravities = duties.map((d) => schedule.gravityRank(d.gravity));
    expect(gravities).toEqual([...gravities].sort((a, b) => a - b));
    expect(duties.map((d) => d.facts)).toContainEqual(expect.objectContaining({ says: 'open-work', work: 'cleaning' }));
    const looks = duties.filter((d) => d.code === 'light-test').map((d) => d.subject.name);
    // Of many that came together the first four have their turn at once.
    expect(looks).toContain('Planned');
    expect(looks).not.toContain('A sick lens');
  });

  it('ticks off what is done by doing it, and nothing else', async () => {
    const item = await t.add('Exercised');
    const subject = { kind: 'thing', id: item.id };
    await t.http.post(routes.dutyDone).send({ code: 'exercise', subject }).expect(201);
    expect((await t.http.get(routes.itemLog(item.id))).body.entries[0].data).toEqual({ kind: 'care', task: 'exercise' });
    expect((await t.http.post(routes.dutyDone).send({ code: 'light-test', subject }).expect(409)).body.code).toBe('done-otherwise');
    expect((await t.http.post(routes.dutyDone).send({ code: 'home-care', subject }).expect(404)).body.code).toBe('duty-not-found');
  });
});

describe('settings', () => {
  it('refuse half the schools, a zone nobody knows, and a stale change', async () => {
    const settings = (await t.http.get(routes.settings)).body;
    expect(
      (
        await t.http
          .put(routes.settings)
          .send({ ...settings, schools: { solvent: 'alcohol' } })
          .expect(400)
      ).body.fields['schools.wipe'],
    ).toBeTruthy();
    expect(
      (
        await t.http
          .put(routes.settings)
          .send({ ...settings, timeZone: 'Saltmarch/Harbour' })
          .expect(400)
      ).body.fields.timeZone,
    ).toMatch(/not a time zone/);
    await t.http.put(routes.settings).send(settings).expect(200);
    expect((await t.http.put(routes.settings).send(settings).expect(409)).body.current.version).toBe(settings.version + 1);
  });
});

describe('what benches took', () => {
  it('is told once a cleaning is over, material by material, and leaves out tools', async () => {
    const uses = async () => ((await t.http.get(routes.benchUses).expect(200)).body as BenchUses).uses;
    const before = await uses();
    const item = await t.add('Used on');
    await t.look(item.id, { 'rear-glass': { smear: 3 } });
    const c = await t.startCleaning(item.id);
    const events = care.workThrough(c.plan, ['no-change', 'no-change', 'clean-enough']);
    const saved = (await save(c, events).expect(200)).body as Cleaning;
    expect(await uses()).toEqual(before);
    await t.http.post(routes.cleaningFinish(c.id)).send({ version: saved.version, acceptShort: true }).expect(200);
    const after = await uses();
    expect(after).toHaveLength(before.length + 1);
    const taken = supplies.consumptionOf(c.plan, events).filter((t) => !supplies.isTool(t.id));
    expect(taken.length).toBeGreaterThan(0);
    const fresh = after.find((use) => use.itemId === item.id)!;
    const contacts = Object.values(care.benchState(c.plan, events).contacts).reduce((sum, touches) => sum + touches, 0);
    // The clock stood still: it counts as its plan.
    expect([fresh.minutes, fresh.touches]).toEqual([c.plan.totals.minutes, contacts]);
    const alike = (all: typeof before) => all.filter((u) => JSON.stringify(u.takings) === JSON.stringify(taken)).length;
    expect(alike(after)).toBe(alike(before) + 1);
  });
});

describe('what the bench knows of its rungs', () => {
  const rungs = async () => ((await t.http.get(routes.rungsAtTheBench).expect(200)).body as RungsAtTheBench).rungs;

  it('is what came of each that was answered, once its cleaning is over, and nothing before', async () => {
    const before = await rungs();
    const item = await t.add('Counted lens');
    await t.look(item.id, { 'rear-glass': { smear: 3 } });
    const c = await t.startCleaning(item.id);
    const events = care.workThrough(c.plan, ['no-change', 'no-change', 'clean-enough']);
    const saved = (await save(c, events).expect(200)).body as Cleaning;
    expect(await rungs()).toEqual(before);
    await t.http.post(routes.cleaningFinish(c.id)).send({ version: saved.version }).expect(200);
    const tries = (all: typeof before) => all.reduce((sum, r) => sum + r.successes + r.failures, 0);
    const after = await rungs();
    const own = record.triesOf({ plan: c.plan, findings: c.request.findings, events });
    expect(own.length).toBeGreaterThan(0);
    expect(tries(after) - tries(before)).toBe(own.length);
    for (const { mean, low, high } of after) expect(low < mean && mean < high).toBe(true);
    // Asked again, nothing is counted twice.
    expect(await rungs()).toEqual(after);
  });
});
