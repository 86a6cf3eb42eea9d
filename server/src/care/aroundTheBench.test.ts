import { routes, type Cleaning, type ItemPage, type Log, type Settings, type Teardown } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => void (t = await testApp()));
afterAll(() => t.app.close());

const page = async (id: string) => (await t.http.get(routes.item(id)).expect(200)).body as ItemPage;
const homeCare = async (id: string) => (await page(id)).due.find((d) => d.code === 'home-care');
const becauseOf = async (id: string) => {
  const facts = (await homeCare(id))?.facts;
  return facts?.says === 'rhythm' ? facts.because : null;
};
const settings = async () => (await t.http.get(routes.settings).expect(200)).body as Settings;

describe('in the field', () => {
  it('what happened is logged, and what waits for home becomes a task that a look ticks off', async () => {
    const { id } = await t.add('On the shore');
    await t.http
      .post(routes.happenings)
      .send({ happening: 'spray', itemIds: [id] })
      .expect(204);
    await t.http
      .post(routes.happenings)
      .send({ happening: 'print', itemIds: [id] })
      .expect(204);
    const task = await homeCare(id);
    expect(task).toMatchObject({ gravity: 'harms', window: { due: '2026-03-10', latest: '2026-03-10' } });
    expect(await becauseOf(id)).toEqual([
      { because: 'happened-outdoors', happening: 'spray' },
      { because: 'happened-outdoors', happening: 'print' },
    ]);
    const log = (await t.http.get(routes.itemLog(id)).expect(200)).body as Log;
    expect(log.entries.filter((e) => e.data.kind === 'outdoors')).toHaveLength(2);
    // A look at the front alone has not seen where the spray met it.
    expect((await t.look(id, { 'front-glass': {} })).due.some((d) => d.code === 'home-care')).toBe(true);
    const outside = await t.look(id, { 'hood-outside': {}, barrel: {}, 'focus-ring': {} });
    expect(outside.due.some((d) => d.code === 'home-care')).toBe(false);
  });

  it('refuses what is not known, and logs nothing of it', async () => {
    const { id } = await t.add('Known');
    await t.http
      .post(routes.happenings)
      .send({ happening: 'comet', itemIds: [id] })
      .expect(400);
    await t.http
      .post(routes.happenings)
      .send({ happening: 'rain', itemIds: [id, '018f0000-0000-7000-8000-000000000000'] })
      .expect(404);
    expect(await homeCare(id)).toBeUndefined();
  });

  it('a plan that leaves things for home keeps them as a task, from the plan or at the end of the clean', async () => {
    const { id } = await t.add('Sandy');
    await t.look(id, { 'front-glass': { grit: 2 }, 'rear-glass': { dust: 3 } });
    const conditions = { blowingSand: true };
    await t.http.post(routes.waitForHome).send({ itemId: id, conditions }).expect(204);
    expect(await becauseOf(id)).toEqual([{ because: 'left-in-the-field', surfaces: expect.arrayContaining(['rear-glass']) }]);

    const { id: other } = await t.add('Sandy too');
    await t.look(other, { 'front-glass': { grit: 2, fingerprint: 3 } });
    const started = (await t.http.post(routes.cleanings).send({ itemId: other, place: 'field' }).expect(201)).body as Cleaning;
    await t.http.post(routes.cleaningFinish(started.id)).send({ version: started.version }).expect(200);
    expect(await becauseOf(other)).toEqual([{ because: 'left-in-the-field', surfaces: ['front-glass'] }]);
    const clean = await t.add('Clean');
    await t.http.post(routes.waitForHome).send({ itemId: clean.id }).expect(422);
  });
});

describe('a plan whose drawer or schools have changed', () => {
  it('is marked stale and can be remade, keeping what was done', async () => {
    const { id } = await t.add('Stale');
    await t.look(id, { 'front-glass': { fingerprint: 3 }, 'rear-glass': { fingerprint: 3 } });
    const started = await t.startCleaning(id);
    expect(started.staleBecause).toEqual([]);
    const front = started.plan.steps.filter((s) => s.surface === 'front-glass').map((s) => s.id);
    const events: care.BenchEvent[] = [
      { type: 'ready' },
      ...front.slice(0, 2).flatMap((step): care.BenchEvent[] => [
        { type: 'done', step },
        { type: 'answer', step, answer: step === front[1] ? 'clean-enough' : 'no-change' },
      ]),
    ];
    await t.http.put(routes.cleaning(started.id)).send({ version: started.version, events }).expect(200);
    const before = await settings();
    await t.http
      .put(routes.settings)
      .send({ ...before, schools: { ...before.schools, solvent: 'alcohol-free' } })
      .expect(200);

    const stale = (await t.http.get(routes.cleaning(started.id)).expect(200)).body as Cleaning;
    expect(stale.staleBecause).toEqual(['schools']);
    const remade = (await t.http.post(routes.cleaningRemake(started.id)).send({ version: stale.version }).expect(200)).body as Cleaning;
    expect(remade.staleBecause).toEqual([]);
    const fluid = (surface: care.Surface) =>
      remade.plan.steps.find((s) => s.surface === surface && s.method === 'damp-wipe')!.uses[0]!.material;
    expect([fluid('front-glass'), fluid('rear-glass')]).toEqual(['lens-fluid', 'alcohol-free-fluid']);
    expect(care.benchState(remade.plan, remade.events).outcomes).toEqual({ 'front-glass': 'clean-enough' });
    await t.http.post(routes.cleaningRemake(started.id)).send({ version: started.version }).expect(409);
  });
});

describe('the dry run of a sensor clean', () => {
  it('is asked for once, and remembered in the settings', async () => {
    const { id } = await t.add('Body', { kind: 'mirrorless-body' });
    await t.look(id, { 'sensor-cover': { grease: 3 } });
    const first = await t.startCleaning(id);
    const swab = first.plan.steps.find((s) => s.method === 'sensor-swab')!;
    expect(swab.sensor!.rehearseFirst).toBe(true);
    const [blow] = first.plan.steps as [care.Step];
    const events: care.BenchEvent[] = [
      { type: 'ready' },
      { type: 'done', step: blow.id },
      { type: 'answer', step: blow.id, answer: 'no-change' },
      { type: 'rehearsed', step: swab.id },
    ];
    await t.http.put(routes.cleaning(first.id)).send({ version: first.version, events }).expect(200);
    expect((await settings()).sensorRehearsedOn).toBe('2026-03-10');
    const { id: second } = await t.add('Second body', { kind: 'mirrorless-body' });
    await t.look(second, { 'sensor-cover': { grease: 3 } });
    expect((await t.startCleaning(second)).plan.steps.find((s) => s.sensor)!.sensor!.rehearseFirst).toBe(false);
  });
});

describe('the touch budget', () => {
  it('has a gentle word for a surface that was cleaned for no more than a trace', async () => {
    const before = await settings();
    await t.http
      .put(routes.settings)
      .send({ ...before, schools: { ...before.schools, habit: 'after-every-outing' } })
      .expect(200);
    const { id } = await t.add('Often cleaned');
    await t.look(id, { 'front-glass': { fingerprint: 1 } });
    const c = await t.startCleaning(id);
    const steps = c.plan.steps.map((s) => s.id);
    const events: care.BenchEvent[] = [
      { type: 'ready' },
      ...steps.flatMap((step): care.BenchEvent[] => [
        { type: 'done', step },
        { type: 'answer', step, answer: 'no-change' },
      ]),
      { type: 'reading', surface: 'front-glass', reading: 'unsure' },
    ];
    const saved = (await t.http.put(routes.cleaning(c.id)).send({ version: c.version, events }).expect(200)).body as Cleaning;
    const after = (await t.http.post(routes.cleaningFinish(c.id)).send({ version: saved.version }).expect(200)).body as ItemPage;
    expect(after.gentleWords['front-glass']).toEqual({ word: 'for-no-more-than-a-trace', times: 1 });
  });
});

describe('a teardown record', () => {
  const manual = { electronicContacts: false };
  const STAGE = '018f0000-0000-7000-8000-0000000000aa';
  const stage = {
    id: STAGE,
    what: 'Front ring',
    parts: 'Ring, first element',
    screws: '',
    turns: 4,
    mark: 'Notch at 12',
    hasPhoto: true,
    closed: false,
  };
  const PNG = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAQAAAC1HAwCAAAAC0lEQVR42mNk+A8AAQUBAScY42YAAAAASUVORK5CYII=', 'base64');
  const put = (id: string, bytes: Buffer) => t.http.put(routes.teardownPhoto(id, STAGE)).type('image/jpeg').send(bytes);
  const photoOf = (id: string) => t.http.get(routes.teardownPhoto(id, STAGE)).redirects(1).responseType('blob');

  it('keeps stages and photographs, ends only when all is back, and is logged', async () => {
    const { id } = await t.add('Old fifty', { traits: manual });
    const started = (await t.http.post(routes.teardowns).send({ itemId: id, depth: 'front-group' }).expect(201)).body as Teardown;
    expect((await page(id)).openTeardownId).toBe(started.id);
    await t.http.post(routes.teardowns).send({ itemId: id, depth: 'front-group' }).expect(409);
    expect((await put(started.id, PNG).expect(404)).body.code).toBe('stage-not-found');
    const saved = (
      await t.http
        .put(routes.teardown(started.id))
        .send({ version: 1, phase: 'closing', stages: [stage] })
        .expect(200)
    ).body as Teardown;
    await put(started.id, PNG).expect(204);
    const photo = await photoOf(started.id).expect(200);
    expect(photo.headers['content-type']).toBe('image/png');
    expect((await sharp(photo.body as Buffer).metadata()).width).toBe(1);
    const early = await t.http.post(routes.teardownFinish(started.id)).send({ version: saved.version }).expect(409);
    expect(early.body.detail).toMatch(/Front ring/);
    await t.http
      .put(routes.teardown(started.id))
      .send({ version: saved.version, phase: 'closing', stages: [{ ...stage, closed: true }] })
      .expect(200);
    await t.http
      .post(routes.teardownFinish(started.id))
      .send({ version: saved.version + 1 })
      .expect(200);
    const log = (await t.http.get(routes.itemLog(id)).expect(200)).body as Log;
    expect(log.entries[0]!.data).toEqual({ kind: 'opened', depth: 'front-group', stages: 1 });
  });

  it('keeps a photograph upright and without the place where it was taken, and nothing that is none', async () => {
    const { id } = await t.add('Old fifty', { traits: manual });
    const started = (await t.http.post(routes.teardowns).send({ itemId: id, depth: 'front-group' }).expect(201)).body as Teardown;
    await t.http
      .put(routes.teardown(started.id))
      .send({ version: 1, phase: 'opening', stages: [stage] })
      .expect(200);
    const lying = sharp({ create: { width: 40, height: 20, channels: 3, background: 'grey' } })
      .withExif({ IFD0: { Orientation: '6' }, IFD3: { GPSLatitude: '38/1 42/1 0/1', GPSLatitudeRef: 'N' } })
      .withMetadata({ orientation: 6 });
    const taken = await lying.jpeg().toBuffer();
    expect((await sharp(taken).metadata()).exif).toBeDefined();
    await put(started.id, taken).expect(204);
    const kept = await sharp((await photoOf(started.id)).body as Buffer).metadata();
    expect([kept.format, kept.width, kept.height, kept.exif]).toEqual(['jpeg', 20, 40, undefined]);
    for (const bytes of [
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'),
      Buffer.from('GIF89a'),
      taken.subarray(0, 200),
      Buffer.from('text'),
    ])
      expect((await put(started.id, bytes).expect(422)).body.code).toBe('picture-unreadable');
  });

  it('loses a photograph with its stage, and with the record, and keeps the one that came last', async () => {
    const { id } = await t.add('Old fifty', { traits: manual });
    const started = (await t.http.post(routes.teardowns).send({ itemId: id, depth: 'front-group' }).expect(201)).body as Teardown;
    const save = (version: number, stages: object[]) =>
      t.http.put(routes.teardown(started.id)).send({ version, phase: 'opening', stages }).expect(200);
    const blobOf = async () => (await t.http.get(routes.teardownPhoto(started.id, STAGE)).expect(302)).headers.location!;
    const square = (background: string) =>
      sharp({ create: { width: 4, height: 4, channels: 3, background } })
        .png()
        .toBuffer();
    const [white, grey] = [await square('white'), await square('grey')];
    await save(1, [stage]);
    await put(started.id, white).expect(204);
    const first = await blobOf();
    await put(started.id, grey).expect(204);
    await t.http.get(first).expect(404);
    const second = await blobOf();
    await save(2, []);
    await t.http.get(routes.teardownPhoto(started.id, STAGE)).expect(404);
    await t.http.get(second).expect(404);
    await save(3, [stage]);
    await put(started.id, white).expect(204);
    await t.http.delete(routes.teardown(started.id)).expect(204);
    await t.http.get(first).expect(404);
  });

  it('is refused for a body and for radioactive glass, with the reason', async () => {
    const body = await t.add('Body with flash', { kind: 'slr-body' });
    const refused = await t.http.post(routes.teardowns).send({ itemId: body.id, depth: 'deeper' }).expect(422);
    expect(refused.body.detail).toMatch(/charge/);
    const hot = await t.add('Hot glass', { traits: { ...manual, radioactiveGlass: true } });
    await t.http.post(routes.teardowns).send({ itemId: hot.id, depth: 'front-group' }).expect(422);
  });
});
