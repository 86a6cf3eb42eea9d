import { type Dismissed, type GlareTest, sensorErrors } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { asc, eq } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { dismissedSpots, glareTests, sensorFrames } from '../tables/index.js';
import { problem } from '../http/index.js';
import { Versioned } from '../versioned/index.js';

export type FrameRow = typeof sensorFrames.$inferSelect;
type DismissedRow = typeof dismissedSpots.$inferSelect;
type GlareRow = typeof glareTests.$inferSelect;

const toDismissed = ({ id, x, y, at }: DismissedRow): Dismissed => ({ id, x, y, at: at.toISOString() });
const toGlare = ({ takenAt, ...row }: GlareRow): GlareTest => ({ ...row, takenAt: takenAt.toISOString() });

@Injectable()
export class SensorRepository {
  readonly versioned = new Versioned(sensorFrames, {
    find: (db, id) => this.find(db, id),
    missing: () => problem(sensorErrors, 'frame-not-found'),
  });

  /** Oldest first. */
  frames(db: Db, itemId: string): Promise<FrameRow[]> {
    return db.select().from(sensorFrames).where(eq(sensorFrames.itemId, itemId)).orderBy(asc(sensorFrames.takenAt), asc(sensorFrames.id));
  }

  /** Of every body, oldest first. */
  allFrames(db: Db): Promise<FrameRow[]> {
    return db.select().from(sensorFrames).orderBy(asc(sensorFrames.takenAt), asc(sensorFrames.id));
  }

  async find(db: Db, id: string): Promise<FrameRow | null> {
    const [row] = await db.select().from(sensorFrames).where(eq(sensorFrames.id, id));
    return row ?? null;
  }

  async insert(db: Db, row: typeof sensorFrames.$inferInsert): Promise<void> {
    await db.insert(sensorFrames).values(row);
  }

  async setPicture(db: Db, id: string, part: 'preview' | 'original', hash: string): Promise<void> {
    await db
      .update(sensorFrames)
      .set({ [part]: hash })
      .where(eq(sensorFrames.id, id));
  }

  async remove(db: Db, id: string): Promise<void> {
    await db.delete(sensorFrames).where(eq(sensorFrames.id, id));
  }

  async dismissed(db: Db, itemId: string): Promise<Dismissed[]> {
    return (await db.select().from(dismissedSpots).where(eq(dismissedSpots.itemId, itemId)).orderBy(asc(dismissedSpots.at))).map(
      toDismissed,
    );
  }

  allDismissed(db: Db): Promise<DismissedRow[]> {
    return db.select().from(dismissedSpots);
  }

  async dismiss(db: Db, row: DismissedRow): Promise<void> {
    await db.insert(dismissedSpots).values(row);
  }

  async undismiss(db: Db, id: string): Promise<boolean> {
    return (await db.delete(dismissedSpots).where(eq(dismissedSpots.id, id)).returning({ id: dismissedSpots.id })).length > 0;
  }

  /** Oldest first. */
  async glareTests(db: Db, itemId: string): Promise<GlareTest[]> {
    return (
      await db.select().from(glareTests).where(eq(glareTests.itemId, itemId)).orderBy(asc(glareTests.takenAt), asc(glareTests.id))
    ).map(toGlare);
  }

  async addGlare(db: Db, row: GlareRow): Promise<GlareTest> {
    await db.insert(glareTests).values(row);
    return toGlare(row);
  }

  async removeGlare(db: Db, id: string): Promise<boolean> {
    return (await db.delete(glareTests).where(eq(glareTests.id, id)).returning({ id: glareTests.id })).length > 0;
  }
}
