import { commonErrors, suppliesErrors, type Supply, type SupplyInput, type SupplyUpdate } from '@bright-keeper/contract';
import { supplies as core, type care } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { and, asc, eq } from 'drizzle-orm';
import { Database, type Db } from '../db/database.js';
import { problem } from '../http/problem.js';
import { Clock, Ids } from '../platform/clock.js';
import { supplies } from './supplies.table.js';

type Row = typeof supplies.$inferSelect;
const toSupply = ({ createdAt: _, ...row }: Row): Supply => row;

/** The drawer, and what each cleaning takes from it. */
@Injectable()
export class SuppliesService {
  constructor(
    private readonly database: Database,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async list(db: Db = this.database.db): Promise<Supply[]> {
    return (await db.select().from(supplies).orderBy(asc(supplies.createdAt), asc(supplies.id))).map(toSupply);
  }

  /** What a plan may use; undefined when no drawer is kept, so that everything is assumed. */
  async onHand(db: Db): Promise<care.OnHand[] | undefined> {
    const drawer = await this.list(db);
    return drawer.length > 0 ? core.onHandFrom(drawer) : undefined;
  }

  async add(input: SupplyInput): Promise<Supply> {
    const row = { ...input, id: this.ids.next(), role: core.soldFor(input.thing), createdAt: this.clock.now() };
    const [added] = await this.database.db.insert(supplies).values(row).returning();
    return toSupply(added!);
  }

  /** Another thing in the same place of the drawer begins with the role it is sold for. */
  update(id: string, { version, ...input }: SupplyUpdate): Promise<Supply> {
    return this.change(id, version, (before) => ({
      ...input,
      ...(input.thing === before.thing ? {} : { role: core.soldFor(input.thing), usesSinceWash: 0 }),
    }));
  }

  wash(id: string, version: number): Promise<Supply> {
    return this.change(id, version, (before) => {
      if (!core.isWashable(before.thing)) throw problem(suppliesErrors, 'not-washable');
      const { state, usesSinceWash, role } = core.washed(before);
      return { state, usesSinceWash, role };
    });
  }

  demote(id: string, version: number): Promise<Supply> {
    return this.change(id, version, (before) => {
      if (!core.mayDemote(before)) throw problem(suppliesErrors, 'never-promoted');
      return { role: 'shell' };
    });
  }

  async remove(id: string): Promise<void> {
    const removed = await this.database.db.delete(supplies).where(eq(supplies.id, id)).returning({ id: supplies.id });
    if (removed.length === 0) throw problem(suppliesErrors, 'supply-not-found');
  }

  /**
   * Takes what a cleaning used, in the caller's transaction.
   *
   * @throws ProblemError naming each material the drawer held too little of, unless that is accepted.
   */
  async take(db: Db, consumption: core.Consumption, acceptShort: boolean): Promise<void> {
    const drawer = await this.list(db);
    const { draws, short } = core.takeFrom(drawer, consumption);
    if (short.length > 0 && !acceptShort)
      throw problem(suppliesErrors, 'stock-short', {
        fields: Object.fromEntries(short.map((s) => [s.material, `${s.held} in the drawer, ${s.used} used.`])),
      });
    for (const { thing, stock } of draws)
      await db
        .update(supplies)
        .set({ stock, version: thing.version + 1 })
        .where(eq(supplies.id, thing.id));
    for (const [tool, uses] of Object.entries(consumption.tools)) {
      const taken = drawer.find((d) => d.thing === tool && core.isFit(d));
      if (taken)
        await db
          .update(supplies)
          .set({ usesSinceWash: taken.usesSinceWash + uses, version: taken.version + 1 })
          .where(eq(supplies.id, taken.id));
    }
  }

  private change(id: string, version: number, how: (before: Supply) => Partial<Row>): Promise<Supply> {
    return this.database.transaction(async (db) => {
      const [before] = await db.select().from(supplies).where(eq(supplies.id, id));
      if (!before) throw problem(suppliesErrors, 'supply-not-found');
      const [after] = await db
        .update(supplies)
        .set({ ...how(toSupply(before)), version: version + 1 })
        .where(and(eq(supplies.id, id), eq(supplies.version, version)))
        .returning();
      if (!after) throw problem(commonErrors, 'stale', { current: toSupply(before) });
      return toSupply(after);
    });
  }
}
