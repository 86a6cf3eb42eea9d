import type { BenchTimes, CalendarFilter } from '@bright-keeper/contract';
import type { schedule } from '@bright-keeper/core';
import { boolean, integer, pgTable, text, unique, uuid } from 'drizzle-orm/pg-core';
import { instant, document } from '../db/index.js';
import {
  BENCH_TIMES_DOCUMENT,
  BUSY_DOCUMENT,
  ENTRY_DOCUMENT,
  type ToldEntry,
  FILTER_DOCUMENT,
  PROBLEMS_DOCUMENT,
  RHYTHM_DOCUMENT,
} from './schedule.documents.js';

/** Rhythms the keeper has set: for all, for a kind or for one; what none covers follows the default. */
export const rhythms = pgTable(
  'rhythm',
  {
    id: uuid().primaryKey(),
    version: integer().notNull().default(1),
    code: text().$type<schedule.DutyCode>().notNull(),
    scope: text().$type<schedule.RhythmScope['for']>().notNull(),
    /** The kind or the id; empty for all. */
    scopeKey: text('scope_key').notNull(),
    /** Its rhythm is null where it is switched off. */
    rhythm: document<{ rhythm: schedule.Rhythm | null }>('rhythm', RHYTHM_DOCUMENT).notNull(),
  },
  (t) => [unique('rhythm_scope').on(t.code, t.scope, t.scopeKey)],
);

/** The one row of when there is time for the bench. */
export const benchTimes = pgTable('bench_times', {
  id: integer().primaryKey(),
  version: integer().notNull().default(1),
  times: document<Omit<BenchTimes, 'version'>>('times', BENCH_TIMES_DOCUMENT).notNull(),
});

export const calendarFeeds = pgTable('calendar_feed', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  /** SHA-256 of the key in its address; the key itself is not kept. */
  tokenHash: text('token_hash').notNull().unique('calendar_feed_token'),
  filter: document<CalendarFilter>('filter', FILTER_DOCUMENT).notNull(),
  createdAt: instant('created_at').notNull(),
  fetchedAt: instant('fetched_at'),
});

/** Each event that was ever told to a calendar: what it was when it last changed, so that a change counts up. */
export const calendarEvents = pgTable('calendar_event', {
  uid: text().primaryKey(),
  /** A hash of what it tells. */
  print: text().notNull(),
  sequence: integer().notNull(),
  changedAt: instant('changed_at').notNull(),
  cancelled: boolean().notNull(),
  entry: document<ToldEntry>('entry', ENTRY_DOCUMENT).notNull(),
});

export const busyCalendars = pgTable('busy_calendar', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  url: text(),
  readAt: instant('read_at').notNull(),
  events: integer().notNull(),
  busy: document<schedule.Busy[]>('busy', BUSY_DOCUMENT).notNull(),
  problems: document<schedule.CalendarProblem[]>('problems', PROBLEMS_DOCUMENT).notNull(),
});
