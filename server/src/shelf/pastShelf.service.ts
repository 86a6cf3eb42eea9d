import type { Item } from '@bright-keeper/contract';
import { record, schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import type { Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { JournalRepository } from '../journal/index.js';
import { SettingsService } from '../settings/index.js';

/** The shelf as it stood at the end of any day, read once. */
export type PastShelf = { on: (day: schedule.Day) => Item[]; first: schedule.Day | null };

@Injectable()
export class PastShelfService {
  constructor(
    private readonly repository: GearRepository,
    private readonly journal: JournalRepository,
    private readonly settings: SettingsService,
  ) {}

  async read(db: Db): Promise<PastShelf> {
    const [ever, edits, { timeZone }] = await Promise.all([this.repository.ever(db), this.journal.edits(db), this.settings.get(db)]);
    const dayOf = (instant: string): schedule.Day => schedule.localDay(instant, timeZone);
    const things = ever.map((item) => ({
      item,
      noted: dayOf(item.createdAt),
      edits: (edits.get(item.id) ?? []).map((edit) => ({ ...edit, day: dayOf(edit.at) })),
      // What was put away by then stands on no shelf; what is gone is told as gone.
      awayOn: item.gone === null && item.archivedAt !== null ? dayOf(item.archivedAt) : null,
    }));
    const on = (day: schedule.Day): Item[] =>
      things.flatMap(({ item, noted, edits: own, awayOn }) =>
        awayOn !== null && awayOn <= day ? [] : (record.asOfDay(item, noted, own, day) ?? []),
      );
    const came = things.map(({ item, noted }) => item.acquiredOn ?? noted).sort();
    return { on, first: came[0] ?? null };
  }
}
