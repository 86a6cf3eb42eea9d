import { suppliesErrors, type Drawer, type Supply, type SupplyInput, type SupplyUpdate, type SupplyWashed } from '@bright-keeper/contract';
import { supplies as core, type care } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { and, asc, eq, gte, sql } from 'drizzle-orm';
import { Database, type Db } from '../db/index.js';
import { problem, toldFor } from '../http/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock, Ids } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { supplies } from '../tables/index.js';
import { OutingRepository } from '../trip/index.js';
import { Versioned } from '../versioned/index.js';
import { usesSince } from './usesSince.js';

/** When a cleaning used what it took, and whether what the drawer held too little of is counted as used up. */
type Used = { at: Date; acceptShort: boolean };
type Row = typeof supplies.$inferSelect;
const toSupply = ({ createdAt: _, ...row }: Row): Supply => row;

/** The drawer, and what each cleaning takes from it. */
@Injectable()
export class SuppliesService {
  private readonly versioned = new Versioned(supplies, {
    find: async (db, id) => (await db.select().from(supplies).where(eq(supplies.id, id))).map(toSupply)[0] ?? null,
    missing: () => problem(suppliesErrors, 'supply-not-found'),
  });

  constructor(
    private readonly database: Database,
    private readonly settings: SettingsService,
    private readonly journal: JournalRepository,
    private readonly outings: OutingRepository,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async list(db: Db = this.database.db): Promise<Supply[]> {
    return (await db.select().from(supplies).orderBy(asc(supplies.createdAt), asc(supplies.id))).map(toSupply);
  }

  /** The drawer with the day each thing came into it, for what falls due. */
  async dated(db: Db): Promise<(Supply & { addedAt: string })[]> {
    const rows = await db.select().from(supplies).orderBy(asc(supplies.createdAt), asc(supplies.id));
    return rows.map((row) => ({ ...toSupply(row), addedAt: row.createdAt.toISOString() }));
  }

  async drawer(): Promise<Drawer> {
    const { drawerIsAll } = await this.settings.get();
    return { supplies: await this.list(), isAll: drawerIsAll, along: await this.kitAlong() };
  }

  /** The kit of an outing that is under way; null where none is, or it says of none. */
  private async kitAlong(): Promise<string | null> {
    const today = await this.settings.today(this.database.db);
    const outings = await this.outings.all(this.database.db);
    return outings.find(({ from, to, kit }) => kit !== null && from <= today && today <= to)?.kit ?? null;
  }

  /** What a plan may use there; nothing said when no drawer is kept, so that everything is assumed. */
  async onHand(db: Db, place: care.Place, kit: string | null): Promise<Pick<care.PlanRequest, 'onHand' | 'moreOnHand' | 'kit'>> {
    const { drawerIsAll } = await this.settings.get(db);
    return core.onHandAt({ supplies: await this.list(db), isAll: drawerIsAll }, place, kit);
  }

  /** Says whether the drawer lists all there is. */
  async setIsAll(isAll: boolean): Promise<Drawer> {
    await this.database.transaction((db) => this.settings.drawerIsAll(db, isAll));
    return this.drawer();
  }

  /** Puts in what a starter holds and the drawer does not list yet, its stock uncounted. */
  async start(starter: core.StarterId): Promise<Drawer> {
    await this.database.transaction(async (db) => {
      const there = new Set((await this.list(db)).map((s) => s.thing));
      const lacking = core.starterFacts(starter).things.filter((thing) => !there.has(thing));
      const createdAt = this.clock.now();
      const blank = { state: 'clean', stock: null, packSize: null, packPrice: null, openedOn: null, widthMm: null, note: '' } as const;
      const rows = lacking.map((thing) => ({ ...blank, id: this.ids.next(), thing, role: core.soldFor(thing), createdAt }));
      if (rows.length > 0) await db.insert(supplies).values(rows);
    });
    return this.drawer();
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

  /**
   * It was washed: now, or at an earlier time, with what it was used for since. Of several washes the last counts, in
   * whatever order they are told.
   *
   * @throws ProblemError where it is never washed, or the moment is still to come.
   */
  async wash(id: string, { version, at: told }: SupplyWashed): Promise<Supply> {
    const at = toldFor(told, this.clock.now(), 'at');
    return this.database.transaction(async (db) => {
      const before = await this.versioned.find(db, id);
      if (!core.isWashable(before.thing)) throw problem(suppliesErrors, 'not-washable');
      const last = await this.journal.lastWash(db, id);
      const after =
        told === null
          ? core.washed(before)
          : last && last.getTime() > at.getTime()
            ? before
            : core.washedBefore(before, await usesSince(db, id, at));
      const { state, usesSinceWash, role } = after;
      await this.journal.add(db, [{ id: this.ids.next(), at, subject: { kind: 'supply', id }, data: { kind: 'washed' } }]);
      return this.versioned.update(db, id, version, { state, usesSinceWash, role });
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
   * Takes what a cleaning used from the very things that were used, in the caller's transaction. Each stock moves in
   * one statement that asks whether enough is left, so that two cleanings at once never take the same drop. What was
   * washed after it was used is none the worse for it.
   *
   * @param at when it was used.
   * @throws ProblemError naming each thing the drawer held too little of, unless that is accepted.
   */
  async take(db: Db, takings: readonly core.Taking[], { at, acceptShort }: Used): Promise<void> {
    const { draws, worn, short } = core.takeFrom(await this.list(db), takings);
    const lacking: [string, string][] = short.map((s) => [s.thing, `${s.label}: ${s.held} in the drawer, ${s.used} used.`]);
    for (const { thing, quantity } of draws) {
      const [moved] = await db
        .update(supplies)
        .set({ stock: sql`greatest(0, ${supplies.stock} - ${quantity})`, version: sql`${supplies.version} + 1` })
        .where(and(eq(supplies.id, thing.id), acceptShort ? undefined : gte(supplies.stock, quantity)))
        .returning({ id: supplies.id });
      if (!moved) lacking.push([thing.thing, `${core.labelOf(thing)}: less than ${quantity} left.`]);
    }
    if (lacking.length > 0 && !acceptShort) throw problem(suppliesErrors, 'stock-short', { fields: Object.fromEntries(lacking) });
    for (const { thing, quantity } of worn) {
      const washed = await this.journal.lastWash(db, thing.id);
      if (washed && washed.getTime() >= at.getTime()) continue;
      await db
        .update(supplies)
        .set({ usesSinceWash: sql`${supplies.usesSinceWash} + ${quantity}`, version: sql`${supplies.version} + 1` })
        .where(eq(supplies.id, thing.id));
    }
  }

  private change(id: string, version: number, how: (before: Supply) => Partial<Row>): Promise<Supply> {
    return this.database.transaction(async (db) => {
      const supply = await this.versioned.find(db, id);
      return this.versioned.update(db, id, version, how(supply));
    });
  }
}
