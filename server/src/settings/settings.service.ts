import { type Settings } from '@bright-keeper/contract';
import { care, schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { eq, isNull, sql } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import { Kept, Database, type Db } from '../db/index.js';
import { Clock } from '../platform/index.js';
import { settings } from '../tables/index.js';
import { changeVersion, staleNow } from '../versioned/index.js';

const ONLY_ROW = 1;
const FIRST: Omit<Settings, 'version'> = {
  schools: care.DEFAULT_SCHOOLS,
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
  currency: 'EUR',
  sensorRehearsedOn: null,
  drawerIsAll: false,
};

/** The user's schools, zone and currency: one row, there from the first question on. */
@Injectable()
export class SettingsService {
  private readonly kept = new Kept<Settings>();
  private readonly onSchools: ((db: Db) => Promise<void>)[] = [];

  constructor(
    private readonly database: Database,
    private readonly clock: Clock,
  ) {}

  async get(db: Db = this.database.db): Promise<Settings> {
    return this.kept.get(this.database.stampFor(db, [settings]), async () => {
      const [row] = await db.select().from(settings).where(eq(settings.id, ONLY_ROW));
      return row ? this.settingsOf(row) : { version: 1, ...FIRST };
    });
  }

  /** The household's calendar day: its time zone decides, wherever the browser or the server stands. */
  async today(db: Db = this.database.db): Promise<schedule.Day> {
    const { timeZone } = await this.get(db);
    return schedule.localDay(this.clock.now(), timeZone);
  }

  /** A school added since the row was written takes its default. */
  private settingsOf({ id: _, ...stored }: typeof settings.$inferSelect): Settings {
    return { ...stored, schools: { ...care.DEFAULT_SCHOOLS, ...stored.schools } };
  }

  /** The dry run of a sensor clean was done; the first time counts. */
  async rehearsed(db: Db, on: string): Promise<void> {
    await db
      .insert(settings)
      .values({ id: ONLY_ROW, ...FIRST, sensorRehearsedOn: on })
      .onConflictDoUpdate({
        target: settings.id,
        set: { sensorRehearsedOn: on, version: sql`${settings.version} + 1` },
        setWhere: isNull(settings.sensorRehearsedOn),
      });
  }

  /** Whether the drawer lists all there is. */
  async drawerIsAll(db: Db, isAll: boolean): Promise<void> {
    await db
      .insert(settings)
      .values({ id: ONLY_ROW, ...FIRST, drawerIsAll: isAll })
      .onConflictDoUpdate({ target: settings.id, set: { drawerIsAll: isAll, version: sql`${settings.version} + 1` } });
  }

  /** Has work done in the same transaction in which the schools change: what follows from them follows at once. */
  whenSchoolsChange(work: (db: Db) => Promise<void>): void {
    this.onSchools.push(work);
  }

  update(change: Settings): Promise<Settings> {
    return this.database.transaction(async (db) => {
      await db
        .insert(settings)
        .values({ id: ONLY_ROW, ...FIRST })
        .onConflictDoNothing();
      const { version, ...rest } = change;
      const before = await this.get(db);
      if (!(await changeVersion(db, settings, ONLY_ROW, version, rest))) throw staleNow(before);
      const after = await this.get(db);
      if (!isDeepStrictEqual(before.schools, after.schools)) for (const work of this.onSchools) await work(db);
      return after;
    });
  }
}
