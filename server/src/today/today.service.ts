import type { BenchDays, Today } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { JournalRepository } from '../journal/index.js';
import { AgendaService } from '../agenda/index.js';
import { BenchDaysService } from '../schedule/index.js';

const RECENT = 8;
/** Whoever leaves comes back after a week, until trips say otherwise (our choice). */
const WEEK_AWAY_DAYS = 7;
const MOST_BEFORE_LEAVING = 3;

/** The next bench day in short: when, how long, and what comes onto the bench. */
function nextBench({ plan: { days } }: BenchDays): Today['nextBench'] {
  const [next] = days;
  if (!next) return null;
  const things = [...new Set(next.tasks.map((t) => t.duty.subject.name))];
  return { day: next.day, minutes: next.minutes, tasks: next.tasks.length, things };
}

/** What wants the keeper now: the agenda as far as it is at hand. */
@Injectable()
export class TodayService {
  constructor(
    private readonly database: Database,
    private readonly gear: GearRepository,
    private readonly journal: JournalRepository,
    private readonly agenda: AgendaService,
    private readonly bench: BenchDaysService,
  ) {}

  async today(): Promise<Today> {
    const { db } = this.database;
    const [agenda, counts, bench, recent] = await Promise.all([
      this.agenda.agenda(),
      this.gear.countOf(db),
      this.bench.days({}, { hasty: true }),
      this.journal.recent(db, RECENT),
    ]);
    const { today, duties } = agenda;
    const away = { today, backOn: schedule.addDays(today, WEEK_AWAY_DAYS) };
    return {
      day: today,
      counts,
      duties: this.agenda.toAsk(agenda).filter(schedule.isAtHand),
      nextBench: nextBench(bench),
      beforeLeaving: schedule
        .lateOnReturn(duties, away)
        .filter((d) => d.urgency !== 'overdue')
        .slice(0, MOST_BEFORE_LEAVING),
      recent,
    };
  }
}
