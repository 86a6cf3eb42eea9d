import { type Place, storageErrors } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { asc } from 'drizzle-orm';
import { Kept, Database, type Db } from '../db/index.js';
import { places } from '../tables/index.js';
import { problem } from '../http/index.js';
import { Versioned } from '../versioned/index.js';

type Row = typeof places.$inferSelect;
const toPlace = ({ createdAt: _, archivedAt, ...row }: Row): Place => ({ ...row, archivedAt: archivedAt?.toISOString() ?? null });

@Injectable()
export class PlaceRepository {
  readonly versioned = new Versioned(places, {
    find: (db, id) => this.find(db, id),
    missing: () => problem(storageErrors, 'place-not-found'),
  });

  private readonly kept = new Kept<ReadonlyMap<string, Place>>();

  constructor(private readonly database: Database) {}

  /** Every place that has not been given up, in the order they were made. */
  async all(db: Db): Promise<Place[]> {
    return [...(await this.everyOne(db)).values()].filter((place) => place.archivedAt === null);
  }

  async names(db: Db): Promise<Map<string, string>> {
    return new Map([...(await this.everyOne(db))].map(([id, { name }]) => [id, name]));
  }

  async find(db: Db, id: string): Promise<Place | null> {
    return (await this.everyOne(db)).get(id) ?? null;
  }

  /** Given up or not. They are few, and every page of the air asks for them. */
  private everyOne(db: Db): Promise<ReadonlyMap<string, Place>> {
    return this.kept.get(this.database.stampFor(db, [places]), async () => {
      const rows = await db.select().from(places).orderBy(asc(places.createdAt), asc(places.id));
      return new Map(rows.map((row) => [row.id, toPlace(row)]));
    });
  }

  async insert(db: Db, row: typeof places.$inferInsert): Promise<void> {
    await db.insert(places).values(row);
  }
}
