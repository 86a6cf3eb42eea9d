import { scheduleErrors, type BusyAddress, type BusyCalendar, type BusyFile } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/database.js';
import { problem } from '../http/problem.js';
import { Clock, Ids } from '../platform/clock.js';
import { SettingsService } from '../settings/settings.service.js';
import { BusyRepository } from './busy.repository.js';
import { leadsNearby } from './nearby.js';

/** Busy time is kept a year ahead and a month back. */
const DAYS_AHEAD = 366;
const DAYS_BACK = 31;
const ANSWERS_WITHIN_MS = 8_000;
const LARGEST_BYTES = 4_000_000;
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
    const reading = schedule.readBusy(text, {
      from: schedule.addDays(today, -DAYS_BACK),
      to: schedule.addDays(today, DAYS_AHEAD),
      timeZone,
    });
    if (reading.events === 0 && reading.problems.length > 0) {
      const [first] = reading.problems;
      throw problem(scheduleErrors, 'no-calendar', {
        fields: { text: `Line ${first!.line}, ${first!.property || 'nothing'}: ${first!.detail}` },
      });
    }
    return { ...reading, problems: reading.problems.slice(0, MOST_PROBLEMS) };
  }

  /** @throws ProblemError for an address beyond this network, and for one that does not answer with text. */
  private async fetch(address: string): Promise<string> {
    const url = new URL(address);
    if (!(await leadsNearby(url))) throw problem(scheduleErrors, 'not-nearby', { fields: { url: 'This is not on this network.' } });
    const silent = () => problem(scheduleErrors, 'calendar-silent', { fields: { url: 'Nothing that is a calendar came from there.' } });
    try {
      // A redirect could lead anywhere: it is not followed.
      const answer = await fetch(url, {
        redirect: 'error',
        signal: AbortSignal.timeout(ANSWERS_WITHIN_MS),
        headers: { accept: 'text/calendar' },
      });
      const length = Number(answer.headers.get('content-length') ?? 0);
      if (!answer.ok || length > LARGEST_BYTES) throw silent();
      const text = await answer.text();
      if (text.length > LARGEST_BYTES) throw silent();
      return text;
    } catch {
      throw silent();
    }
  }
}
