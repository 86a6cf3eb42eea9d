import type { BusyCalendar } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { asc, eq } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { busyCalendars } from '../tables/index.js';

type Row = typeof busyCalendars.$inferSelect;
const toBusy = (row: Row): BusyCalendar => ({ ...row, readAt: row.readAt.toISOString() });

@Injectable()
export class BusyRepository {
  async all(db: Db): Promise<BusyCalendar[]> {
    return (await db.select().from(busyCalendars).orderBy(asc(busyCalendars.name), asc(busyCalendars.id))).map(toBusy);
  }

  async find(db: Db, id: string): Promise<BusyCalendar | null> {
    const [row] = await db.select().from(busyCalendars).where(eq(busyCalendars.id, id));
    return row ? toBusy(row) : null;
  }

  async insert(db: Db, row: typeof busyCalendars.$inferInsert): Promise<BusyCalendar> {
    const [inserted] = await db.insert(busyCalendars).values(row).returning();
    return toBusy(inserted!);
  }

  async set(db: Db, id: string, change: Partial<Row>): Promise<BusyCalendar> {
    const [row] = await db.update(busyCalendars).set(change).where(eq(busyCalendars.id, id)).returning();
    return toBusy(row!);
  }

  async remove(db: Db, id: string): Promise<boolean> {
    return (await db.delete(busyCalendars).where(eq(busyCalendars.id, id)).returning({ id: busyCalendars.id })).length > 0;
  }
}
