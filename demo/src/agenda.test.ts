import { readFileSync } from 'node:fs';
import { schedule } from '@bright-keeper/core';
import { AgendaService, AppModule, DataFolder, Disk, openInMemory, SeededIds, SetClock, type Database } from '@bright-keeper/server';
import { NestFactory } from '@nestjs/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { playDemo } from './play.js';

/** What the program before the one agenda said was due in the demo loaded at this time: kept windows, needs, open work, alerts. */
const LOADED_AT = new Date('2026-03-10T10:00:00Z');
type Before = {
  due: { thing: string; task: string; earliest: string; due: string; latest: string }[];
  needs: { thing: string; verdict: string }[];
  open: { thing: string; work: string }[];
  alerts: { cause: string; place: string; names?: string[] }[];
};
const before = JSON.parse(readFileSync(new URL('fixtures/agendaBefore.json', import.meta.url), 'utf8')) as Before;

let database: Database;
let duties: schedule.Duty[];
beforeAll(async () => {
  database = await openInMemory();
  await playDemo(database, LOADED_AT);
  // Outings and test frames are new: without them it is the same household.
  await database.db.execute('delete from outing');
  await database.db.execute('delete from sensor_frame');
  await database.db.execute("delete from journal_entry where data->'data'->>'kind' = 'frame'");
  const clock = new SetClock(LOADED_AT);
  const context = await NestFactory.createApplicationContext(
    AppModule.with({ database, clock, ids: new SeededIds(clock), disk: new Disk(null), data: new DataFolder(null) }),
    {
      logger: ['error'],
    },
  );
  ({ duties } = await context.get(AgendaService).agenda());
});
afterAll(() => database.close());

const line = (d: { thing: string; task: string; earliest: string; due: string; latest: string }) =>
  `${d.thing}: ${d.task} ${d.earliest} ${d.due} ${d.latest}`;
const now = () =>
  duties.filter((d) => d.ahead === 0 && d.subject.kind === 'thing').map((d) => ({ thing: d.subject.name, task: d.code, ...d.window }));

describe('the agenda of the demo, before and after it became one', () => {
  it('has every window that was kept, to the day, but for light tests where the fungus risk is raised, and what was looked at or done since', () => {
    const after = new Set(now().map(line));
    const moved = before.due.filter((d) => !after.has(line(d)));
    expect(new Set(moved.map((d) => d.task))).toEqual(new Set(['light-test', 'battery-contacts', 'exercise', 'filter-look']));
    // A look that saw it has done it, and so has the upkeep its keeper ticked off: it falls due later than it did, or beyond what the agenda shows.
    for (const { thing, task, due } of moved.filter((d) => d.task !== 'light-test')) {
      const next = now().find((d) => d.task === task && d.thing === thing);
      expect(next === undefined || next.due > due, `${thing}: ${task}`).toBe(true);
    }
    for (const { thing, due } of moved.filter((d) => d.task === 'light-test')) {
      const duty = duties.find((d) => d.code === 'light-test' && d.subject.name === thing && d.ahead === 0)!;
      if (duty.window.due > due) continue;
      expect(duty.facts).toMatchObject({ because: expect.arrayContaining([{ because: 'fungus-risk' }]) });
      // A month instead of three, counted from the same look or from one since.
      expect(schedule.addMonths(duty.window.due, 2) >= due, thing).toBe(true);
    }
  });

  it('asks for more only where a duty is new, or a verdict, open work or a closed bag was told elsewhere', () => {
    const known = new Set(before.due.map(line));
    const moved = before.due.map((d) => `${d.thing}: ${d.task}`);
    const more = now().filter((d) => !known.has(line(d)) && !moved.includes(`${d.thing}: ${d.task}`));
    const elsewhere = ['isolate', 'hand-over', 'weigh', 'clean', 'go-on', 'air-out'];
    expect([...new Set(more.map((d) => d.task).filter((task) => !elsewhere.includes(task)))]).toEqual(['shell-and-contacts']);
  });

  it('has every need and all open work; a clean that was begun is told once', () => {
    // What lies behind a ring its owner may undo was handed over then; now that is weighed.
    const asked = (code: string) => (code === 'weigh' ? 'hand-over' : code);
    const needs = duties.filter((d) => d.facts.says === 'need').map((d) => `${d.subject.name}: ${asked(d.code)}`);
    const begun = before.open.filter((o) => o.work === 'cleaning').map((o) => o.thing);
    expect(new Set(needs)).toEqual(new Set(before.needs.filter((n) => !begun.includes(n.thing)).map((n) => `${n.thing}: ${n.verdict}`)));
    expect(
      duties
        .filter((d) => d.code === 'go-on')
        .map((d) => d.subject.name)
        .sort(),
    ).toEqual(before.open.map((o) => o.thing).sort());
  });

  it('has every alert about air, and tells what wants air thing by thing', () => {
    const air = duties.flatMap((d) => (d.facts.says === 'air' ? [{ ...d.facts, name: d.subject.name, atHand: schedule.isAtHand(d) }] : []));
    for (const { cause, place, names } of before.alerts)
      if (cause === 'too-closed')
        expect(air.filter((a) => a.cause === cause && a.atHand).map((a) => a.name)).toEqual(expect.arrayContaining(names!));
      else
        expect(
          air.some((a) => a.cause === cause && a.name === place),
          `${cause}: ${place}`,
        ).toBe(true);
    const causes = (list: { cause: string }[]) =>
      list
        .map((a) => a.cause)
        .filter((c) => c !== 'too-closed')
        .sort();
    expect(causes(air.filter((a) => a.atHand))).toEqual(causes(before.alerts));
  });
});
