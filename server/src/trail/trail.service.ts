import { MS_PER_DAY } from '@bright-keeper/core';
import type { Trail, TrailEntry, TrailQuery } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { readCursor, writeCursor, type Deed } from '../http/index.js';
import { Clock, Ids } from '../platform/index.js';
import { TrailRepository, type NamedTrailRow } from './trail.repository.js';

/** A year and a month: last year's season can still be looked up. */
const KEPT_DAYS = 400;

const dayOf = (at: Date): string => at.toISOString().slice(0, 10);

const entryOf = ({ row, name, deviceName }: NamedTrailRow): TrailEntry => ({
  id: row.id,
  who: row.deviceId ? { is: 'device', id: row.deviceId, name: deviceName ?? '' } : { is: 'keeper', name: row.keeper },
  act: row.act,
  subject: row.subject,
  name,
  firstAt: row.firstAt.toISOString(),
  at: row.at.toISOString(),
  times: row.times,
});

/** Who changed what, and when. */
@Injectable()
export class TrailService {
  /** The day on which old entries were last forgotten by this program. */
  private tidiedOn = '';

  constructor(
    private readonly database: Database,
    private readonly repository: TrailRepository,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** What a keeper did, told by the door it came through. @param keeper which, where there are several. */
  byKeeper(deed: Deed, keeper: string | null, subjectId: string | null): Promise<void> {
    return this.database.transactionAfterwards(async (db) => {
      const at = this.clock.now();
      await this.repository.noteKeeper(db, { ...deed, keeper, id: this.ids.next(), day: dayOf(at), subjectId, at });
      await this.tidy(db, at);
    });
  }

  /** What devices did with their keys, inside the transaction in which they do so. */
  async byDevices(db: Db, deviceIds: readonly string[], deed: Deed): Promise<void> {
    const at = this.clock.now();
    await this.repository.noteDevices(db, { ...deed, day: dayOf(at), at }, deviceIds, () => this.ids.next());
    await this.tidy(db, at);
  }

  async page({ who, cursor, limit }: TrailQuery): Promise<Trail> {
    const found = await this.repository.page(this.database.db, who, readCursor(cursor), limit + 1);
    const rows = found.slice(0, limit);
    const last = rows.at(-1)?.row;
    return {
      entries: rows.map(entryOf),
      nextCursor: last && found.length > limit ? writeCursor({ key: last.at.toISOString(), id: last.id }) : null,
    };
  }

  /** The last moment at which anything was done, as the clock of that moment had it. */
  latestAt(): Promise<Date | null> {
    return this.repository.latestAt(this.database.db);
  }

  /** When each device last came with its key, by its id. */
  lastOfDevices(db: Db): Promise<Map<string, Date>> {
    return this.repository.lastOfDevices(db);
  }

  /** Once a day what is too old is forgotten. */
  private async tidy(db: Db, at: Date): Promise<void> {
    const day = dayOf(at);
    if (this.tidiedOn === day) return;
    await this.repository.forgetBefore(db, new Date(at.getTime() - KEPT_DAYS * MS_PER_DAY));
    this.tidiedOn = day;
  }
}
