import { recordErrors, type KeptOffer } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { desc, eq } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { problem } from '../http/index.js';
import { offers } from '../tables/index.js';
import { Versioned } from '../versioned/index.js';

type Row = typeof offers.$inferSelect;
const toOffer = ({ seen, createdAt, updatedAt, ...rest }: Row): KeptOffer => ({
  ...rest,
  ...seen,
  createdAt: createdAt.toISOString(),
  updatedAt: updatedAt.toISOString(),
});

@Injectable()
export class OfferRepository {
  readonly versioned: Versioned<typeof offers, KeptOffer> = new Versioned(offers, {
    find: (db, id) => this.find(db, id),
    missing: () => problem(recordErrors, 'offer-not-found'),
    closed: (offer) => offer.state !== 'open' && problem(recordErrors, 'offer-over', { current: offer }),
  });

  async all(db: Db): Promise<KeptOffer[]> {
    const rows = await db.select().from(offers).orderBy(desc(offers.createdAt), desc(offers.id));
    return rows.map(toOffer);
  }

  async insert(db: Db, row: typeof offers.$inferInsert): Promise<void> {
    await db.insert(offers).values(row);
  }

  async remove(db: Db, id: string): Promise<void> {
    await db.delete(offers).where(eq(offers.id, id));
  }

  private async find(db: Db, id: string): Promise<KeptOffer | null> {
    const [row] = await db.select().from(offers).where(eq(offers.id, id));
    return row ? toOffer(row) : null;
  }
}
