import {
  routes,
  type BenchDays,
  type Dismissed,
  type GlareTest,
  type Item,
  type SensorFrame,
  type SensorFrameInput,
  type SensorFrames,
} from '@bright-keeper/contract';
import { care, type schedule } from '@bright-keeper/core';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

const NOWHERE = '01a20000-0000-7000-8000-0000000000aa';
const speck = (x: number, y: number, more = {}) =>
  ({ x, y, depth: 0.12, fwhmPx: 20, diameterPx: 27, kind: 'dust', confidence: 0.9, by: 'found', ...more }) as const;
const NINE = Array.from({ length: 9 }, (_, i) => speck(0.1 + 0.3 * (i % 3), 0.15 + 0.3 * Math.floor(i / 3), { fwhmPx: 14 + 3 * i }));

describe('the frames of a body', () => {
  let t: TestApp;
  let body: Item;
  beforeAll(async () => {
    t = await testApp();
    body = await t.add('A body', { kind: 'mirrorless-body' });
  });
  afterAll(() => t.app.close());

  const input = (takenAt: string, spots: readonly object[], more: Partial<SensorFrameInput> = {}) => ({
    itemId: body.id,
    takenAt,
    fNumber: 16,
    workingAt: 16,
    iso: 100,
    exposureS: 0.5,
    focalMm: 50,
    body: null,
    lens: null,
    fileName: 'frame.jpg',
    width: 6000,
    height: 4000,
    spots,
    noise: 0.01,
    unfit: [],
    tries: [],
    note: '',
    ...more,
  });
  const add = async (takenAt: string, spots: readonly object[], more: Partial<SensorFrameInput> = {}): Promise<SensorFrame> =>
    (
      await t.http
        .post(routes.sensorFrames)
        .send(input(takenAt, spots, more))
        .expect(201)
    ).body as SensorFrame;
  const frames = async (): Promise<SensorFrames> =>
    (await t.http.get(routes.sensorFrames).query({ itemId: body.id }).expect(200)).body as SensorFrames;
  const duties = async (): Promise<schedule.Duty[]> =>
    ((await t.http.get(routes.agenda).expect(200)).body as schedule.Agenda).duties.filter((d) => d.code === 'sensor-clean');

  it('asks for nothing while there is none, then for what the last one shows', async () => {
    expect(await duties()).toEqual([]);
    await add('2026-03-01T10:00:00.000Z', NINE);
    expect((await duties())[0]).toMatchObject({ subject: { id: body.id }, facts: { says: 'sensor', advice: 'blow', shows: 9 } });
    await add('2026-03-02T10:00:00.000Z', NINE.slice(7), { tries: ['blow'] });
    expect((await duties())[0]!.facts).toMatchObject({ advice: 'swab', shows: 2 });
    const { frames: all } = await frames();
    expect(all.map((f) => [f.spots.length, f.tries])).toEqual([[9, []], [2, ['blow']]]); // prettier-ignore
  });

  it('is put on a bench day, like any other work', async () => {
    const { plan } = (await t.http.get(routes.benchDays).expect(200)).body as BenchDays;
    expect(plan.days.flatMap((d) => d.tasks).map((task) => task.ruleId)).toContain('sensor-clean');
  });

  it('is read as the frame the rhythm asks for', async () => {
    const { duties: all } = (await t.http.get(routes.agenda).expect(200)).body as schedule.Agenda;
    const next = all.find((d) => d.code === 'sensor-frame' && d.subject.id === body.id)!;
    expect(next.window.due > '2026-05-01').toBe(true);
  });

  it('what is dismissed as no dust asks for nothing any more; taken back, it does', async () => {
    const [a, b] = NINE.slice(7) as [typeof NINE[0], typeof NINE[0]]; // prettier-ignore
    const dismissed: Dismissed[] = [];
    for (const { x, y } of [a, b])
      dismissed.push((await t.http.post(routes.dismissedSpots).send({ itemId: body.id, x, y }).expect(201)).body as Dismissed);
    expect(await duties()).toEqual([]);
    expect((await frames()).dismissed.map((d) => [d.x, d.y])).toEqual([[a.x, a.y], [b.x, b.y]]); // prettier-ignore
    await t.http.delete(routes.dismissedSpot(dismissed[0]!.id)).expect(204);
    expect((await duties())[0]!.facts).toMatchObject({ shows: 1 });
    await t.http.delete(routes.dismissedSpot(dismissed[0]!.id)).expect(404);
    await t.http.delete(routes.dismissedSpot(dismissed[1]!.id)).expect(204);
  });

  it('is corrected by hand, and a stale correction loses nothing', async () => {
    const { frames: all } = await frames();
    const last = all.at(-1)!;
    const change = {
      version: last.version,
      workingAt: 8,
      spots: [...last.spots, speck(0.5, 0.5, { by: 'hand' })],
      tries: last.tries,
      note: 'one by eye',
    };
    const corrected = (await t.http.put(routes.sensorFrame(last.id)).send(change).expect(200)).body as SensorFrame;
    expect(corrected).toMatchObject({ version: last.version + 1, workingAt: 8, note: 'one by eye' });
    const refused = (await t.http.put(routes.sensorFrame(last.id)).send(change).expect(409)).body as { current: SensorFrame };
    expect(refused.current.version).toBe(corrected.version);
  });

  it('counts the outings with that body between two frames', async () => {
    const outing = {
      name: 'Pier',
      from: '2026-03-04',
      to: '2026-03-05',
      place: 'shore',
      itemIds: [body.id],
      met: [],
      frames: null,
      lensChanges: null,
      hours: null,
      note: '',
    };
    await t.http.post(routes.outings).send(outing).expect(201);
    await t.http
      .post(routes.outings)
      .send({ ...outing, itemIds: [] })
      .expect(201);
    await add('2026-03-09T10:00:00.000Z', NINE.slice(6));
    expect((await frames()).frames.map((f) => [f.exposures, f.lensChanges])).toEqual([
      [0, 0],
      [0, 0],
      // Nobody counted them.
      [1, null],
    ]);
    const counted = {
      ...outing,
      from: '2026-03-10',
      to: '2026-03-10',
      lensChanges: 9,
      used: { [body.id]: { frames: 40, lensChanges: 4 } },
    };
    await t.http.post(routes.outings).send(counted).expect(201);
    await t.http
      .post(routes.outings)
      .send({ ...outing, from: '2026-03-11', to: '2026-03-11', lensChanges: 3 })
      .expect(201);
    await add('2026-03-12T10:00:00.000Z', NINE.slice(6));
    expect((await frames()).frames.at(-1)).toMatchObject({ exposures: 2, lensChanges: 7 });
  });

  it('keeps its picture without what the camera wrote beside it, small on request, and the file as it came', async () => {
    const { frames: all } = await frames();
    const id = all[0]!.id;
    const picture = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#bbb' } })
      .withExif({ IFD0: { Copyright: 'serial 4711' } })
      .jpeg()
      .toBuffer();
    await t.http.put(routes.framePicture(id, 'preview')).set('content-type', 'image/jpeg').send(picture).expect(204);
    await t.http.put(routes.framePicture(id, 'original')).set('content-type', 'application/octet-stream').send(picture).expect(204);
    const kept = (await frames()).frames[0]!;
    const shown = (await t.http.get(routes.blob(kept.preview!)).expect(200)).body as Buffer;
    expect((await sharp(shown).metadata()).exif).toBeUndefined();
    const small = await t.http.get(routes.smallPicture(kept.preview!)).expect(200);
    expect((await sharp(small.body as Buffer).metadata()).width).toBe(480);
    const original = await t.http.get(routes.blob(kept.original!)).responseType('blob').expect(200);
    expect(Buffer.compare(original.body as Buffer, picture)).toBe(0);
    await t.http.put(routes.framePicture(id, 'preview')).set('content-type', 'image/jpeg').send(Buffer.from('no picture')).expect(422);
    await t.http.put(routes.framePicture(id, 'else')).set('content-type', 'image/jpeg').send(picture).expect(400);
    await t.http.get(routes.blob('0'.repeat(64))).expect(404);
    await t.http.get(routes.blob('nonsense')).expect(400);
  });

  it('goes with its pictures and its entry in the log', async () => {
    const [first] = (await frames()).frames;
    const told = async () => JSON.stringify((await t.http.get(routes.itemLog(body.id)).expect(200)).body);
    expect(await told()).toContain(first!.id);
    await t.http.delete(routes.sensorFrame(first!.id)).expect(204);
    await t.http.get(routes.blob(first!.preview!)).expect(404);
    expect(await told()).not.toContain(first!.id);
    await t.http.delete(routes.sensorFrame(first!.id)).expect(404);
  });

  it('is refused of a thing without a sensor, of none, and with numbers that cannot be', async () => {
    const lens = await t.add('A lens');
    expect(
      (
        await t.http
          .post(routes.sensorFrames)
          .send(input('2026-03-01T10:00:00.000Z', [], { itemId: lens.id }))
          .expect(422)
      ).body.code,
    ).toBe('no-sensor');
    await t.http.get(routes.sensorFrames).query({ itemId: NOWHERE }).expect(404);
    const { body: bad } = await t.http
      .post(routes.sensorFrames)
      .send(input('2026-03-01T10:00:00.000Z', [speck(1.2, 0)], { fNumber: 0 }))
      .expect(400);
    expect(Object.keys((bad as { fields: object }).fields).sort()).toEqual(['fNumber', 'spots.0.x']);
  });

  it('keeps tests of glare, oldest first', async () => {
    const lens = await t.add('A hazed lens');
    const test = (takenAt: string, glarePct: number) => ({
      itemId: lens.id,
      takenAt,
      glarePct,
      lowPct: glarePct - 0.2,
      highPct: glarePct + 0.2,
      blackPct: 0,
      fNumber: 8,
      iso: 200,
      exposureS: 0.01,
      body: 'A body',
      style: null,
      note: '',
    });
    const later = (await t.http.post(routes.glareTests).send(test('2026-03-08T10:00:00.000Z', 3.1)).expect(201)).body as GlareTest;
    await t.http.post(routes.glareTests).send(test('2026-02-08T10:00:00.000Z', 9.4)).expect(201);
    const all = async () =>
      ((await t.http.get(routes.glareTests).query({ itemId: lens.id }).expect(200)).body as { tests: GlareTest[] }).tests;
    expect((await all()).map((g) => g.glarePct)).toEqual([9.4, 3.1]);
    await t.http.delete(routes.glareTest(later.id)).expect(204);
    expect(await all()).toHaveLength(1);
    await t.http.delete(routes.glareTest(later.id)).expect(404);
  });

  it('knows when a lens was cleaned between its tests', async () => {
    const lens = await t.add('A cleaned lens');
    const cleanedAt = async () =>
      ((await t.http.get(routes.glareTests).query({ itemId: lens.id }).expect(200)).body as { cleanedAt: string[] }).cleanedAt;
    expect(await cleanedAt()).toEqual([]);
    await t.look(lens.id, { 'front-glass': { fingerprint: 2 } });
    const { id, plan } = await t.startCleaning(lens.id);
    const events = care.workThrough(plan, ['clean-enough']);
    const saved = (await t.http.put(routes.cleaning(id)).send({ version: 1, events }).expect(200)).body as { version: number };
    await t.http.post(routes.cleaningFinish(id)).send({ version: saved.version }).expect(200);
    expect(await cleanedAt()).toEqual([t.clock.now().toISOString()]);
  });
});

describe('photographs of a look', () => {
  let t: TestApp;
  beforeAll(async () => {
    t = await testApp();
  });
  afterAll(() => t.app.close());

  it('lie by their surface, without the place and serial number unless those are wanted, and go with the look', async () => {
    const lens = await t.add('A lens');
    const look = (await t.http.post(routes.looks).send({ itemId: lens.id }).expect(201)).body as { id: string };
    const picture = await sharp({ create: { width: 30, height: 20, channels: 3, background: '#456' } })
      .withExif({ IFD0: { Artist: 'me' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
      .jpeg()
      .toBuffer();
    const send = (surface: string, keepAll = false) =>
      t.http.post(routes.lookPhotos(look.id)).query({ surface, keepAll }).set('content-type', 'image/jpeg').send(picture);
    const plain = (await send('front-glass').expect(201)).body as { id: string; blob: string };
    const whole = (await send('front-glass', true).expect(201)).body as { id: string; blob: string };
    const exifOf = async (blob: string) => (await sharp((await t.http.get(routes.blob(blob)).expect(200)).body as Buffer).metadata()).exif;
    expect(await exifOf(plain.blob)).toBeUndefined();
    expect((await exifOf(whole.blob))!.toString('latin1')).toContain('me');
    expect((await send('sensor-cover').expect(422)).body.code).toBe('surface-not-there');
    await t.http.delete(routes.lookPhoto(look.id, whole.id)).expect(204);
    await t.http.get(routes.blob(whole.blob)).expect(404);
    await t.http.delete(routes.look(look.id)).expect(204);
    await t.http.get(routes.blob(plain.blob)).expect(404);
  });
});
