import { recordErrors, REPORT_LIMITS, type ReportQuery } from '@bright-keeper/contract';
import type { record } from '@bright-keeper/core';
import { reportedThing } from '@bright-keeper/words';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/index.js';
import { problem } from '../http/index.js';
import { Clock } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { ReportFacts, type Room } from './reportFacts.js';
import { ReportKey } from './reportKey.js';

/** What a report tells of the household's things, by what was noted of them. */
@Injectable()
export class ReportService {
  constructor(
    private readonly database: Database,
    private readonly facts: ReportFacts,
    private readonly settings: SettingsService,
    private readonly key: ReportKey,
    private readonly clock: Clock,
  ) {}

  /** @throws ProblemError where there is no such thing, or more than a report holds. */
  async signed({ thing, parts }: ReportQuery): Promise<record.SignedReport> {
    const { db } = this.database;
    const { timeZone, currency } = await this.settings.get(db);
    const items = await this.facts.items(db, thing);
    if (items.length > REPORT_LIMITS.things) throw problem(recordErrors, 'too-many-for-a-report');
    const room: Room = { pictures: parts.includes('photographs') ? REPORT_LIMITS.photographs : 0 };
    const things: record.ReportedThing[] = [];
    // One after the other: others have their turn between two of them.
    for (const item of items) things.push(reportedThing(await this.facts.of(db, item, parts, room), parts, { timeZone, currency }));
    return this.key.sign({ format: 'condition-report', edition: 1, madeAt: this.clock.now().toISOString(), timeZone, parts, things });
  }
}
