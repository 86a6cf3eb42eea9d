import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { care } from '@bright-keeper/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { MIGRATIONS } from '../paths.js';

const BEFORE = ['0000_first-light', '0001_drawer', '0002_places-and-bench', '0003_air-and-timers'];
const AFTER = '0004_judgement';
const ITEM = '00000000-0000-7000-8000-000000000001';
const CLEANING = '00000000-0000-7000-8000-000000000002';

let db: PGlite;
const run = async (name: string): Promise<void> => {
  const text = readFileSync(join(MIGRATIONS, `${name}.sql`), 'utf8');
  for (const statement of text.split('--> statement-breakpoint')) await db.exec(statement);
};
const one = async <T>(sql: string): Promise<T> => (await db.query<T>(sql)).rows[0]!;

/** A plan as the program wrote it before the upgrade: its steps did not name the things they take. */
const OLD_PLAN = {
  steps: [
    {
      id: 'front-glass/1/blow',
      surface: 'front-glass',
      method: 'blow',
      level: 1,
      pass: 1,
      removes: [],
      tool: 'bulb-blower',
      uses: [],
      contact: false,
      tries: 2,
      look: { asks: 'clean' },
      completes: null,
      onNoChange: 'climb',
      sensor: null,
      cautions: [],
    },
    {
      id: 'front-glass/1/damp-wipe',
      surface: 'front-glass',
      method: 'damp-wipe',
      level: 4,
      pass: 1,
      removes: ['fingerprint'],
      tool: null,
      uses: [
        { material: 'lens-fluid', amount: { quantity: 4, unit: 'drop' } },
        { material: 'lens-tissue', amount: { quantity: 2, unit: 'sheet' } },
      ],
      contact: true,
      tries: 2,
      look: { asks: 'clean' },
      completes: null,
      onNoChange: 'climb',
      sensor: null,
      cautions: [],
    },
  ],
  refused: [],
  deferred: [],
};

beforeAll(async () => {
  db = await PGlite.create();
  for (const name of BEFORE) await run(name);
  const now = '2026-03-01T10:00:00Z';
  await db.query(
    `insert into item (id, name, kind, traits, notes, status, created_at, updated_at) values ($1, 'Old one', 'lens', $2, '', 'in-use', $3, $3)`,
    [ITEM, { coated: false, filterFitted: true }, now],
  );
  await db.query(`insert into settings (id, schools, time_zone, currency) values (1, $1, 'UTC', 'EUR')`, [
    { ...care.DEFAULT_SCHOOLS, mirror: 'air-only' },
  ]);
  await db.query(
    `insert into supply (id, thing, role, state, stock, note, created_at) values ($1, 'lens-fluid', 'any', 'clean', 100, '', $2)`,
    [CLEANING, now],
  );
  await db.query(
    `insert into cleaning (id, item_id, request, plan, events, chosen_schools, started_at) values ($1, $2, $3, $4, '[]', $5, $6)`,
    [
      CLEANING,
      ITEM,
      { item: { kind: 'lens', traits: { coated: true } }, place: 'home', findings: [], schools: { mirror: 'air-only' } },
      OLD_PLAN,
      { mirror: 'air-only' },
      now,
    ],
  );
  await run(AFTER);
}, 60_000);
afterAll(() => db.close());

describe('a household kept by the earlier program', () => {
  it('has coatings where it had coated or not', async () => {
    expect((await one<{ traits: object }>('select traits from item')).traits).toEqual({ coating: 'none', filterFitted: true });
    const { request } = await one<{ request: care.PlanRequest }>('select request from cleaning');
    expect(request.item.traits).toEqual({ coating: 'multi' });
  });

  it('goes on with the mirror’s usual school, everywhere it was kept', async () => {
    const { schools } = await one<{ schools: care.Schools }>('select schools from settings');
    const { request, chosen } = await one<{ request: care.PlanRequest; chosen: object }>(
      'select request, chosen_schools as chosen from cleaning',
    );
    expect([schools.mirror, request.schools?.mirror, chosen]).toEqual(['air-and-brush', 'air-and-brush', { mirror: 'air-and-brush' }]);
  });

  it('keeps to its drawer as before', async () => {
    expect(await one('select drawer_is_all from settings')).toEqual({ drawer_is_all: true });
  });

  it('stands at the bench where it stood: the open plan is read, its steps in their order and with what they take', async () => {
    const { plan } = await one<{ plan: care.CleaningPlan }>('select plan from cleaning');
    expect(plan.steps.map((s) => s.takes)).toEqual([[{ id: 'bulb-blower' }], [{ id: 'lens-fluid' }, { id: 'lens-tissue' }]]);
    expect([plan.openings, plan.alsoLook, plan.worthIt]).toEqual([[], [], []]);
    const [blow] = plan.steps.map((s) => s.id) as [string];
    const state = care.benchState(plan, [
      { type: 'ready' },
      { type: 'done', step: blow },
      { type: 'answer', step: blow, answer: 'no-change' },
    ]);
    expect(state.step?.method).toBe('damp-wipe');
  });
});
