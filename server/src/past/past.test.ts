import { routes, type Cleaning, type ItemPage, type Log, type LookDoc, type TakenBack } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());
const later = (ms: number) => t.clock.set(new Date(t.clock.now().getTime() + ms));
beforeEach(() => later(60_000));

const page = async (id: string): Promise<ItemPage> => (await t.http.get(routes.item(id)).expect(200)).body as ItemPage;
const log = async (id: string) => ((await t.http.get(routes.itemLog(id)).expect(200)).body as Log).entries;
const takeBack = async (...entryIds: string[]): Promise<TakenBack> =>
  (await t.http.post(routes.takeBack).send({ entryIds }).expect(200)).body as TakenBack;
/** The last entry of a thing's log, taken back. */
const takeLastBack = async (id: string): Promise<TakenBack> => takeBack((await log(id))[0]!.id);
const edit = async (id: string, change: object) => {
  const { name, kind, traits, notes, acquiredOn, version } = await page(id);
  return t.http
    .put(routes.item(id))
    .send({ name, kind, traits, notes, acquiredOn, version, ...change })
    .expect(200);
};
/** What a page says of a thing, but for how often it was written to. */
const said = ({ version: _, updatedAt: __, ...rest }: ItemPage) => rest;

describe('an edit taken back', () => {
  it('has stand there what stood before: every field and particular, and nothing else of the thing', async () => {
    const { id } = await t.add('Before', { particulars: { serial: 'A1', tags: ['walks'] }, notes: 'old', traits: { weatherSealed: true } });
    const before = said(await page(id));
    await edit(id, {
      name: 'After',
      notes: '',
      traits: { weatherSealed: false, zoomExtends: true },
      particulars: { serial: 'B2', massG: 300 },
    });
    expect(await takeLastBack(id)).toEqual({ takenBack: 1, kept: [] });
    expect(said(await page(id))).toEqual(before);
    expect((await log(id)).map((e) => e.data.kind)).toEqual(['added']);
  });

  it('stands where the same was changed again since, and goes where something else was', async () => {
    const { id } = await t.add('First');
    await edit(id, { name: 'Second' });
    const [second] = await log(id);
    later(1000);
    await edit(id, { notes: 'a note' });
    later(1000);
    await edit(id, { name: 'Third' });
    expect(await takeBack(second!.id)).toEqual({ takenBack: 0, kept: [{ entryId: second!.id, because: 'changed-since' }] });
    await takeLastBack(id);
    expect(await takeBack(second!.id)).toEqual({ takenBack: 1, kept: [] });
    expect(await page(id)).toMatchObject({ name: 'First', notes: 'a note' });
    expect(await takeBack(second!.id)).toEqual({ takenBack: 0, kept: [{ entryId: second!.id, because: 'gone' }] });
  });
});

describe('off the shelf and into quarantine, taken back', () => {
  it.each(['sold', 'lost'] as const)('what was %s lies where it lay, and is asked for as before', async (why) => {
    const place = await t.addPlace();
    const { id } = await t.add(`Was ${why}`);
    await t.http.put(routes.itemPlace(id)).send({ placeId: place.id, since: null }).expect(200);
    later(1000);
    const before = said(await page(id));
    const { version } = await page(id);
    await t.http
      .post(routes.itemArchive(id))
      .send({ version, gone: { why, on: '2026-03-10', for: null } })
      .expect(200);
    expect(await takeLastBack(id)).toEqual({ takenBack: 1, kept: [] });
    expect(said(await page(id))).toEqual(before);
  });

  it('what was put back on the shelf by mistake is gone again, as it was', async () => {
    const { id } = await t.add('Sold and back');
    await t.http
      .post(routes.itemArchive(id))
      .send({ version: 1, gone: { why: 'sold', on: '2026-03-10', for: 90 } })
      .expect(200);
    later(1000);
    await t.http.post(routes.itemRestore(id)).send({ version: 2 }).expect(200);
    expect(await takeLastBack(id)).toEqual({ takenBack: 1, kept: [] });
    expect(await page(id)).toMatchObject({ gone: { why: 'sold', on: '2026-03-10', for: 90 } });
  });

  it('quarantine: it lies where it lay, and what lay beside it is not asked for', async () => {
    const place = await t.addPlace({ name: 'Two together' });
    const [one, beside] = [await t.add('Suspect'), await t.add('Beside it')];
    for (const { id } of [one, beside]) await t.http.put(routes.itemPlace(id)).send({ placeId: place.id, since: null }).expect(200);
    later(1000);
    const before = [said(await page(one.id)), said(await page(beside.id))];
    await t.http.put(routes.itemStatus(one.id)).send({ version: 1, status: 'quarantined' }).expect(200);
    expect((await log(beside.id))[0]!.data.kind).toBe('neighbour-isolated');
    await takeLastBack(one.id);
    expect([said(await page(one.id)), said(await page(beside.id))]).toEqual(before);
  });
});

let begun: Cleaning;
const beginClean = async (id: string) => void (begun = await t.startCleaning(id));
const endClean = async () => {
  const events = care.workThrough(begun.plan, ['clean-enough']);
  await t.http.put(routes.cleaning(begun.id)).send({ version: begun.version, events }).expect(200);
  await t.http
    .post(routes.cleaningFinish(begun.id))
    .send({ version: begun.version + 1, acceptShort: true })
    .expect(200);
};

const found = (soils: Partial<Record<care.Soil, number>>) =>
  Object.entries(soils).map(([soil, severity]) => ({ soil, severity: severity as 1 | 2 | 3 | 4 }));
const states = async (id: string) =>
  (await page(id)).surfaces.map(({ surface, findings, knownSince }) => ({ surface, findings, knownSince }));

describe('a look taken back', () => {
  it('leaves what the look before it saw, and of what only it saw nothing', async () => {
    const { id } = await t.add('Looked at twice');
    await t.look(id, { 'front-glass': { dust: 2 } });
    const before = said(await page(id));
    later(86_400_000);
    await t.look(id, { 'front-glass': { fungus: 3 }, 'rear-glass': {} });
    expect((await page(id)).surfaces).toHaveLength(2);
    expect(await takeLastBack(id)).toEqual({ takenBack: 1, kept: [] });
    later(-86_400_000);
    expect(said(await page(id))).toEqual(before);
    later(86_400_000);
  });

  it('stands where a clean began from it, and where one is under way', async () => {
    const { id } = await t.add('Cleaned from it');
    await t.look(id, { 'front-glass': { fingerprint: 3 } });
    const [look] = await log(id);
    later(1000);
    await beginClean(id);
    expect((await takeBack(look!.id)).kept).toEqual([{ entryId: look!.id, because: 'under-way' }]);
    await endClean();
    expect((await takeBack(look!.id)).kept).toEqual([{ entryId: look!.id, because: 'cleaned-since' }]);
    expect((await takeBack((await log(id))[0]!.id)).kept).toMatchObject([{ because: 'work-stands' }]);
  });
});

describe('a look corrected', () => {
  const correct = async (entry: { data: object }, answers: object[]) => {
    const doc = (await t.http.get(routes.look((entry.data as { lookId: string }).lookId)).expect(200)).body as LookDoc;
    return t.http.put(routes.lookCorrection(doc.id)).send({ version: doc.version, answers });
  };

  it('is as if that had been said then, and the log tells what was said before', async () => {
    const [told, other] = [await t.add('Corrected'), await t.add('Said at once')];
    await t.look(told.id, { 'front-glass': { fungus: 3 }, 'rear-glass': { dust: 1 } });
    await t.look(other.id, { 'front-glass': { dust: 2 } });
    const [entry] = await log(told.id);
    later(1000);
    const body = await correct(entry!, [{ surface: 'front-glass', findings: found({ dust: 2 }), note: 'it was lint' }]);
    expect(body.status).toBe(200);
    expect(await states(told.id)).toEqual(await states(other.id));
    expect((await page(told.id)).due.map((d) => d.code)).toEqual((await page(other.id)).due.map((d) => d.code));
    const [corrected, ...rest] = await log(told.id);
    expect(rest.map((e) => e.data.kind)).toEqual(['added']);
    expect(corrected).toMatchObject({
      at: entry!.at,
      data: { kind: 'look', looked: 1, notes: [{ note: 'it was lint' }], before: { verdicts: [{ findings: [{ soil: 'fungus' }] }, {}] } },
    });
    // The correction is taken back like the look it is.
    expect(await takeBack(corrected!.id)).toEqual({ takenBack: 1, kept: [] });
    expect(await states(told.id)).toEqual([]);
  });

  it('refuses what a clean rests on and says why, and takes a note all the same', async () => {
    const { id } = await t.add('Rests on it');
    await t.look(id, { 'front-glass': { fingerprint: 3 } });
    const [entry] = await log(id);
    later(1000);
    await beginClean(id);
    await endClean();
    const known = await states(id);
    const refused = await correct(entry!, [{ surface: 'front-glass', findings: [], note: '' }]);
    expect(refused.body).toMatchObject({ status: 409, code: 'look-stands', detail: expect.stringContaining('Look again') as string });
    const noted = await correct(entry!, [{ surface: 'front-glass', findings: found({ fingerprint: 3 }), note: 'from the child' }]);
    expect(noted.status).toBe(200);
    expect(await states(id)).toEqual(known);
  });

  it('refuses a version that is not the present one, a look that is open, and nothing at all', async () => {
    const { id } = await t.add('Refused');
    await t.look(id, { 'front-glass': {} });
    const [entry] = await log(id);
    const { lookId } = entry!.data as { lookId: string };
    const answers = [{ surface: 'front-glass', findings: [], note: '' }];
    await t.http.put(routes.lookCorrection(lookId)).send({ version: 1, answers }).expect(409);
    expect((await correct(entry!, [])).body).toMatchObject({ code: 'nothing-looked-at' });
    expect((await correct(entry!, [{ surface: 'primary-mirror', findings: [], note: '' }])).body).toMatchObject({
      code: 'surface-not-there',
    });
    const open = (await t.http.post(routes.looks).send({ itemId: id }).expect(201)).body as LookDoc;
    await t.http.put(routes.lookCorrection(open.id)).send({ version: open.version, answers }).expect(404);
  });
});
