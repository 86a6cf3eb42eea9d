import { createHash } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { care, schedule } from '@bright-keeper/core';
import { becauseWords, readPlan } from '@bright-keeper/words';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { BECAUSE_DOCUMENT, JOURNAL_DOCUMENT, PLAN_DOCUMENT, DOCUMENTS } from '../tables/index.js';
import { MIGRATIONS } from '../paths.js';
import { BlobRepository } from '../blobs/index.js';
import { Database, readDocument, type DocumentKind, overEngine, engineHere } from '../db/index.js';
import { goThrough, steps } from './migrate.js';
import { openOnFiles } from './open.js';
import { checkTables, rowsOf, tablesOf } from '../household/index.js';
import type { ProblemError } from '../http/index.js';
import { rewriteOldDocuments } from './rewriteDocuments.js';

/** Rows of the demo household as the program of each schema wrote them; the last of its line before the next schema came. */
const FIXTURES = join(import.meta.dirname, 'fixtures');
const SCHEMAS = readdirSync(MIGRATIONS)
  .filter((f) => f.endsWith('.sql'))
  .map((f) => f.replace('.sql', ''))
  .sort();

const KEYS: Record<string, string> = { surface_state: 'item_id, surface collate "C"', calendar_event: 'uid' };
type Fixture = Record<string, Record<string, unknown>[]>;
const keyOf = (row: Record<string, unknown>): string => `${String(row.item_id)} ${String(row.surface)}`;
function fixtureOf(name: string): Fixture {
  const fixture = JSON.parse(readFileSync(join(FIXTURES, `${name}.json`), 'utf8')) as Fixture;
  const key = (table: string) => (row: Record<string, unknown>) => (table in KEYS ? keyOf(row) : String(row.id));
  for (const [table, rows] of Object.entries(fixture)) rows.sort((a, b) => (key(table)(a) < key(table)(b) ? -1 : 1));
  return fixture;
}

async function migrate(db: Database, names: readonly string[]): Promise<void> {
  for (const name of names)
    for (const statement of readFileSync(join(MIGRATIONS, `${name}.sql`), 'utf8').split('--> statement-breakpoint'))
      await db.pool.query(statement);
}

async function fill(db: Database, fixture: Fixture): Promise<void> {
  for (const [table, rows] of Object.entries(fixture))
    await db.pool.query(`insert into "${table}" select * from json_populate_recordset(null::"${table}", $1)`, [JSON.stringify(rows)]);
}

type Task = { item_id: string; task: string; due: string; because?: unknown; reason?: unknown };
/** Kept tasks whose cause stood nowhere else: what was put off in the field, and one for the looks at each neighbour. */
function causes(fixture: Fixture): Task[] {
  const tasks = (fixture.due_task ?? []) as Task[];
  const left = tasks.filter((t) => t.task === 'home-care' && /left.in.the.field/i.test(JSON.stringify(t.because ?? t.reason)));
  const beside = tasks.filter((t) => t.task === 'neighbour-look-12-weeks');
  return [...left, ...beside];
}

/** Four words in a row: a sentence, and not an id. */
const SENTENCE = /[A-Za-z’]+ [a-z’]+ [a-z’]+ [a-z’]+/;

/** Sentences that say the same in other words since. */
const REWORDED: Record<string, string> = {
  'Dust on the mirror shows in the finder, never in the picture; but it falls towards the sensor.':
    'Dust on the mirror shows in the finder, never in the picture; but it falls further in.',
  'Not dirt: no wiping takes it off, and it hardly ever shows in a picture.':
    'Not dirt: no wiping takes it off the glass, and it hardly ever shows in a picture.',
  'It lies behind a stuck filter. Free the filter first: a wide rubber band round the rim for grip.':
    'It lies behind a stuck filter. It waits until the filter is off: a wide rubber band round the rim for grip.',
};

describe.each(SCHEMAS.slice(0, -1))('a household kept under %s', (name) => {
  let db: Database;
  const fixture = fixtureOf(name);
  const all = async <T>(sql: string): Promise<T[]> => (await db.pool.query(sql)).rows as T[];
  /** Those that are there: a row may be without one only where that is said. */
  const documents = async <T>(kind: DocumentKind<T>, table: string, column: string, isOptional = false): Promise<T[]> =>
    (await all<{ document: unknown }>(`select "${column}" as document from "${table}" order by ${KEYS[table] ?? 'id'}`))
      .filter(({ document }) => document !== null || !isOptional)
      .map(({ document }) => readDocument(kind, document));

  beforeAll(async () => {
    db = new Database(overEngine(await engineHere(null), false));
    const at = SCHEMAS.indexOf(name);
    await migrate(db, SCHEMAS.slice(0, at + 1));
    await fill(db, fixture);
    await migrate(db, SCHEMAS.slice(at + 1));
    // What the last program kept is as this one would keep it.
    const rewritten = await rewriteOldDocuments(db.db, DOCUMENTS);
    // Since the seventh schema documents are what they were: only columns came.
    expect(rewritten > 0, `${rewritten} rewritten`).toBe(name < '0007');
    expect(await rewriteOldDocuments(db.db, DOCUMENTS), 'a second time').toBe(0);
  });
  afterAll(() => db.close());

  it.each(DOCUMENTS.map((d) => [`${d.table}.${d.column}`, d] as const))(
    'can be read whole: %s',
    async (_, { table, column, kind, isOptional }) => {
      const read = await documents(kind, table, column, isOptional);
      const kept = (fixture[table] ?? []).filter((row) => !isOptional || (row[column] ?? null) !== null);
      expect(read.length).toBe(kept.length + (table === 'journal_entry' ? (fixture.log_entry ?? []).length + causes(fixture).length : 0));
    },
  );

  it('has nothing left to rewrite, and no sentence in what the program itself wrote', async () => {
    expect(await rewriteOldDocuments(db.db, DOCUMENTS)).toBe(0);
    // What people wrote, and what a calendar was told, stays as it was said.
    for (const { table, column } of DOCUMENTS.filter((d) => !['stages', 'answers', 'data', 'entry', 'particulars'].includes(d.column)))
      for (const { text } of await all<{ text: string }>(`select "${column}"::text as text from "${table}"`))
        expect(SENTENCE.exec(text)?.[0], `${table}.${column}`).toBeUndefined();
  });

  it('keeps why each surface has its verdict', async () => {
    const before = fixture.surface_state!;
    const codes = await documents(BECAUSE_DOCUMENT, 'surface_state', 'because');
    expect(codes.map((b) => becauseWords(b)).every((words) => words.length > 0)).toBe(true);
    // A sentence that has been reworded since is told in its new words; those of the last schema with sentences are as they were.
    if (name === '0004_judgement')
      expect(codes.map((b) => becauseWords(b))).toEqual(before.map((row) => REWORDED[String(row.reason)] ?? row.reason));
    if (name >= '0005') return;
    const undecided = before.filter((_, i) => codes[i]!.reason === 'decided-then');
    expect(undecided.map((row) => `${String(row.surface)}: ${String(row.reason)}`)).toEqual([]);
  });

  it('keeps every cause that only a kept task told: as an entry of the journal on its day', async () => {
    for (const { item_id, task, due } of causes(fixture)) {
      const [row] = await all<{ data: unknown; at: Date }>(
        `select data, at from journal_entry where subject_id = '${item_id}' and data->'data'->>'kind' in ('left-for-home', 'neighbour-isolated') order by at desc`,
      );
      const data = readDocument<schedule.JournalData>(JOURNAL_DOCUMENT, row!.data);
      expect(data).toMatchObject(task === 'home-care' ? { kind: 'left-for-home' } : { kind: 'neighbour-isolated' });
      // The third look comes twelve weeks after it was isolated.
      expect(row!.at.toISOString().slice(0, 10)).toBe(task === 'home-care' ? due : schedule.addDays(due, -84));
    }
  });

  it('is fit to be restored: every row of it is as the API would take it', async () => {
    const told = await checkTables(await tablesOf(db.db), (table) => rowsOf(db.db, table)).catch((error: ProblemError) => error.problem);
    expect(told).toBeUndefined();
  });

  it('keeps the log to the letter', async () => {
    for (const row of fixture.log_entry ?? []) {
      const [kept] = await all<{ data: { data: object } }>(`select data from journal_entry where id = '${String(row.id)}'`);
      expect(kept!.data.data).toMatchObject(row.data as object);
    }
  });

  it('keeps every plan: its steps in their order with what they take, and a reason for all the rest', async () => {
    const plans = await documents(PLAN_DOCUMENT, 'cleaning', 'plan');
    const before = fixture.cleaning!.map(
      (row) => ('data' in (row.plan as object) ? (row.plan as { data: object }).data : row.plan) as care.CleaningPlan,
    );
    expect(plans.map((p) => p.steps.map((s) => s.id))).toEqual(before.map((p) => p.steps.map((s) => s.id)));
    for (const plan of plans) {
      expect(readPlan(plan)).not.toMatch(/undefined|\[object/);
      for (const step of plan.steps)
        expect(step.takes.map((t) => t.id)).toEqual([step.tool, ...step.uses.map((u) => u.material)].filter(Boolean));
      expect(plan.steps.every((s) => s.basis.kind.length > 0)).toBe(true);
    }
  });

  it('stands at the bench where it stood', async () => {
    const [row] = await all<{ plan: unknown; events: { data: care.BenchEvent[] } }>('select plan, events from cleaning order by id');
    const plan = readDocument(PLAN_DOCUMENT, row!.plan);
    const state = care.benchState(plan, row!.events.data);
    expect(state.phase).toBe('close');
    const [first] = plan.steps;
    expect(care.benchState(plan, [{ type: 'ready' }]).step?.id).toBe(first!.id);
  });
});

// What stands in it is read above for every schema; that a directory is copied and brought up to date is one thing for all.
describe.each([SCHEMAS[0]!, SCHEMAS.at(-2)!])('a directory kept under %s', (name) => {
  it('is opened by this program: a copy of it is kept, and everything is there', async () => {
    const dataDir = mkdtempSync(join(tmpdir(), 'bright-keeper-old-'));
    const fixture = fixtureOf(name);
    const old = new Database(overEngine(await engineHere(join(dataDir, 'db')), true));
    await old.transaction((db) => goThrough(db, steps().slice(0, SCHEMAS.indexOf(name) + 1)));
    await old.pool.query('delete from settings');
    await fill(old, fixture);
    await old.close();

    const present = await openOnFiles({ dataDir });
    const { rows } = await present.pool.query('select count(*)::int as count from item');
    expect(rows).toEqual([{ count: fixture.item!.length }]);
    expect(await rewriteOldDocuments(present.db, DOCUMENTS)).toBe(0);
    await present.close();
    expect(readdirSync(dataDir).filter((file) => file.startsWith('before-upgrade-'))).toHaveLength(1);
    rmSync(dataDir, { recursive: true });
  });
});

describe('the steps of the schema', () => {
  it('are told apart, and put in order, by the time each was written at', () => {
    const times = steps().map((step) => step.folderMillis);
    expect(times).toEqual([...new Set(times)].sort((a, b) => a - b));
    expect(times).toHaveLength(SCHEMAS.length);
  });
});

/** As large as two parts of the room for pictures and a bit. */
const PHOTOGRAPH = Buffer.from(Array.from({ length: 1_100_000 }, (_, i) => (i * i) % 251));

describe('a household kept by the first programs', () => {
  let db: Database;
  const now = '2026-03-01T10:00:00Z';
  const one = async <T>(sql: string): Promise<T> => (await db.pool.query(sql)).rows[0] as T;
  beforeAll(async () => {
    db = new Database(overEngine(await engineHere(null), false));
    await migrate(db, SCHEMAS.slice(0, 4));
    const schools = { ...care.DEFAULT_SCHOOLS, mirror: 'air-only' };
    await db.pool.query(
      `insert into item (id, name, kind, traits, notes, status, created_at, updated_at) values ($1, 'Old one', 'lens', $2, '', 'in-use', $3, $3)`,
      ['00000000-0000-7000-8000-000000000001', { coated: false, filterFitted: true }, now],
    );
    await db.pool.query(`insert into settings (id, schools, time_zone, currency) values (1, $1, 'UTC', 'EUR')`, [schools]);
    await db.pool.query(
      `insert into supply (id, thing, role, state, stock, note, created_at) values ($1, 'lens-fluid', 'any', 'clean', 100, '', $2)`,
      ['00000000-0000-7000-8000-000000000002', now],
    );
    await db.pool.query(
      `insert into timer (id, label, started_at, ends_at) values ($1, 'A middling zoom warms in its padded bag', $2, $2)`,
      ['00000000-0000-7000-8000-000000000003', now],
    );
    await db.pool.query(`insert into climate_event (id, at, data) values ($1, $2, $3)`, [
      '00000000-0000-7000-8000-000000000004',
      now,
      { kind: 'clock-jump', detail: 'Its clock went back by 12 min.' },
    ]);
    const teardown = '00000000-0000-7000-8000-000000000005';
    await db.pool.query(`insert into teardown (id, item_id, depth, stages, started_at) values ($1, $2, 'front-group', '[]', $3)`, [
      teardown,
      '00000000-0000-7000-8000-000000000001',
      now,
    ]);
    // Two stages were kept with the same photograph, which is larger than a part.
    for (const stage of ['00000000-0000-7000-8000-000000000006', '00000000-0000-7000-8000-000000000007'])
      await db.pool.query(`insert into teardown_photo (teardown_id, stage_id, type, data) values ($1, $2, 'image/jpeg', $3)`, [
        teardown,
        stage,
        PHOTOGRAPH,
      ]);
    await migrate(db, SCHEMAS.slice(4));
  });
  afterAll(() => db.close());

  it('has the photographs of an opening among its pictures, each once and as it was', async () => {
    const blobs = new BlobRepository();
    const { rows } = await db.pool.query('select distinct blob from teardown_photo');
    expect(rows).toEqual([{ blob: createHash('sha256').update(PHOTOGRAPH).digest('hex') }]);
    const [kept, ...others] = await blobs.all(db.db);
    expect([kept!.type, kept!.bytes, others]).toEqual(['image/jpeg', PHOTOGRAPH.length, []]);
    expect((await blobs.whole(db.db, kept!)).equals(PHOTOGRAPH)).toBe(true);
  });

  it('has coatings where it had coated or not', async () => {
    expect((await one<{ traits: { data: object } }>('select traits from item')).traits.data).toEqual({
      coating: 'none',
      filterFitted: true,
    });
  });

  it('goes on with the mirror’s usual school', async () => {
    expect((await one<{ schools: { data: care.Schools } }>('select schools from settings')).schools.data.mirror).toBe('air-and-brush');
  });

  it('keeps to its drawer as before', async () => {
    expect(await one('select drawer_is_all from settings')).toEqual({ drawer_is_all: true });
  });

  it('knows what is waited for, and by how much a clock went back', async () => {
    expect(await one('select size, wrapping from timer')).toEqual({ size: 'mid-lens', wrapping: 'padded-bag' });
    expect(await one('select data from climate_event')).toEqual({ data: { kind: 'clock-jump', backMin: 12 } });
  });
});
