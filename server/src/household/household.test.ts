import { routes, type Backups, type Health, type ItemFile, type ItemPage, type MergePreview } from '@bright-keeper/contract';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeEach, afterEach, describe, expect, it } from 'vitest';
import sharp from 'sharp';
import yauzl from 'yauzl';
import { testApp, type TestApp } from '../testing/testApp.js';

const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-data-'));
afterAll(() => rmSync(folder, { recursive: true }));

/** Every entry of a ZIP file with its text. */
async function unzipped(path: string): Promise<Map<string, string>> {
  const zip = await yauzl.openPromise(path, { lazyEntries: true, autoClose: false });
  const texts = new Map<string, string>();
  for await (const entry of zip.eachEntry()) {
    const parts: Buffer[] = [];
    for await (const part of await zip.openReadStreamPromise(entry)) parts.push(part as Buffer);
    texts.set(entry.fileName, Buffer.concat(parts).toString('utf8'));
  }
  zip.close();
  return texts;
}

describe('a household that is kept safe', () => {
  let app: TestApp;
  beforeEach(async () => {
    app = await testApp({ dataDir: mkdtempSync(join(folder, 'household-')) });
  });
  afterEach(() => app.app.close());

  const download = async (path: string, name: string): Promise<string> => {
    const { body } = await app.http.get(path).responseType('blob').expect(200);
    const file = join(folder, name);
    writeFileSync(file, body as Buffer);
    return file;
  };
  const send = (path: string, file: string) => app.http.post(path).set('content-type', 'application/zip').send(readFileSync(file));

  it('says how it is', async () => {
    const { body } = (await app.http.get(routes.health).expect(200)) as { body: Health };
    expect(body.database).toEqual({ kind: app.database.kind, answers: true, ours: true });
    expect(body.clock).toEqual({ datedAhead: null });
    expect(body.disk!.freeBytes).toBeGreaterThan(0);
    expect(body.version).toMatch(/^\d+\.\d+\.\d+$/);
  });

  it('makes a backup that can be fetched and restored elsewhere', async () => {
    const lens = await app.add('A lens');
    const { body } = await app.http.post(routes.backups).expect(201);
    const { body: state } = (await app.http.get(routes.backups).expect(200)) as { body: Backups };
    expect(state.files).toEqual([body]);
    const file = await download(routes.backup(state.files[0]!.name), 'fetched.zip');

    const elsewhere = await testApp({ dataDir: mkdtempSync(join(folder, 'elsewhere-')) });
    await elsewhere.http.post(routes.restore).set('content-type', 'application/zip').send(readFileSync(file)).expect(200);
    expect((await elsewhere.http.get(routes.item(lens.id)).expect(200)).body).toMatchObject({ name: 'A lens' });
    // A second time there is something there.
    const { body: refused } = await elsewhere.http
      .post(routes.restore)
      .set('content-type', 'application/zip')
      .send(readFileSync(file))
      .expect(409);
    expect((refused as { code: string }).code).toBe('household-not-empty');
    await elsewhere.app.close();
  });

  it('exports everything in open formats, the archived too, and takes it in again', async () => {
    const lens = await app.add('=A lens; with a semicolon');
    const gone = await app.add('An archived body', { kind: 'slr-body' });
    const sold = { why: 'sold', on: '2026-03-01', for: 120 };
    await app.http.post(routes.itemArchive(gone.id)).send({ version: gone.version, gone: sold }).expect(200);
    const receipt = Buffer.from('%PDF-1.4\n1 0 obj << >> endobj\ntrailer << >>\n%%EOF\n');
    const paper = (
      await app.http
        .post(routes.itemFiles(gone.id))
        .query({ name: 'Receipt 2019.pdf' })
        .set('content-type', 'application/pdf')
        .send(receipt)
        .expect(201)
    ).body as ItemFile;
    const look = (await app.http.post(routes.looks).send({ itemId: lens.id }).expect(201)).body as { id: string };
    const picture = await sharp({ create: { width: 20, height: 10, channels: 3, background: '#345' } })
      .png()
      .toBuffer();
    const kept = await app.http
      .post(routes.lookPhotos(look.id))
      .query({ surface: 'front-glass' })
      .set('content-type', 'image/png')
      .send(picture);
    const { blob } = kept.body as { blob: string };
    const file = await download(routes.exportAll, 'everything.zip');
    const texts = await unzipped(file);
    expect([...texts.keys()]).toEqual(
      expect.arrayContaining([
        'README.txt',
        'schema.json',
        'calendar.ics',
        'csv/item.csv',
        'data/item.json',
        'manifest.json',
        `pictures/${blob}.png`,
        `pictures/${paper.blob}.pdf`,
      ]),
    );
    const rows = JSON.parse(texts.get('data/item.json')!) as { id: string; name: string }[];
    expect(rows.map((r) => r.name).sort()).toEqual(['=A lens; with a semicolon', 'An archived body']);
    const schema = JSON.parse(texts.get('schema.json')!) as { $defs: Record<string, { items: { required: string[] } }> };
    for (const [name, { items }] of Object.entries(schema.$defs))
      for (const row of JSON.parse(texts.get(`data/${name}.json`)!) as object[]) expect(Object.keys(row)).toEqual(items.required);
    expect(texts.get('calendar.ics')).toContain('BEGIN:VCALENDAR');
    // A spreadsheet must not run what somebody called a thing.
    expect(texts.get('csv/item.csv')).toContain("'=A lens");

    const { body } = (await send(routes.takeInPreview, file).expect(200)) as { body: MergePreview };
    expect(body.tables.find((t) => t.table === 'item')).toEqual({ table: 'item', rows: 2, fresh: 0, same: 2, changed: 0 });
    await app.http.put(routes.item(lens.id)).send({ ...lens, name: 'Renamed' });
    await send(routes.takeIn, file).expect(200);
    expect((await app.http.get(routes.item(lens.id))).body).toMatchObject({ name: lens.name });
    // Elsewhere too it brings its pictures along.
    const elsewhere = await testApp({ dataDir: mkdtempSync(join(folder, 'elsewhere-')) });
    await elsewhere.http.post(routes.takeIn).set('content-type', 'application/zip').send(readFileSync(file)).expect(200);
    await elsewhere.http.get(routes.blob(blob)).expect(200);
    const there = (await elsewhere.http.get(routes.item(gone.id)).expect(200)).body as ItemPage;
    expect(there).toMatchObject({ gone: sold, files: [{ ...paper }] });
    expect((await elsewhere.http.get(routes.blob(paper.blob)).responseType('blob').expect(200)).body).toEqual(receipt);
    await elsewhere.app.close();
    expect(readdirSync(join(app.dataDir!, 'passing'))).toEqual([]);
  });

  it('makes one backup a day by itself, none of an empty household', async () => {
    const { backups, clock } = app;
    expect(await backups.daily()).toBeNull();
    await app.add('A lens');
    const first = await backups.daily();
    expect(first).not.toBeNull();
    clock.set(new Date(clock.now().getTime() + 23 * 3_600_000));
    expect(await backups.daily()).toBeNull();
    clock.set(new Date(clock.now().getTime() + 3_600_000));
    expect(await backups.daily()).not.toBeNull();
  });

  it('makes one a day all the same when a clock once stood a year ahead, and says that it did', async () => {
    const { backups, clock, http, add } = app;
    const today = clock.now();
    const ahead = new Date(today.getTime() + 365 * 86_400_000);
    clock.set(ahead);
    await add('Added while the clock was wrong');
    expect(await backups.daily()).not.toBeNull();
    clock.set(today);
    const made = await backups.daily();
    expect(made).toMatchObject({ madeAt: today.toISOString() });
    expect(await backups.daily()).toBeNull();
    clock.set(new Date(today.getTime() + 3 * 86_400_000));
    const { body } = (await http.get(routes.health).expect(200)) as { body: Health };
    expect(body.clock.datedAhead).toBe(ahead.toISOString());
    expect(body.backup).toMatchObject({ lastAt: today.toISOString(), late: true });
    expect(await backups.daily()).not.toBeNull();
    // The one that is dated ahead is still there: it may be the only one of its day.
    expect(readdirSync(join(app.dataDir!, 'backups')).length).toBe(3);
  });

  it('leaves nothing unfinished behind, and says in words why none could be made', async () => {
    const { http, add, dataDir } = app;
    await add('A lens');
    const backupFolder = join(dataDir!, 'backups');
    writeFileSync(backupFolder, 'a file where the folder should be');
    const { body } = await http.post(routes.backups).expect(507);
    expect((body as { detail: string }).detail).toBe('a file lies where the folder should be');
    rmSync(backupFolder);
    mkdirSync(backupFolder);
    const left = join(backupFolder, 'bright-keeper-2026-01-01T000000Z.zip.unfinished');
    writeFileSync(left, 'cut off');
    utimesSync(left, 0, 0);
    await http.post(routes.backups).expect(201);
    expect(readdirSync(backupFolder).filter((name) => name.endsWith('.unfinished'))).toEqual([]);
  });

  it('puts backups where it is told to, and refuses what is no folder', async () => {
    const other = mkdtempSync(join(folder, 'other-'));
    expect(((await app.http.put(routes.backupFolder).send({ folder: other }).expect(200)).body as Backups).folder).toBe(other);
    await app.add('A lens');
    await app.http.post(routes.backups).expect(201);
    expect(readdirSync(other)).toHaveLength(1);
    for (const no of [join(other, 'not-there'), 'relative/path', join(other, readdirSync(other)[0]!)]) {
      const { body } = await app.http.put(routes.backupFolder).send({ folder: no }).expect(422);
      expect((body as { fields: object }).fields).toHaveProperty('folder');
    }
  });

  it.each([
    ['no ZIP', Buffer.from('hello')],
    ['nothing', Buffer.alloc(0)],
  ])('says why a file cannot be read: %s', async (_, bytes) => {
    for (const path of [routes.restore, routes.takeIn, routes.takeInPreview]) {
      const { body } = await app.http.post(path).set('content-type', 'application/zip').send(bytes).expect(422);
      expect((body as { code: string }).code).toBe('archive-unreadable');
    }
  });
});
