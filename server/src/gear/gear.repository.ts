import { type GroupQuery, type Item, NO_PLACE, type ShelfQuery, type SurfaceState, gearErrors } from '@bright-keeper/contract';
import { care, gear, schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { and, asc, count, desc, eq, gte, ilike, inArray, isNotNull, isNull, ne, notInArray, or, sql, sum, type SQL } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { type Mark, problem } from '../http/index.js';
import { grouped } from '../platform/index.js';
import { contacts, items, outings, places, stays, surfaceStates } from '../tables/index.js';
import { Versioned } from '../versioned/index.js';

type ItemRow = typeof items.$inferSelect;
type StateRow = typeof surfaceStates.$inferSelect;

const toItem = ({ goneWhy, goneOn, goneFor, ...row }: ItemRow): Item => ({
  ...row,
  gone: goneWhy && goneOn ? { why: goneWhy, on: goneOn, for: goneFor } : null,
  archivedAt: row.archivedAt?.toISOString() ?? null,
  createdAt: row.createdAt.toISOString(),
  updatedAt: row.updatedAt.toISOString(),
});

const toState = ({ itemId: _, ...row }: StateRow): SurfaceState => ({ ...row, knownSince: row.knownSince.toISOString() });

/** The verdicts as a list in SQL, mildest first: the place of one in it tells how grave it is. */
const VERDICTS_IN_SQL = sql`array[${sql.join(
  care.VERDICTS.map((verdict) => sql`${verdict}`),
  sql`, `,
)}]::text[]`;

const likePattern = (text: string) => `%${text.replace(/[\\%_]/g, '\\$&')}%`;

/** How the shelf is sorted: a text key, and which way it runs. */
const SORTS: Record<ShelfQuery['sort'], { key: (dueOn: SQL) => SQL<string>; descending: boolean }> = {
  name: { key: () => sql<string>`lower(${items.name})`, descending: false },
  added: { key: () => sql<string>`to_char(${items.createdAt} at time zone 'UTC', 'YYYY-MM-DD HH24:MI:SS.MS')`, descending: true },
  due: { key: (dueOn) => sql<string>`coalesce(${dueOn}::text, '9999-12-31')`, descending: false },
};

const IN_WORDS_IN_SQL = sql`array[${sql.join(
  gear.TOLD_IN_WORDS.map((id) => sql`${id}`),
  sql`, `,
)}]::text[]`;
const saysInParticulars = (pattern: string): SQL =>
  sql`exists (select 1 from jsonb_each_text(${items.particulars}->'data') said where said.key = any(${IN_WORDS_IN_SQL}) and said.value ilike ${pattern})`;
const liesIn = (pattern: string): SQL =>
  sql`exists (select 1 from ${stays} join ${places} on ${places.id} = ${stays.placeId} where ${stays.itemId} = ${items.id} and ${stays.until} is null and ${places.name} ilike ${pattern})`;
/** Whether it is found by a text: by its name, its notes, any of its particulars, or where it lies. */
function isFoundBy(text: string): SQL | undefined {
  const pattern = likePattern(text);
  return or(ilike(items.name, pattern), ilike(items.notes, pattern), saysInParticulars(pattern), liesIn(pattern));
}
const liesInPlace = (placeId: string): SQL =>
  placeId === NO_PLACE
    ? sql`not exists (select 1 from ${stays} where ${stays.itemId} = ${items.id} and ${stays.until} is null)`
    : sql`exists (select 1 from ${stays} where ${stays.itemId} = ${items.id} and ${stays.until} is null and ${stays.placeId} = ${placeId}::uuid)`;
const hasTag = (tag: string): SQL =>
  sql`exists (select 1 from jsonb_array_elements_text(coalesce(${items.particulars}->'data'->'tags', '[]')) tag where lower(tag) = lower(${tag}))`;

/**
 * Had by then, and on no outing since; of parts what they belong to tells. Nothing is said before outings themselves were
 * noted for so long.
 */
const wasNotOutSince = (since: schedule.Day, today: schedule.Day): SQL =>
  sql`${items.belongsTo} is null and coalesce(${items.acquiredOn}, ${items.createdAt}::date) <= ${since}
    and exists (select 1 from ${outings} where ${outings.from} <= ${since})
    and not exists (select 1 from ${outings} where ${items.id} = any(${outings.itemIds}) and ${outings.to} >= ${since} and ${outings.from} <= ${today})`;

const CHUNK = 500;
const READ_AT_ONCE = 300;

/** A surface on which something was found, and the thing it is of. */
export type FoundState = Pick<ItemRow, 'kind' | 'traits'> & { itemId: string; state: Omit<StateRow, 'itemId'> };

/** When something first falls due for a thing, and until when it may wait at the latest. */
export type FirstDue = { item_id: string; due: string; latest: string };

/** What a shelf is told to show: which things, and what that is told by. */
function matching(db: Db, query: Omit<ShelfQuery, 'sort' | 'limit' | 'cursor'>, today: string, due: readonly FirstDue[]) {
  const gravity = db
    .select({
      itemId: surfaceStates.itemId,
      rank: sql<number>`max(array_position(${VERDICTS_IN_SQL}, ${surfaceStates.verdict}))`.as('rank'),
    })
    .from(surfaceStates)
    .groupBy(surfaceStates.itemId)
    .as('gravity');
  const first = sql`json_to_recordset(${JSON.stringify(due)}::json) as first(item_id uuid, due date, latest date)`;
  const ofItem = sql`first.item_id = ${items.id}`;

  const filters: (SQL | undefined)[] = [
    query.archived ? isNotNull(items.archivedAt) : isNull(items.archivedAt),
    query.search ? isFoundBy(query.search) : undefined,
    query.tag ? hasTag(query.tag) : undefined,
    query.untagged ? sql`${items.particulars}->'data'->'tags' is null` : undefined,
    query.place ? liesInPlace(query.place) : undefined,
    query.kind ? eq(items.kind, query.kind) : undefined,
    query.status ? eq(items.status, query.status) : undefined,
    query.needs === 'never-looked' ? isNull(gravity.rank) : undefined,
    query.needs && query.needs !== 'never-looked' ? eq(gravity.rank, care.gravity(query.needs) + 1) : undefined,
    query.out ? wasNotOutSince(schedule.addMonths(today, -24), today) : undefined,
    query.due === 'overdue' ? sql`first.latest < ${today}` : undefined,
    query.due === 'this-month' ? sql`first.due <= ${schedule.addMonths(today, 1)}` : undefined,
  ];
  return { where: and(...filters), gravity, first, ofItem };
}

@Injectable()
export class GearRepository {
  readonly versioned = new Versioned(items, {
    find: (db, id) => this.find(db, id),
    missing: () => problem(gearErrors, 'item-not-found'),
  });

  async insert(db: Db, rows: (typeof items.$inferInsert)[]): Promise<void> {
    for (let i = 0; i < rows.length; i += CHUNK) await db.insert(items).values(rows.slice(i, i + CHUNK));
  }

  async find(db: Db, id: string): Promise<Item | null> {
    const [row] = await db.select().from(items).where(eq(items.id, id));
    return row ? toItem(row) : null;
  }

  async findMany(db: Db, ids: readonly string[]): Promise<Item[]> {
    if (ids.length === 0) return [];
    return (
      await db
        .select()
        .from(items)
        .where(inArray(items.id, [...ids]))
    ).map(toItem);
  }

  /** One page of the shelf, sorted and filtered by what falls due as it is told here; one row more than asked for when there is a next page. */
  async shelf(
    db: Db,
    query: ShelfQuery,
    after: Mark | null,
    today: string,
    due: readonly FirstDue[],
  ): Promise<{ rows: { item: Item; key: string }[]; total: number }> {
    const { where, gravity, first, ofItem } = matching(db, query, today, due);
    const sort = SORTS[query.sort];
    const key = sort.key(sql`first.due`);
    const beyond = after ? sql`(${key}, ${items.id}) ${sql.raw(sort.descending ? '<' : '>')} (${after.key}, ${after.id}::uuid)` : undefined;
    const direction = sort.descending ? desc : asc;

    const [rows, [counted]] = await Promise.all([
      db
        .select({ item: items, key })
        .from(items)
        .leftJoin(gravity, eq(gravity.itemId, items.id))
        .leftJoin(first, ofItem)
        .where(and(where, beyond))
        .orderBy(direction(key), direction(items.id))
        .limit(query.limit + 1),
      db.select({ total: count() }).from(items).leftJoin(gravity, eq(gravity.itemId, items.id)).leftJoin(first, ofItem).where(where),
    ]);
    return { rows: rows.map((r) => ({ item: toItem(r.item), key: r.key })), total: counted!.total };
  }

  /** What the same filters leave, as far as groups of it go, by name. */
  async grouped(db: Db, query: Omit<GroupQuery, 'by'>, today: string, due: readonly FirstDue[]): Promise<gear.Grouped[]> {
    const { where, gravity, first, ofItem } = matching(db, query, today, due);
    const rows = await db
      .select({ kind: items.kind, traits: items.traits, particulars: items.particulars, place: stays.placeId, rank: gravity.rank })
      .from(items)
      .leftJoin(gravity, eq(gravity.itemId, items.id))
      .leftJoin(first, ofItem)
      .leftJoin(stays, and(eq(stays.itemId, items.id), isNull(stays.until)))
      .where(where)
      .orderBy(asc(sql`lower(${items.name})`), asc(items.id));
    return rows.map(({ rank, ...line }) => ({ ...line, verdict: rank === null ? null : care.VERDICTS[rank - 1]! }));
  }

  /** Every thing on the shelf by name, read a few at a time: of a thousand at once others would wait for the reading. */
  async all(db: Db): Promise<Item[]> {
    const order = await db
      .select({ id: items.id })
      .from(items)
      .where(isNull(items.archivedAt))
      .orderBy(asc(sql`lower(${items.name})`), asc(items.id));
    const all: Item[] = [];
    for (let from = 0; from < order.length; from += READ_AT_ONCE) {
      const ids = order.slice(from, from + READ_AT_ONCE).map((row) => row.id);
      const found = new Map((await this.findMany(db, ids)).map((item) => [item.id, item]));
      all.push(...ids.flatMap((id) => found.get(id) ?? []));
    }
    return all;
  }

  /** What was the household's and is gone for good, the last first. */
  /** Everything there ever was, by name. */
  async ever(db: Db): Promise<Item[]> {
    const rows = await db
      .select()
      .from(items)
      .orderBy(asc(sql`lower(${items.name})`), asc(items.id));
    return rows.map(toItem);
  }

  async gone(db: Db): Promise<Item[]> {
    const rows = await db
      .select()
      .from(items)
      .where(isNotNull(items.goneWhy))
      .orderBy(desc(items.goneOn), asc(sql`lower(${items.name})`));
    return rows.map(toItem);
  }

  /** What is known of every thing on the shelf, by name. */
  async particulars(db: Db): Promise<(gear.Fitting & gear.Belonging & { name: string; traits: care.Traits })[]> {
    const { id, name, kind, particulars, traits, belongsTo } = items;
    return db
      .select({ id, name, kind, particulars, traits, belongsTo })
      .from(items)
      .where(isNull(items.archivedAt))
      .orderBy(asc(sql`lower(${items.name})`), asc(items.id));
  }

  /** What belongs to something, by name, what is off the shelf among it. */
  async belongings(db: Db): Promise<(gear.Belonging & { name: string; isHere: boolean })[]> {
    return db
      .select({ id: items.id, name: items.name, belongsTo: items.belongsTo, isHere: sql<boolean>`${items.archivedAt} is null` })
      .from(items)
      .where(isNotNull(items.belongsTo))
      .orderBy(asc(sql`lower(${items.name})`), asc(items.id));
  }

  /** What belongs to each of these things and is here, and what belongs to that, the nearest first. */
  async ownOf(db: Db, itemIds: readonly string[]): Promise<Map<string, { id: string; name: string }[]>> {
    const here = (await this.belongings(db)).filter((thing) => thing.isHere);
    const nameOf = new Map(here.map(({ id, name }) => [id, name]));
    return new Map(itemIds.map((itemId) => [itemId, gear.belongingsOf(itemId, here).map((id) => ({ id, name: nameOf.get(id)! }))]));
  }

  /** What came when, those that are off the shelf among them: their leaving moves nobody's turn. */
  async newcomers(db: Db) {
    const rows = await db.select({ id: items.id, traits: items.traits, addedAt: items.createdAt }).from(items);
    return rows.map((row) => ({ ...row, addedAt: row.addedAt.toISOString() }));
  }

  async countOf(db: Db): Promise<{ items: number; neverLooked: number }> {
    const known = db.selectDistinct({ itemId: surfaceStates.itemId }).from(surfaceStates).as('known');
    const [row] = await db
      .select({ items: count(), looked: count(known.itemId) })
      .from(items)
      .leftJoin(known, eq(known.itemId, items.id))
      .where(isNull(items.archivedAt));
    return { items: row!.items, neverLooked: row!.items - row!.looked };
  }

  async statesOf(db: Db, itemIds: readonly string[]): Promise<Map<string, SurfaceState[]>> {
    if (itemIds.length === 0) return new Map();
    const rows = await db
      .select()
      .from(surfaceStates)
      .where(inArray(surfaceStates.itemId, [...itemIds]))
      .orderBy(asc(surfaceStates.surface));
    return new Map([...grouped(rows, (r) => r.itemId)].map(([itemId, own]) => [itemId, own.map(toState)]));
  }

  /** Every surface on which something was found, of one thing or of all. */
  async found(db: Db, itemId?: string): Promise<FoundState[]> {
    const rows = await db
      .select({ kind: items.kind, traits: items.traits, row: surfaceStates })
      .from(surfaceStates)
      .innerJoin(items, eq(items.id, surfaceStates.itemId))
      .where(and(ne(sql`jsonb_array_length(${surfaceStates.findings})`, 0), itemId ? eq(surfaceStates.itemId, itemId) : undefined));
    return rows.map(({ row: { itemId: of, ...state }, ...thing }) => ({ ...thing, itemId: of, state }));
  }

  /** What is known of surfaces; of one that was seen later than this, that stands. */
  async saveStates(db: Db, itemId: string, states: readonly Omit<StateRow, 'itemId'>[]): Promise<void> {
    if (states.length === 0) return;
    await db
      .insert(surfaceStates)
      .values(states.map((s) => ({ ...s, itemId })))
      .onConflictDoUpdate({
        target: [surfaceStates.itemId, surfaceStates.surface],
        set: {
          findings: sql`excluded.findings`,
          verdict: sql`excluded.verdict`,
          because: sql`excluded.because`,
          knownSince: sql`excluded.known_since`,
        },
        setWhere: sql`excluded.known_since >= ${surfaceStates.knownSince}`,
      });
  }

  /** Forgets what was known of surfaces the thing no longer has. */
  async dropStatesBeyond(db: Db, itemId: string, own: readonly care.Surface[]): Promise<void> {
    await db.delete(surfaceStates).where(and(eq(surfaceStates.itemId, itemId), notInArray(surfaceStates.surface, [...own])));
  }

  async addContacts(db: Db, rows: (typeof contacts.$inferInsert)[]): Promise<void> {
    if (rows.length > 0) await db.insert(contacts).values(rows);
  }

  /** How often each surface was touched on each of these things since then, and how often for no more than a trace. */
  async touchesSince(db: Db, itemIds: readonly string[], since: Date) {
    if (itemIds.length === 0) return [];
    return db
      .select({
        itemId: contacts.itemId,
        surface: contacts.surface,
        touches: sum(contacts.touches).mapWith(Number),
        withoutEvidence: sql<number>`count(*) filter (where ${contacts.withoutEvidence})`.mapWith(Number),
      })
      .from(contacts)
      .where(and(inArray(contacts.itemId, [...itemIds]), gte(contacts.at, since)))
      .groupBy(contacts.itemId, contacts.surface);
  }

  /** The things on the shelf of one kind. */
  async idsOfKind(db: Db, kind: care.ItemKind): Promise<string[]> {
    const rows = await db
      .select({ id: items.id })
      .from(items)
      .where(and(eq(items.kind, kind), isNull(items.archivedAt)));
    return rows.map((r) => r.id);
  }
}
