import { JOI_OPTIONS, routes, type Problem } from '@bright-keeper/contract';
import {
  ArchiveReader,
  ArchiveWriter,
  createApp,
  DataFolder,
  Disk,
  openInMemory,
  restore,
  ROW_CONTRACTS,
  SeededIds,
  SetClock,
  tablesOf,
  writeArchive,
  type Database,
} from '@bright-keeper/server';
import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { playDemo } from './play.js';

const LOADED_AT = new Date('2026-05-20T09:00:00Z');
type Row = Record<string, unknown>;
type Rows = ReadonlyMap<string, Row[]>;

async function running(database: Database) {
  const clock = new SetClock(LOADED_AT);
  const app = await createApp({ database, clock, ids: new SeededIds(clock), disk: new Disk(null), data: new DataFolder(null) });
  await app.init();
  return { app, http: request(app.getHttpServer()) };
}
type Running = Awaited<ReturnType<typeof running>>;

/** A household in a file that somebody changed, sums and all, and the program that is asked to take it. */
describe('a household in a file from elsewhere', () => {
  const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-hostile-'));
  let rows: Rows;
  let schemaStep: number;
  let keys: ReadonlyMap<string, string[]>;
  let empty: Running;
  beforeAll(async () => {
    const demo = await openInMemory();
    await playDemo(demo, LOADED_AT);
    const file = join(folder, 'demo.zip');
    ({ schemaStep } = await writeArchive(demo, file, LOADED_AT));
    keys = new Map((await tablesOf(demo.db)).map((t) => [t.name, t.key]));
    await demo.close();
    const archive = await ArchiveReader.open(file);
    const read = new Map<string, Row[]>();
    for (const { name } of archive.manifest.tables)
      read.set(
        name,
        (await archive.allRows(name)).map((row) => JSON.parse(row) as Row),
      );
    archive.close();
    rows = read;
    empty = await running(await openInMemory());
  });
  afterAll(async () => {
    await empty.app.close();
    rmSync(folder, { recursive: true });
  });

  let count = 0;
  /** The same household with some of its tables as somebody else would have them, as text or as rows. */
  async function fileOf(changed: Readonly<Record<string, readonly (Row | string)[]>> = {}, all: Rows = few()): Promise<string> {
    const path = join(folder, `file-${(count += 1)}.zip`);
    const writer = new ArchiveWriter(path);
    for (const [name, kept] of new Map<string, readonly (Row | string)[]>([...all, ...Object.entries(changed)])) {
      const texts = kept.map((row) => (typeof row === 'string' ? row : JSON.stringify(row)));
      await writer.table(
        name,
        (async function* () {
          for (let i = 0; i < texts.length; i += 500) yield await Promise.resolve(texts.slice(i, i + 500));
        })(),
      );
    }
    await writer.finish({ program: 'x', madeAt: LOADED_AT.toISOString(), schemaStep });
    return path;
  }
  const send = (path: string, file: string) => empty.http.post(path).set('content-type', 'application/zip').send(readFileSync(file));
  const [first] = [(table: string) => structuredClone(rows.get(table)![0]!)];

  /** Without the long part of it, to which nothing refers. */
  const few = (): Rows => new Map([...rows].map(([name, all]) => [name, name === 'reading_day' ? all.slice(0, 3) : all]));

  /** Refused everywhere with one list, and the household is as empty and as well as it was. */
  async function refused(
    changed: Readonly<Record<string, readonly (Row | string)[]>>,
    code: string,
    field?: string,
    ways: readonly string[] = [routes.takeIn],
  ): Promise<void> {
    // Each row is held against its contract before it is asked what it refers to: the other tables need not come along.
    const file = await fileOf(changed, new Map());
    for (const path of ways) {
      const { body, status } = await send(path, file);
      expect(body, `${path} answered ${status}`).toMatchObject({ code });
      if (field) expect(Object.keys((body as Problem).fields!)).toContain(field);
    }
    await empty.http.get(routes.today).expect(200);
    expect((await empty.http.get(routes.gear).expect(200)).body).toMatchObject({ items: [] });
  }

  it.each([
    ['a moment that is none', 'item', { created_at: 'infinity' }, 'created_at'],
    ['a moment before any', 'item', { updated_at: '-infinity' }, 'updated_at'],
    ['a document of another shape', 'item', { traits: { v: 1, data: { coating: 7 } } }, 'traits'],
    ['a document without a version', 'item', { traits: {} }, 'traits'],
    ['a document that is newer', 'item', { traits: { v: 99, data: {} } }, 'traits'],
    ['a name that is none', 'item', { name: '  ' }, 'name'],
    ['a kind there is not', 'item', { kind: 'submarine' }, 'kind'],
    ['a number as text', 'item', { version: '1' }, 'version'],
    ['a number that is none', 'place', { volume_l: 'NaN' }, 'volume_l'],
    ['a number beyond all', 'place', { volume_l: 'Infinity' }, 'volume_l'],
    ['a verdict nobody gives', 'surface_state', { verdict: 'burn' }, 'verdict'],
    ['a soil there is not', 'surface_state', { findings: [{ soil: 'lava', severity: 3 }] }, 'findings.0.soil'],
    ['an entry of the journal nobody writes', 'journal_entry', { data: { v: 2, data: { kind: 'exploded' } } }, 'data'],
    ['a text with a sign that is none', 'item', { notes: 'a\0b' }, 'notes'],
    ['a column nobody knows', 'item', { admin: true }, 'admin'],
    ['an event in a place that is none', 'climate_event', { data: { kind: 'opened', at: 'x' } }, 'data'],
    ['an address of another manner', 'busy_calendar', { url: 'file:///etc/passwd' }, 'url'],
    ['readings that are out of order', 'reading_day', { readings: `\\x${'ff'.repeat(8)}`, count: 1 }, 'readings'],
    ['hours that sum up something else', 'reading_day', { hours: `\\x${'00'.repeat(336)}` }, 'hours'],
  ])('with %s is refused by its table, row and column', async (_, table, change, column) => {
    const known = rows.get(table)!;
    const row = known.length > 0 ? first(table) : SAMPLES[table]!;
    await refused({ [table]: [{ ...row, ...change }, ...known.slice(1)] }, 'archive-unfit', `${table}.1.${column}`);
  });
  const SAMPLES: Readonly<Record<string, Row>> = {
    busy_calendar: {
      id: '01a20000-0000-7000-8000-0000000000aa',
      name: 'Family',
      url: null,
      read_at: '2026-05-01T10:00:00+00:00',
      events: 1,
      busy: { v: 1, data: [] },
      problems: { v: 1, data: [] },
    },
  };

  it('with a row twice, with text where a row should be, or with a table nobody knows is refused', async () => {
    await refused({ item: [first('item'), ...rows.get('item')!] }, 'archive-unfit', 'item.2.id');
    await refused({ item: ['{"id": ', ...rows.get('item')!.map((row) => JSON.stringify(row))] }, 'archive-unfit', 'item.1');
    await refused({ secrets: [] }, 'archive-unfit', 'secrets', [routes.restore, routes.takeIn, routes.takeInPreview]);
    await refused({ item: [`{"traits": ${'['.repeat(5000)}${']'.repeat(5000)}}`] }, 'archive-unfit');
  });

  it('with a row of something that is not in it is refused as contradicting itself, or as not going together', async () => {
    await refusedOnly(routes.restore, { item: rows.get('item')!.slice(1) }, 'archive-conflict');
  });
  async function refusedOnly(path: string, changed: Readonly<Record<string, readonly Row[]>>, code: string): Promise<void> {
    expect((await send(path, await fileOf(changed))).body).toMatchObject({ code });
    expect((await empty.http.get(routes.gear).expect(200)).body).toMatchObject({ items: [] });
  }

  const PAGE = Buffer.from('<script>fetch("/api/gear", { method: "POST" })</script>');
  const blobOf = (bytes: Buffer, type: string, hash = createHash('sha256').update(bytes).digest('hex')) => ({
    blob: [{ hash, type, bytes: bytes.length, created_at: '2026-05-01T10:00:00+00:00' }],
    blob_part: [{ hash, part: 0, data: `\\x${bytes.toString('hex')}` }],
    item_file: [],
    look_photo: [],
    teardown_photo: [],
    sensor_frame: [],
  });
  it.each(['text/html', 'text/javascript', 'image/svg+xml'])('with a file that calls itself %s is refused', async (type) =>
    refused(blobOf(PAGE, type), 'archive-unfit', 'blob.1.type'),
  );
  it('with a picture that is none, is another, or is cut is refused', async () => {
    await refused(blobOf(PAGE, 'image/png'), 'archive-unfit', 'blob.1.type');
    await refused(blobOf(PAGE, 'application/octet-stream', 'a'.repeat(64)), 'archive-unfit', 'blob.1.hash');
    const cut = blobOf(PAGE, 'application/octet-stream');
    await refused({ ...cut, blob_part: [] }, 'archive-unfit', 'blob.1.bytes');
    await refused({ ...cut, blob_part: [{ ...cut.blob_part[0]!, part: 1 }] }, 'archive-unfit', 'blob_part.1.part');
  });

  it('hands out a file that is no picture as one to keep, never as one to show', async () => {
    const household = await running(await openInMemory());
    const file = await fileOf(blobOf(PAGE, 'application/octet-stream'));
    await household.http.post(routes.restore).set('content-type', 'application/zip').send(readFileSync(file)).expect(200);
    const { headers } = await household.http.get(routes.blob(createHash('sha256').update(PAGE).digest('hex'))).expect(200);
    expect(headers).toMatchObject({
      'content-type': 'application/octet-stream',
      'x-content-type-options': 'nosniff',
      'content-disposition': expect.stringMatching(/^attachment/) as string,
      'content-security-policy': expect.stringMatching(/sandbox/) as string,
    });
    await household.app.close();
  });

  /** What somebody might write into any column. */
  const HOSTILE = [
    null,
    '',
    0,
    -1,
    1e308,
    '2999-12-31',
    'infinity',
    'x'.repeat(200),
    '\\x',
    [],
    {},
    { v: 1, data: null },
    true,
    '<script>',
    '01a20000-0000-7000-8000-0000000000aa',
  ];

  it('of which whatever passes is read by every page: every column of every table, with everything somebody might write there', async () => {
    const changed = new Map<string, Row[]>();
    let [passed, turnedAway] = [0, 0];
    for (const [table, contract] of ROW_CONTRACTS) {
      const left = structuredClone(rows.get(table) ?? []);
      changed.set(table, left);
      // Pictures are held against each other, too.
      if (table.startsWith('blob')) continue;
      const own = new Set([...keys.get(table)!, 'hash', 'blob', 'preview', 'original']);
      let at = 0;
      for (const column of Object.keys(left[0] ?? {}))
        for (const value of HOSTILE) {
          const row = { ...left[at]!, [column]: value };
          if (contract.validate(row, JOI_OPTIONS).error) turnedAway += 1;
          else {
            passed += 1;
            // What it refers to, and what makes it the one open of its kind, stays: those rules are the schema's own.
            if (own.has(column) || /_id$|^(belongs_to|until|finished_at|scope|scope_key|token_hash|code)$/.test(column)) continue;
            left[at] = row;
            at = (at + 1) % left.length;
          }
        }
    }
    expect(passed).toBeGreaterThan(100);
    expect(turnedAway).toBeGreaterThan(2000);
    const database = await openInMemory();
    const archive = await ArchiveReader.open(await fileOf({}, changed));
    const told = await restore(database, archive).catch((error: { problem?: Problem }) => error.problem?.fields ?? error);
    archive.close();
    expect(told).toMatchObject({ tables: expect.any(Number) as number });
    const { app, http } = await running(database);
    const items = changed.get('item')!.map((row) => routes.item(row.id as string));
    const places = changed.get('place')!.map((row) => routes.place(row.id as string));
    const pages = [
      routes.today,
      routes.gear,
      routes.agenda,
      routes.benchDays,
      routes.places,
      routes.supplies,
      routes.outings,
      routes.settings,
      routes.devices,
      routes.busy,
      routes.feeds,
      routes.rhythms,
      routes.trail,
      routes.exportAll,
      ...items,
      ...places,
    ];
    for (const page of pages) expect([page, (await http.get(page)).status]).toEqual([page, 200]);
    await app.close();
  });

  it('has a contract for every column of every table', () => {
    expect([...ROW_CONTRACTS.keys()].sort()).toEqual([...keys.keys()].sort());
    for (const [table, known] of rows)
      for (const row of known.slice(0, 1)) {
        const told = Object.keys(ROW_CONTRACTS.get(table)!.describe().keys as object);
        expect([table, told.sort()]).toEqual([table, Object.keys(row).sort()]);
      }
  });
});
