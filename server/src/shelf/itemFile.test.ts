import { type ItemFile, type ItemPage, routes, type Shelf } from '@bright-keeper/contract';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => {
  t = await testApp();
});
afterAll(() => t.app.close());

const PDF = Buffer.from('%PDF-1.7\n1 0 obj << /Type /Catalog >> endobj\ntrailer << >>\nstartxref\n0\n%%EOF\n');
const pictureOf = (background: string) =>
  sharp({ create: { width: 30, height: 20, channels: 3, background } })
    .withExif({ IFD0: { Artist: 'me' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
    .jpeg()
    .toBuffer();
const send = (id: string, name: string, bytes: Buffer, more: object = {}) =>
  t.http
    .post(routes.itemFiles(id))
    .query({ name, ...more })
    .set('content-type', 'application/octet-stream')
    .send(bytes);
const kept = async (id: string, name: string, bytes: Buffer): Promise<ItemFile> =>
  (await send(id, name, bytes).expect(201)).body as ItemFile;
const pageOf = async (id: string): Promise<ItemPage> => (await t.http.get(routes.item(id)).expect(200)).body as ItemPage;
const faceOf = async (name: string): Promise<string | null> =>
  ((await t.http.get(routes.gear).query({ search: name }).expect(200)).body as Shelf).items[0]!.face;

describe('pictures and papers of a thing', () => {
  it('are kept with it, each by what its name says, the first picture as its face', async () => {
    const { id } = await t.add('Pictured lens');
    expect(await faceOf('Pictured lens')).toBeNull();
    const receipt = await kept(id, 'Rechnung 12.pdf', PDF);
    expect(receipt).toMatchObject({ role: 'receipt', type: 'application/pdf', bytes: PDF.length, isFace: false });
    const front = await kept(id, 'front.jpg', await pictureOf('#456'));
    const side = await kept(id, 'side.jpg', await pictureOf('#654'));
    expect([front.isFace, side.isFace]).toEqual([true, false]);
    expect(await faceOf('Pictured lens')).toBe(front.blob);
    const chosen = (await t.http.put(routes.itemFile(id, side.id)).send({ name: 'The side', role: 'picture', isFace: true }).expect(200))
      .body;
    expect(chosen).toMatchObject({ isFace: true, name: 'The side' });
    expect((await pageOf(id)).files.map((f) => [f.name, f.isFace])).toEqual([
      ['Rechnung 12.pdf', false],
      ['front.jpg', false],
      ['The side', true],
    ]);
    expect(await faceOf('Pictured lens')).toBe(side.blob);
    // A picture of a receipt shows no lens.
    await t.http.put(routes.itemFile(id, side.id)).send({ name: 'The side', role: 'receipt' }).expect(200);
    expect(await faceOf('Pictured lens')).toBe(front.blob);
  });

  it('tell nobody where a picture was taken, and hand a paper out without showing it', async () => {
    const { id } = await t.add('Private lens');
    const picture = await kept(id, 'a.jpg', await pictureOf('#111'));
    const { body } = await t.http.get(routes.blob(picture.blob)).expect(200);
    expect((await sharp(body as Buffer).metadata()).exif).toBeUndefined();
    const paper = await kept(id, 'a.pdf', PDF);
    const answer = await t.http.get(routes.blob(paper.blob)).expect(200);
    expect(answer.headers['content-type']).toMatch(/application\/pdf/);
    expect(answer.headers['content-disposition']).toMatch(/^attachment/);
    expect(answer.headers['content-security-policy']).toMatch(/sandbox/);
  });

  it('sent twice are there once, and two things may have the same one', async () => {
    const [one, two] = [await t.add('Once'), await t.add('Twice')];
    const first = await kept(one.id, 'manual.pdf', PDF);
    expect(await kept(one.id, 'again.pdf', PDF)).toEqual(first);
    const other = await kept(two.id, 'manual.pdf', PDF);
    expect(other.blob).toBe(first.blob);
    // Removed from one, it is still the other’s.
    await t.http.delete(routes.itemFile(one.id, first.id)).expect(204);
    await t.http.get(routes.blob(other.blob)).expect(200);
    expect((await pageOf(one.id)).files).toEqual([]);
    expect((await t.http.get(routes.itemLog(one.id)).expect(200)).body.entries[0].data).toEqual({
      kind: 'file-removed',
      role: 'manual',
      name: 'manual.pdf',
    });
  });

  it('go when nothing shows them any more', async () => {
    const { id } = await t.add('Shown once');
    const file = await kept(id, 'x.jpg', await pictureOf('#987'));
    await t.http.delete(routes.itemFile(id, file.id)).expect(204);
    await t.http.get(routes.blob(file.blob)).expect(404);
  });

  it.each([
    ['a PDF that is none', Buffer.from('<html>not a PDF</html> %%EOF')],
    ['a PDF that was cut off', PDF.subarray(0, 30)],
    ['a page that calls itself a picture', Buffer.from('<script>1</script>')],
    ['nothing', Buffer.alloc(0)],
  ])('refuse %s, and keep nothing of it', async (_, bytes) => {
    const { id } = await t.add('Refusing lens');
    expect((await send(id, 'x.pdf', bytes).expect(422)).body.code).toBe('file-unreadable');
    expect((await pageOf(id)).files).toEqual([]);
  });

  it('refuse a paper as a picture, a name that is none, and a file of another thing', async () => {
    const [one, two] = [await t.add('Strict lens'), await t.add('Other lens')];
    expect((await send(one.id, 'a.pdf', PDF, { role: 'picture' }).expect(422)).body.fields).toHaveProperty('role');
    expect((await send(one.id, ' ', PDF).expect(400)).body.fields).toHaveProperty('name');
    const file = await kept(one.id, 'a.pdf', PDF);
    for (const isFace of [true, undefined])
      await t.http.put(routes.itemFile(one.id, file.id)).send({ name: 'a', role: 'picture', isFace }).expect(422);
    await t.http.put(routes.itemFile(one.id, file.id)).send({ name: 'a', role: 'receipt', isFace: true }).expect(422);
    await t.http.put(routes.itemFile(two.id, file.id)).send({ name: 'a', role: 'receipt' }).expect(404);
    await t.http.delete(routes.itemFile(two.id, file.id)).expect(404);
  });

  it('are so many of one thing and no more', async () => {
    const { id } = await t.add('Much pictured');
    for (let i = 0; i < 60; i++) await kept(id, `${i}.pdf`, Buffer.concat([PDF, Buffer.from(`%${i}\n%%EOF`)]));
    expect((await send(id, 'one more.jpg', await pictureOf('#abc')).expect(409)).body.code).toBe('too-many-files');
    // What was not kept is not left lying about.
    expect((await pageOf(id)).files).toHaveLength(60);
  });
});

describe('what is gone', () => {
  const NOW = '2026-03-10';
  const archive = (id: string, version: number, gone: object) => t.http.post(routes.itemArchive(id)).send({ version, gone });

  it('says why, when and for how much; lies nowhere any more; and is whole again when it comes back', async () => {
    const place = await t.addPlace({ name: 'A cabinet' });
    const lens = await t.add('Stolen lens');
    await t.http.put(routes.itemPlace(lens.id)).send({ placeId: place.id });
    const today = t.clock.now().toISOString().slice(0, 10);
    const gone = { why: 'stolen', on: today, for: 900 };
    expect((await archive(lens.id, lens.version, gone).expect(200)).body).toMatchObject({ gone });
    const page = await pageOf(lens.id);
    expect([page.gone, page.place]).toEqual([gone, null]);
    expect((await t.http.get(routes.itemLog(lens.id)).expect(200)).body.entries[0].data).toEqual({ kind: 'archived', gone });
    await t.http.post(routes.itemRestore(lens.id)).send({ version: page.version }).expect(200);
    expect(await pageOf(lens.id)).toMatchObject({ gone: null, archivedAt: null });
  });

  it('has not gone tomorrow, nor before it came', async () => {
    const lens = await t.add('Sold lens', { acquiredOn: NOW });
    const wrong = async (on: string, status: number) =>
      expect((await archive(lens.id, lens.version, { why: 'sold', on, for: null }).expect(status)).body.fields).toHaveProperty('gone.on');
    await wrong('2999-01-01', 422);
    await wrong('2026-03-09', 400);
    expect(await pageOf(lens.id)).toMatchObject({ archivedAt: null, gone: null });
  });
});

describe('several equal things on one line', () => {
  it('are split into a line of their own that lies in the same place, with what is known of them', async () => {
    const place = await t.addPlace({ name: 'Filter drawer' });
    const six = await t.add('Clear filter', { kind: 'filter', particulars: { count: 6, paid: 90, serial: 'F-1' } });
    await t.http.put(routes.itemPlace(six.id)).send({ placeId: place.id });
    await t.look(six.id, { 'filter-front': { dust: 2 } });
    const { version } = await pageOf(six.id);
    const two = (await t.http.post(routes.itemSplit(six.id)).send({ version, count: 2 }).expect(201)).body as { id: string };
    const [stays, goes] = [await pageOf(six.id), await pageOf(two.id)];
    expect(stays.particulars).toEqual({ count: 4, paid: 60, serial: 'F-1' });
    expect(goes.particulars).toEqual({ count: 2, paid: 30 });
    expect(goes.place).toEqual(stays.place);
    expect(goes.place?.id).toBe(place.id);
    expect(goes.surfaces).toEqual(stays.surfaces);
    expect(goes.surfaces.length).toBeGreaterThan(0);
    expect((await t.http.get(routes.itemLog(two.id)).expect(200)).body.entries.map((e: { data: object }) => e.data)).toEqual([
      { kind: 'split', of: 'from', name: 'Clear filter', count: 2 },
    ]);
  });

  it('of one, nothing is kept, and nothing can be split off', async () => {
    const one = await t.add('A single cap', { kind: 'accessory', particulars: { count: 1 } });
    expect(one.particulars).toEqual({});
    expect((await t.http.post(routes.itemSplit(one.id)).send({ version: one.version, count: 1 }).expect(422)).body.fields).toHaveProperty(
      'count',
    );
  });

  it('are split when they are here, once, and by whoever saw them as they are', async () => {
    const three = await t.add('Three caps', { kind: 'accessory', particulars: { count: 3 } });
    await t.http.post(routes.away).send({ itemId: three.id, why: 'loan', until: null, to: 'a neighbour' }).expect(201);
    const version = (await pageOf(three.id)).version;
    const split = (v: number) => t.http.post(routes.itemSplit(three.id)).send({ version: v, count: 1 });
    expect((await split(version).expect(409)).body.code).toBe('split-while-away');
    await t.http.post(routes.back).send({ itemId: three.id }).expect(201);
    await split(version).expect(201);
    expect((await split(version).expect(409)).body.code).toBe('stale');
  });
});
