import { scheduleErrors, type BusyAddress, type BusyCalendar, type BusyFile } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { join } from 'node:path';
import { Database } from '../db/index.js';
import { problem, type ProblemError } from '../http/index.js';
import { LIMITS } from '../limits.js';
import { WORKERS } from '../paths.js';
import { EndedApart, runApart, Clock, Ids, fetchNearby, NotFetched } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { BusyRepository } from './busy.repository.js';

/** Busy time is kept a year ahead and a month back. */
const DAYS_AHEAD = 366;
const DAYS_BACK = 31;
const MOST_PROBLEMS = 50;

/** Other calendars, of which only the busy times are kept. */
@Injectable()
export class BusyService {
  constructor(
    private readonly database: Database,
    private readonly repository: BusyRepository,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  all(): Promise<BusyCalendar[]> {
    return this.repository.all(this.database.db);
  }

  async fromFile({ name, text }: BusyFile): Promise<BusyCalendar> {
    return this.keep({ name: name.trim(), url: null }, await this.read(text));
  }

  async fromAddress({ name, url }: BusyAddress): Promise<BusyCalendar> {
    return this.keep({ name: name.trim(), url }, await this.read(await this.fetch(url)));
  }

  /** Reads a calendar that has an address anew. */
  async refresh(id: string): Promise<BusyCalendar> {
    const calendar = await this.repository.find(this.database.db, id);
    if (!calendar?.url) throw problem(scheduleErrors, 'calendar-not-found');
    const { busy, events, problems } = await this.read(await this.fetch(calendar.url));
    return this.repository.set(this.database.db, id, { busy, events, problems, readAt: this.clock.now() });
  }

  async remove(id: string): Promise<void> {
    if (!(await this.repository.remove(this.database.db, id))) throw problem(scheduleErrors, 'calendar-not-found');
  }

  private keep(
    { name, url }: { name: string; url: string | null },
    { busy, events, problems }: schedule.BusyReading,
  ): Promise<BusyCalendar> {
    return this.repository.insert(this.database.db, { id: this.ids.next(), name, url, busy, events, problems, readAt: this.clock.now() });
  }

  private async read(text: string): Promise<schedule.BusyReading> {
    const { timeZone } = await this.settings.get();
    const today = schedule.localDay(this.clock.now(), timeZone);
    const span = { from: schedule.addDays(today, -DAYS_BACK), to: schedule.addDays(today, DAYS_AHEAD), timeZone };
    const reading = await readApart(text, span);
    if (reading.events === 0 && reading.problems.length > 0) {
      const [first] = reading.problems;
      throw problem(scheduleErrors, 'no-calendar', {
        fields: { text: `Line ${first!.line}, ${first!.property || 'nothing'}: ${first!.detail}` },
      });
    }
    return { ...reading, problems: reading.problems.slice(0, MOST_PROBLEMS) };
  }

  /** @throws ProblemError for an address beyond this network, and for one that does not answer with a calendar in time. */
  private async fetch(address: string): Promise<string> {
    try {
      return await fetchNearby(address, 'text/calendar', LIMITS.calendar);
    } catch (error) {
      throw error instanceof NotFetched ? REFUSED[error.why]() : error;
    }
  }
}

const REFUSED: Record<NotFetched['why'], () => ProblemError> = {
  'not-nearby': () => problem(scheduleErrors, 'not-nearby', { fields: { url: 'This is not on this network.' } }),
  silent: () => problem(scheduleErrors, 'calendar-silent', { fields: { url: 'Nothing that is a calendar came from there.' } }),
  'too-large': () => problem(scheduleErrors, 'calendar-too-large', { fields: { url: 'More came from there than a calendar holds.' } }),
};

/** In a thread of its own: a calendar can be written that is never read to its end. @throws ProblemError naming the line where it stood. */
async function readApart(text: string, span: { from: schedule.Day; to: schedule.Day; timeZone: string }): Promise<schedule.BusyReading> {
  const { readMs, memoryMb } = LIMITS.calendar;
  try {
    return await runApart<schedule.BusyReading>(join(WORKERS, 'calendar.mjs'), { text, span }, { ms: readMs, memoryMb });
  } catch (error) {
    if (!(error instanceof EndedApart) || error.why === 'broke') throw error;
    const where = typeof error.at === 'number' ? `The event that begins on line ${error.at}` : 'This calendar';
    throw problem(scheduleErrors, 'calendar-endless', { fields: { text: `${where} cannot be read to its end.` } });
  }
}
