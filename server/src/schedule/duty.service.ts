import {
  scheduleErrors,
  type CapMissing,
  type DutyDone,
  type PlanDuty,
  type SkipDuty,
  type SnoozeDuty,
  type Written,
} from '@bright-keeper/contract';
import { care, schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { problem, toldFor } from '../http/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock, Ids } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { AgendaService } from '../agenda/index.js';

/** What the keeper says of a duty: each is an entry of the journal, and each may be taken back. */
@Injectable()
export class DutyService {
  constructor(
    private readonly database: Database,
    private readonly agenda: AgendaService,
    private readonly journal: JournalRepository,
    private readonly gear: GearRepository,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** Ticks off what is done by doing it. */
  done({ code, subject, at }: DutyDone): Promise<Written> {
    return this.database.transaction(async (db) => {
      await this.duty(db, code, subject);
      if (!schedule.isMarked(code)) throw problem(scheduleErrors, 'done-otherwise');
      return this.write(db, subject, { kind: 'care', task: code }, toldFor(at, this.clock.now()));
    });
  }

  skip({ code, subject, reason, note }: SkipDuty): Promise<Written> {
    return this.database.transaction(async (db) => {
      await this.duty(db, code, subject);
      // Only what would be handed over can be lived with: growth and a cut ring cannot.
      if (reason === 'lived-with' && !schedule.MAY_BE_LIVED_WITH.includes(code)) throw problem(scheduleErrors, 'not-to-live-with');
      return this.write(db, subject, { kind: 'skipped', task: code, reason, note });
    });
  }

  snooze({ code, subject, until }: SnoozeDuty): Promise<Written> {
    return this.database.transaction(async (db) => {
      await this.duty(db, code, subject);
      if (until <= (await this.settings.today(db))) throw problem(scheduleErrors, 'day-over', { fields: { until: 'Choose a later day.' } });
      return this.write(db, subject, { kind: 'snoozed', task: code, until });
    });
  }

  /** Puts a duty on a day and keeps it there, or lets it go again. */
  plan({ code, subject, day, expected }: PlanDuty): Promise<Written> {
    return this.database.transaction(async (db) => {
      const duty = await this.duty(db, code, subject);
      if (duty.plannedOn !== expected) throw problem(scheduleErrors, 'moved-elsewhere', { current: duty });
      const today = await this.settings.today(db);
      if (day !== null && day < today) throw problem(scheduleErrors, 'day-over', { fields: { day: 'Choose today or a later day.' } });
      const { earliest, latest } = duty.window;
      // What is overdue may be put on any day from now on.
      if (day !== null && (day < earliest || (day > latest && latest >= today)))
        throw problem(scheduleErrors, 'outside-window', { fields: { day: `Choose a day from ${earliest} to ${latest}.` } });
      return this.write(db, subject, { kind: 'planned', task: code, day });
    });
  }

  /** Takes an entry back: by another one, so that both can be read. */
  undo(id: string): Promise<Written> {
    return this.database.transaction(async (db) => {
      const entry = await this.journal.find(db, id);
      if (!entry || (await this.journal.isUndone(db, id))) throw problem(scheduleErrors, 'entry-not-found');
      if (!schedule.UNDOABLE.includes(entry.data.kind)) throw problem(scheduleErrors, 'not-undoable');
      return this.write(db, entry.subject, { kind: 'undone', entryId: id });
    });
  }

  /** One of its caps is lost: it is asked for until it is ticked off. */
  capMissing({ itemId, surface }: CapMissing): Promise<Written> {
    return this.database.transaction(async (db) => {
      const item = await this.gear.versioned.find(db, itemId);
      const caps = care.capsOf(item.kind, item.traits);
      if (!caps.includes(surface)) throw problem(scheduleErrors, 'no-such-cap', { fields: { surface: 'Choose a cap that it has.' } });
      const due = (await this.agenda.ofThings(db, [item])).get(itemId)?.duties ?? [];
      if (due.some(({ facts }) => facts.says === 'caps' && facts.missing.includes(surface)))
        throw problem(scheduleErrors, 'cap-missing-already');
      return this.write(db, { kind: 'thing', id: itemId }, { kind: 'cap-missing', surface });
    });
  }

  private async duty(db: Db, code: schedule.DutyCode, subject: schedule.SubjectRef): Promise<schedule.Duty> {
    const { duties } = await this.agenda.agenda({ only: [code] }, db);
    const duty = duties.find((d) => d.subject.kind === subject.kind && d.subject.id === subject.id && d.ahead === 0);
    if (!duty) throw problem(scheduleErrors, 'duty-not-found');
    return duty;
  }

  private async write(db: Db, subject: schedule.SubjectRef, data: schedule.JournalData, at = this.clock.now()): Promise<Written> {
    const id = this.ids.next();
    await this.journal.add(db, [{ id, at, subject, data }]);
    return { entryId: id };
  }
}
