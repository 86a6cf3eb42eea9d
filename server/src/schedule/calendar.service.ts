import {
  routes,
  scheduleErrors,
  type BenchDays,
  type CalendarFilter,
  type Feed,
  type FeedInput,
  type NewFeed,
} from '@bright-keeper/contract';
import { schedule, MS_PER_DAY } from '@bright-keeper/core';
import { benchDayWords, dutyWords, gravityWords, subjectWords } from '@bright-keeper/words';
import { Injectable } from '@nestjs/common';
import { createHash, randomBytes } from 'node:crypto';
import { Database, type Db } from '../db/index.js';
import { problem } from '../http/index.js';
import { Clock, hashOfKey, Ids, breather, eachInSlices, inSteps } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { AgendaService } from '../agenda/index.js';
import { BenchDaysService } from './benchDays.service.js';
import { FeedRepository, type ToldEvent } from './feed.repository.js';
import type { ToldEntry } from '../tables/index.js';

const TOKEN_BYTES = 24;
/** A cancelled event is told so long, that every calendar hears of it (our choice). */
const CANCELLED_DAYS = 60;
/** A whole day rings at nine in the morning, a bench day half an hour before (our choice). */
const MORNING_MIN = -540;
const HALF_HOUR = 30;
const HOUSE = 'bright-keeper';

export type CalendarText = { text: string; etag: string; lastModified: Date };

const hashOf = (text: string): string => createHash('sha256').update(text).digest('hex');
const passes = ({ subjects, gravities }: CalendarFilter, { concerns }: ToldEntry): boolean =>
  !concerns || ((subjects?.includes(concerns.subject) ?? true) && (gravities?.includes(concerns.gravity) ?? true));

function dutyEntry(duty: schedule.Duty): ToldEntry {
  const { title, why } = dutyWords(duty);
  return {
    uid: `${duty.id}@${HOUSE}`,
    summary: `${duty.subject.name}: ${title}`,
    description: `${why} (${duty.window.earliest} – ${duty.window.latest}, ${duty.minutes} min)`.trim(),
    day: duty.plannedOn ?? duty.window.due,
    minutes: duty.minutes,
    categories: [subjectWords(duty.subject.kind), gravityWords(duty.gravity)],
    ...(duty.estimate ? { tentative: true } : {}),
    concerns: { subject: duty.subject.kind, gravity: duty.gravity },
  };
}

/** One alarm a day, with what is gravest: a dozen of them at nine in the morning are none. */
function oneAlarmADay(duties: readonly schedule.Duty[]): Promise<ToldEntry[]> {
  const rung = new Set<schedule.Day>();
  return eachInSlices(duties, (duty) => {
    const entry = dutyEntry(duty);
    if (duty.ahead > 0 || rung.has(entry.day)) return entry;
    rung.add(entry.day);
    return { ...entry, alarmMinutesBefore: MORNING_MIN };
  });
}

const benchEntry = (startsAt: string, day: BenchDays['plan']['days'][number]): schedule.CalendarEntry => ({
  uid: `bench/${day.day}@${HOUSE}`,
  ...benchDayWords(day),
  day: day.day,
  time: startsAt,
  minutes: day.minutes,
  categories: ['bench day'],
  alarmMinutesBefore: HALF_HOUR,
});

/** The agenda and the bench days as a calendar: as a file, and at addresses other calendars fetch. */
@Injectable()
export class CalendarService {
  constructor(
    private readonly database: Database,
    private readonly agenda: AgendaService,
    private readonly bench: BenchDaysService,
    private readonly repository: FeedRepository,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async calendar(filter: CalendarFilter, name: string): Promise<CalendarText> {
    const agenda = await this.agenda.agenda();
    const entries = [...(filter.duties ? await oneAlarmADay(agenda.duties) : []), ...(filter.benchDays ? await this.benchEntries() : [])];
    const told = await this.database.transaction((db) => this.tell(db, entries, filter));
    const concerns = new Map(entries.map((entry) => [entry.uid, entry]));
    // What is gone is told as cancelled only where it was once shown.
    const events = told.filter((t) => passes(filter, concerns.get(t.uid) ?? t.entry)).sort((a, b) => (a.uid < b.uid ? -1 : 1));
    const lastModified = new Date(Math.max(0, ...events.map((e) => e.changedAt.getTime())));
    const { timeZone } = await this.settings.get();
    const text = await inSteps(
      schedule.iCalendarInSteps(
        events.map(({ entry, sequence, changedAt, cancelled }) => ({ ...entry, sequence, at: changedAt.toISOString(), cancelled })),
        { timeZone, now: lastModified.toISOString(), name },
      ),
    );
    return { text, etag: `"${hashOf(text).slice(0, 32)}"`, lastModified };
  }

  feeds(): Promise<Feed[]> {
    return this.repository.all(this.database.db);
  }

  /** Makes an address; its key is told this once. */
  async addFeed({ name, filter }: FeedInput): Promise<NewFeed> {
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    const row = { id: this.ids.next(), name: name.trim(), filter, tokenHash: hashOfKey(token), createdAt: this.clock.now() };
    const feed = await this.repository.insert(this.database.db, row);
    return { ...feed, path: routes.feedFile(token) };
  }

  async revoke(id: string): Promise<void> {
    if (!(await this.repository.remove(this.database.db, id))) throw problem(scheduleErrors, 'feed-not-found');
  }

  /** @throws ProblemError when no feed has this key, or has it no more. */
  async ofFeed(token: string): Promise<CalendarText> {
    const { db } = this.database;
    const feed = await this.repository.byToken(db, hashOfKey(token));
    if (!feed) throw problem(scheduleErrors, 'feed-not-found');
    await this.repository.fetched(db, feed.id, this.clock.now());
    return this.calendar(feed.filter, feed.name);
  }

  private async benchEntries() {
    const { plan, times } = await this.bench.days({});
    return plan.days.map((day): ToldEntry => benchEntry(times.startsAt, day));
  }

  /** Compares with what was told before: a change counts up, what is gone is told as cancelled for a while. */
  private async tell(db: Db, entries: readonly ToldEntry[], filter: CalendarFilter): Promise<ToldEvent[]> {
    const now = this.clock.now();
    const before = new Map((await this.repository.told(db)).map((t) => [t.uid, t]));
    const told: ToldEvent[] = [];
    const breathe = breather();
    for (const entry of entries) {
      await breathe();
      // What it concerns is for this program alone: no calendar sees that change.
      const { concerns: _, ...shown } = entry;
      const print = hashOf(JSON.stringify(shown));
      const known = before.get(entry.uid);
      before.delete(entry.uid);
      if (known && known.print === print && !known.cancelled) {
        told.push(known);
        continue;
      }
      const next = { uid: entry.uid, print, sequence: known ? known.sequence + 1 : 0, changedAt: now, cancelled: false, entry };
      await this.repository.tell(db, next);
      told.push(next);
    }
    const gone = [...before.values()].filter((t) => (t.uid.startsWith('bench/') ? filter.benchDays : filter.duties));
    for (const known of gone) {
      if (known.cancelled) {
        told.push(known);
        continue;
      }
      const next = { ...known, sequence: known.sequence + 1, changedAt: now, cancelled: true };
      await this.repository.tell(db, next);
      told.push(next);
    }
    const old = told.filter((t) => t.cancelled && now.getTime() - t.changedAt.getTime() > CANCELLED_DAYS * MS_PER_DAY);
    await this.repository.forget(
      db,
      old.map((t) => t.uid),
    );
    return told.filter((t) => !old.includes(t));
  }
}
