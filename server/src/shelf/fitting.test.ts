import { IMPORT_TARGETS, routes, type FitPage, type ImportPreview, type ItemPage, type Vocabulary } from '@bright-keeper/contract';
import { care, gear } from '@bright-keeper/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());
const fit = async () => (await t.http.get(routes.gearFit).expect(200)).body as FitPage;
const page = async (id: string) => (await t.http.get(routes.item(id)).expect(200)).body as ItemPage;

describe('what fits what', () => {
  it('an empty shelf asks for nothing', async () => {
    const nothing = { mounts: [], nowhere: [], pairs: [], ringsToAdd: [], wantedCaps: [], spareCaps: [], hoodless: [], capSizes: [] };
    expect(await fit()).toEqual({ ...nothing, areRingsFewest: true, silent: 0 });
    expect((await t.http.get(routes.gearVocabulary).expect(200)).body).toEqual({ tags: [], words: {} });
  });

  it('is told on its page, and on the page of each thing from its own side', async () => {
    const body = await t.add('Arc body', { kind: 'mirrorless-body', particulars: { takesMount: 'Arc', tags: ['Kit'] } });
    const lens = await t.add('Bow lens', { particulars: { mount: 'bow', threadMm: 52, tags: ['kit', 'old'] } });
    const adapter = await t.add('Bow to arc', { kind: 'accessory', particulars: { mount: 'Arc', takesMount: 'Bow' } });
    const filter = await t.add('Polariser', { kind: 'filter', particulars: { threadMm: 77 } });
    const stray = await t.add('Stray lens', { particulars: { mount: 'Quill' } });
    await t.add('Silent lens');
    const named = ({ id, name }: { id: string; name: string }) => ({ id, name });

    const told = await fit();
    const joint = { thing: named(lens), on: named(body), through: [named(adapter)] };
    const pair = { filter: named(filter), before: named(lens), fit: 'ring-missing', rings: [] };
    expect(told.mounts).toEqual([joint]);
    expect(told.nowhere).toEqual([named(stray)]);
    expect(told.pairs).toEqual([pair]);
    expect([told.ringsToAdd, told.areRingsFewest, told.silent]).toEqual([[[52, 77]], true, 1]);

    expect((await page(lens.id)).fit).toEqual({ mounts: [joint], threads: [pair] });
    expect((await page(body.id)).fit).toEqual({ mounts: [joint], threads: [] });
    expect((await page(adapter.id)).fit).toEqual({ mounts: [joint], threads: [] });
    expect((await page(filter.id)).fit).toEqual({ mounts: [], threads: [pair] });
    expect((await page(stray.id)).fit).toEqual({ mounts: [], threads: [] });

    const ring = await t.add('Ring 52 to 77', { kind: 'accessory', particulars: { threadMm: 52, takesThreadMm: 77 } });
    const after = await fit();
    expect([after.ringsToAdd, after.pairs[0]!.fit, after.pairs[0]!.rings]).toEqual([[], 'by-rings', [named(ring)]]);
    // What is off the shelf joins nothing.
    await t.http
      .post(routes.gearArchive)
      .send({ itemIds: [adapter.id, ring.id] })
      .expect(200);
    expect((await fit()).mounts).toEqual([]);
    expect((await page(lens.id)).fit).toMatchObject({ mounts: [], threads: [{ fit: 'ring-missing' }] });

    // One cap before the ring would do for both; without the ring each thread wants its own.
    expect(told.capSizes).toEqual([{ sizeMm: 52, owned: false, covers: [{ threadMm: 52, byRing: false }] }]);
    const wide = await t.add('Wide lens', { particulars: { threadMm: 77 } });
    const sizes = async () => (await fit()).capSizes.map(({ sizeMm, owned }) => [sizeMm, owned]);
    expect(await sizes()).toEqual([
      [52, false],
      [77, false],
    ]);
    await t.http
      .post(routes.gearRestore)
      .send({ itemIds: [ring.id] })
      .expect(200);
    expect(await sizes()).toEqual([[77, false]]);
    const cap = await t.add('Spare cap', { kind: 'accessory', particulars: { part: 'front-cap', threadMm: 77 } });
    expect(await sizes()).toEqual([[77, true]]);
    await t.http
      .post(routes.gearArchive)
      .send({ itemIds: [ring.id, wide.id, cap.id] })
      .expect(200);

    const words = (await t.http.get(routes.gearVocabulary)).body as Vocabulary;
    expect(words.tags).toEqual([
      { tag: 'Kit', things: 2 },
      { tag: 'old', things: 1 },
    ]);
    expect(words.words).toEqual({ mount: ['bow', 'Quill'], takesMount: ['Arc'] });
  });
});

/** Something for every particular, as each is checked. */
const someOf = (id: gear.ParticularId): unknown => {
  const facts = gear.particularFacts(id);
  switch (facts.input) {
    case 'text':
      return `${facts.name}, with a comma; "quoted"`.slice(0, facts.longest);
    case 'choice':
      return facts.choices.at(-1);
    case 'number':
      return facts.min + (facts.whole ? 1 : 0.5);
    case 'day':
      return '2031-05-06';
    case 'words':
      return ['one tag', 'two'];
    default:
      return facts satisfies never;
  }
};

describe('an inventory that leaves and comes in again', () => {
  it.each(care.ITEM_KINDS)('says nothing new of any particular: %s', async (kind) => {
    const particulars = Object.fromEntries(gear.particularsOf(kind).map((id) => [id, someOf(id)]));
    const item = await t.add(`Whole ${kind}`, { kind, particulars });
    expect(item.particulars).toEqual(particulars);
    const file = (await t.http.get(routes.gearExport).expect(200)).text;
    const p = (
      await t.http
        .post(routes.importPreview)
        .send({ fileBase64: Buffer.from(file).toString('base64') })
        .expect(200)
    ).body as ImportPreview;
    expect(Object.keys(p.mapping)).toHaveLength(IMPORT_TARGETS.length);
    expect(p.rows.filter((r) => r.fate !== 'same').map((r) => [r.input?.name, r.errors, r.told])).toEqual([]);
    expect([p.same, p.bad]).toEqual([p.total, 0]);
  });
});
