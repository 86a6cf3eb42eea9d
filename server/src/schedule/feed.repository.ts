import type { CalendarFilter, Feed } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { asc, eq, gt, inArray } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { type ToldEntry, calendarEvents, calendarFeeds } from '../tables/index.js';

const READ_AT_ONCE = 300;

type Row = typeof calendarFeeds.$inferSelect;
const toFeed = ({ id, name, filter, createdAt, fetchedAt }: Row): Feed => ({
  id,
  name,
  filter,
  createdAt: createdAt.toISOString(),
  fetchedAt: fetchedAt?.toISOString() ?? null,
});

/** An event as it was last told to calendars. */
export type ToldEvent = {
  uid: string;
  print: string;
  sequence: number;
  changedAt: Date;
  cancelled: boolean;
  entry: ToldEntry;
};

@Injectable()
export class FeedRepository {
  async all(db: Db): Promise<Feed[]> {
    return (await db.select().from(calendarFeeds).orderBy(asc(calendarFeeds.createdAt))).map(toFeed);
  }

  async insert(db: Db, row: { id: string; name: string; tokenHash: string; filter: CalendarFilter; createdAt: Date }): Promise<Feed> {
    const [inserted] = await db.insert(calendarFeeds).values(row).returning();
    return toFeed(inserted!);
  }

  async byToken(db: Db, tokenHash: string): Promise<Feed | null> {
    const [row] = await db.select().from(calendarFeeds).where(eq(calendarFeeds.tokenHash, tokenHash));
    return row ? toFeed(row) : null;
  }

  async fetched(db: Db, id: string, at: Date): Promise<void> {
    await db.update(calendarFeeds).set({ fetchedAt: at }).where(eq(calendarFeeds.id, id));
  }

  async remove(db: Db, id: string): Promise<boolean> {
    return (await db.delete(calendarFeeds).where(eq(calendarFeeds.id, id)).returning({ id: calendarFeeds.id })).length > 0;
  }

  /** Page by page: to read a document and hold it against its contract takes a while, and others wait for it. */
  async told(db: Db): Promise<ToldEvent[]> {
    const told: ToldEvent[] = [];
    for (let more = true; more;) {
      const after = told.at(-1)?.uid;
      const page = await db
        .select()
        .from(calendarEvents)
        .where(after === undefined ? undefined : gt(calendarEvents.uid, after))
        .orderBy(asc(calendarEvents.uid))
        .limit(READ_AT_ONCE);
      told.push(...page);
      more = page.length === READ_AT_ONCE;
    }
    return told;
  }

  async tell(db: Db, { uid, ...event }: ToldEvent): Promise<void> {
    await db
      .insert(calendarEvents)
      .values({ uid, ...event })
      .onConflictDoUpdate({ target: calendarEvents.uid, set: event });
  }

  async forget(db: Db, uids: readonly string[]): Promise<void> {
    if (uids.length > 0) await db.delete(calendarEvents).where(inArray(calendarEvents.uid, [...uids]));
  }
}
