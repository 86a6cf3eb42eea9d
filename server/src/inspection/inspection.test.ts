import { routes, type ItemPage, type LookDoc } from '@bright-keeper/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const start = async (itemId: string) => (await t.http.post(routes.looks).send({ itemId }).expect(201)).body as LookDoc;
const seen = (surface: string, ...findings: { soil: string; severity: number }[]) => ({ surface, findings, note: '' });

describe('a look', () => {
  it('is gone on with when it is started twice', async () => {
    const { id } = await t.add('Two starts');
    const first = await start(id);
    const second = await start(id);
    expect(second.id).toBe(first.id);
    expect((await t.http.get(routes.item(id))).body.openLookId).toBe(first.id);
  });

  it('keeps every tap, and where one stood', async () => {
    const { id } = await t.add('Kept taps');
    const look = await start(id);
    await t.http
      .put(routes.look(look.id))
      .send({ version: 1, at: 'rear-glass', answers: [seen('front-glass', { soil: 'dust', severity: 2 })] })
      .expect(200);
    expect((await t.http.get(routes.look(look.id))).body).toMatchObject({
      version: 2,
      at: 'rear-glass',
      answers: [{ surface: 'front-glass' }],
    });
  });

  it('writes verdicts, log and the next look together when it is finished', async () => {
    const { id } = await t.add('Finished');
    const page = await t.look(id, { 'front-glass': { fingerprint: 3 }, 'inner-glass': { 'internal-dust': 1 }, 'rear-glass': {} });
    expect(page.verdict).toBe('clean');
    expect(page.surfaces.map((s) => [s.surface, s.verdict])).toEqual([
      ['front-glass', 'clean'],
      ['inner-glass', 'leave'],
      ['rear-glass', 'leave'],
    ]);
    expect(page.openLookId).toBeNull();
    expect(page.due.find((d) => d.code === 'light-test')?.window).toEqual({
      due: '2026-06-10',
      earliest: '2026-05-27',
      latest: '2026-06-24',
    });
    const [entry] = (await t.http.get(routes.itemLog(id))).body.entries;
    expect(entry.data).toMatchObject({ kind: 'look', looked: 3 });
  });

  it('keeps how large the largest is, and leaves what can never show, at the bench too', async () => {
    const { id } = await t.add('A speck on the front', { traits: { focalMm: 50, smallestFNumber: 11 } });
    const look = await start(id);
    const findings = [{ soil: 'dust', severity: 2, sizeMm: 0.5 }];
    await t.http
      .put(routes.look(look.id))
      .send({ version: 1, at: null, answers: [{ surface: 'front-glass', findings, note: '' }] })
      .expect(200);
    const page = (await t.http.post(routes.lookFinish(look.id)).send({ version: 2 }).expect(200)).body as ItemPage;
    expect(page.surfaces[0]).toMatchObject({ verdict: 'leave', findings, because: { reason: 'never-shows', sizeMm: 0.5 } });
    // With nothing else found there is nothing to do at the bench either.
    await t.http.post(routes.cleanings).send({ itemId: id, place: 'home' }).expect(422);
    await t.http
      .put(routes.look((await start(id)).id))
      .send({ version: 1, at: null, answers: [{ surface: 'front-glass', findings: [{ soil: 'dust', severity: 2, sizeMm: 0 }], note: '' }] })
      .expect(400);
  });

  it('follows the school of the user in its verdicts', async () => {
    const settings = (await t.http.get(routes.settings)).body;
    const { id } = await t.add('After every outing');
    await t.http
      .put(routes.settings)
      .send({ ...settings, schools: { ...settings.schools, habit: 'after-every-outing' } })
      .expect(200);
    expect((await t.look(id, { 'front-glass': { dust: 1 } })).verdict).toBe('clean');
    await t.http
      .put(routes.settings)
      .send({ ...settings, version: settings.version + 1 })
      .expect(200);
    expect((await t.look(id, { 'front-glass': { dust: 1 } })).verdict).toBe('leave');
  });

  it('refuses a surface the thing does not have, a soil twice and a severity of nothing', async () => {
    const { id } = await t.add('Refusals');
    const look = await start(id);
    const save = (answers: object[]) => t.http.put(routes.look(look.id)).send({ version: 1, at: null, answers });
    expect((await save([seen('sensor-cover')]).expect(422)).body.fields['answers.0.surface']).toMatch(/has no sensor cover/);
    expect(
      (await save([seen('front-glass', { soil: 'dust', severity: 2 }, { soil: 'dust', severity: 3 })]).expect(400)).body.fields[
        'answers.0.findings.1'
      ],
    ).toMatch(/twice/);
    expect(
      (await save([seen('front-glass', { soil: 'dust', severity: 0 })]).expect(400)).body.fields['answers.0.findings.0.severity'],
    ).toMatch(/At least 1/);
    expect((await t.http.post(routes.lookFinish(look.id)).send({ version: 1 }).expect(422)).body.code).toBe('nothing-looked-at');
  });

  it('refuses a stale save and any change once it is finished', async () => {
    const { id } = await t.add('Stale look');
    const look = await start(id);
    const body = { version: 1, at: null, answers: [seen('front-glass')] };
    await t.http.put(routes.look(look.id)).send(body).expect(200);
    expect((await t.http.put(routes.look(look.id)).send(body).expect(409)).body).toMatchObject({ code: 'stale', current: { version: 2 } });
    await t.http.post(routes.lookFinish(look.id)).send({ version: 2 }).expect(200);
    expect(
      (
        await t.http
          .put(routes.look(look.id))
          .send({ ...body, version: 3 })
          .expect(409)
      ).body.code,
    ).toBe('look-finished');
  });

  it('can be dropped while it is open, and leaves no trace', async () => {
    const { id } = await t.add('Dropped');
    const look = await start(id);
    await t.http.delete(routes.look(look.id)).expect(204);
    await t.http.get(routes.look(look.id)).expect(404);
    expect((await t.http.get(routes.itemLog(id))).body.entries).toHaveLength(1);
  });
});

describe('what was noted outdoors', () => {
  const put = async (doc: LookDoc, answers: LookDoc['answers']) =>
    (await t.http.put(routes.look(doc.id)).send({ version: doc.version, at: null, answers }).expect(200)).body as LookDoc;

  it('is what the next look expects, where it met the thing, and is not expected twice', async () => {
    const lens = await t.add('Was at the shore', { traits: { filterFitted: true } });
    await t.http
      .post(routes.happenings)
      .send({ happening: 'spray', itemIds: [lens.id] })
      .expect(204);
    const doc = (await t.http.post(routes.looks).send({ itemId: lens.id }).expect(201)).body as LookDoc;
    expect(doc.answers.find((a) => a.surface === 'filter-front')).toEqual({
      surface: 'filter-front',
      findings: [{ soil: 'salt', severity: 2 }],
      note: '',
      noted: 'spray',
    });
    expect(doc.answers.map((a) => a.surface)).not.toContain('front-glass');
    // What was only expected is not seen: a look that confirms one surface leaves the others open.
    const [first, ...rest] = doc.answers.map(({ noted: _, ...answer }) => answer);
    const half = await put(doc, [first!, ...doc.answers.slice(1)]);
    await t.http.post(routes.lookFinish(doc.id)).send({ version: half.version }).expect(200);
    const again = (await t.http.post(routes.looks).send({ itemId: lens.id }).expect(201)).body as LookDoc;
    expect(again.answers.map((a) => a.surface).sort()).toEqual(rest.map((a) => a.surface).sort());
    const saved = await put(again, rest);
    await t.http.post(routes.lookFinish(again.id)).send({ version: saved.version }).expect(200);
    const next = (await t.http.post(routes.looks).send({ itemId: lens.id }).expect(201)).body as LookDoc;
    expect(next.answers).toEqual([]);
  });
});

describe('a finish that tacks', () => {
  it('is pressed again in two months', async () => {
    const body = await t.add('Tacky', { kind: 'mirrorless-body' });
    const page = await t.look(body.id, { 'grip-rubber': { 'sticky-coating': 1 } });
    expect(page.surfaces[0]).toMatchObject({ verdict: 'leave', because: { reason: 'sticky-is-aired' } });
    expect(page.due.find((d) => d.code === 'sticky-look')).toMatchObject({ window: { due: '2026-05-10' } });
  });
});
