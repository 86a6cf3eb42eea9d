import type { WorthOverTime } from '@bright-keeper/contract';
import { gear, schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/index.js';
import { SettingsService } from '../settings/index.js';
import { PastShelfService } from './pastShelf.service.js';

/** So many ends of months are looked back on. */
const MOST_MONTHS = 36;

/** What the shelf was worth at the end of each month, and is today. */
@Injectable()
export class WorthService {
  constructor(
    private readonly database: Database,
    private readonly past: PastShelfService,
    private readonly settings: SettingsService,
  ) {}

  async overTime(): Promise<WorthOverTime> {
    const { db } = this.database;
    const [shelf, today] = await Promise.all([this.past.read(db), this.settings.today(db)]);
    const days = [today];
    for (let back = 1; back <= MOST_MONTHS; back++) {
      const { last } = schedule.monthOf(schedule.addMonths(schedule.monthOf(today).first, -back));
      if (shelf.first === null || last < shelf.first) break;
      days.unshift(last);
    }
    const told = days.map((day) => {
      const things = shelf.on(day).filter(({ gone }) => gone === null);
      return { day, things: things.length, ...gear.worthOfAll(things) };
    });
    return { days: shelf.first === null ? [] : told };
  }
}
