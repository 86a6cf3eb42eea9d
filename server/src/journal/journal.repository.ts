import type { LogEntry } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { and, asc, desc, eq, gte, inArray, lte, ne, or, sql, type SQL } from 'drizzle-orm';
import { calibrations, climateEvents, items, JOURNAL_DOCUMENT, journalEntries } from '../tables/index.js';
import { Kept, Database, type Db, readDocument } from '../db/index.js';
import type { Mark } from '../http/index.js';
import { grouped, handNow } from '../platform/index.js';

type Row = typeof journalEntries.$inferSelect;
const toEntry = ({ id, at, subject, subjectId, data }: Omit<Row, 'keeper'>): schedule.Entry => ({
  id,
  at: at.toISOString(),
  subject: { kind: subject, id: subjectId },
  data,
});
const toLog = ({ id, at, subjectId, keeper, data }: Row): LogEntry => ({
  id,
  keeper,
  itemId: subjectId,
  at: at.toISOString(),
  // Read by `isTold` alone, which leaves out what no thing's log tells.
  data: data as schedule.ThingLogData,
});

const isTold = sql`${journalEntries.data}->'data'->>'kind' not in (${sql.join(
  schedule.OF_THE_CALENDAR.map((kind) => sql`${kind}`),
  sql`, `,
)}) and not exists (select 1 from ${journalEntries} u where u.data->'data'->>'kind' = 'undone' and u.data->'data'->>'entryId' = ${journalEntries.id}::text)`;
/** Kinds of entries no duty asks for. */
const SILENT = ['edited', 'moved', 'stay-told', 'split', 'file-removed'];

type Edited = Extract<schedule.ThingLogData, { kind: 'edited' }>;
const isWash = sql`${journalEntries.data}->'data'->>'kind' = 'washed'`;

const CHUNK = 500;

/** What was done, to whatever. Salt tests and what is done to gel have tables of their own and are read with the rest. */
@Injectable()
export class JournalRepository {
  private readonly whole = new Kept<schedule.Entry[]>();
  private readonly entries = new Map<string, schedule.Entry>();

  constructor(private readonly database: Database) {}

  async add(db: Db, entries: readonly { id: string; at: Date; subject: schedule.SubjectRef; data: schedule.JournalData }[]): Promise<void> {
    const keeper = handNow();
    const rows = entries.map(({ subject, ...rest }) => ({ ...rest, keeper, subject: subject.kind, subjectId: subject.id }));
    for (let i = 0; i < rows.length; i += CHUNK) await db.insert(journalEntries).values(rows.slice(i, i + CHUNK));
  }

  addForThings(db: Db, entries: readonly { id: string; itemId: string; at: Date; data: schedule.JournalData }[]): Promise<void> {
    return this.add(
      db,
      entries.map(({ itemId, ...rest }) => ({ ...rest, subject: { kind: 'thing' as const, id: itemId } })),
    );
  }

  async find(db: Db, id: string): Promise<schedule.Entry | null> {
    const [row] = await db.select().from(journalEntries).where(eq(journalEntries.id, id));
    return row ? toEntry(row) : null;
  }

  /** Which of these there are. */
  async known(db: Db, ids: readonly string[]): Promise<string[]> {
    const rows = await db
      .select({ id: journalEntries.id })
      .from(journalEntries)
      .where(inArray(journalEntries.id, [...ids]));
    return rows.map(({ id }) => id);
  }

  /** The entry that tells of a test frame. */
  async ofFrame(db: Db, itemId: string, frameId: string): Promise<string | null> {
    const [row] = await db
      .select({ id: journalEntries.id })
      .from(journalEntries)
      .where(and(eq(journalEntries.subjectId, itemId), sql`${journalEntries.data}->'data'->>'frameId' = ${frameId}`));
    return row?.id ?? null;
  }

  /** What of a kind was written of a thing and not taken back, oldest first: what no duty asks for is read here. */
  async ofKind(db: Db, itemId: string, kind: 'edited' | 'split'): Promise<schedule.Entry[]> {
    const isOf = eq(sql`${journalEntries.data}->'data'->>'kind'`, kind);
    const rows = await db
      .select()
      .from(journalEntries)
      .where(and(eq(journalEntries.subject, 'thing'), eq(journalEntries.subjectId, itemId), isOf, isTold))
      .orderBy(asc(journalEntries.at), asc(journalEntries.id));
    return rows.map(toEntry);
  }

  /** Every edit of every thing that stands, by the thing. */
  async edits(db: Db): Promise<Map<string, { at: string; data: Edited }[]>> {
    const isEdit = eq(sql`${journalEntries.data}->'data'->>'kind'`, 'edited');
    const rows = await db
      .select()
      .from(journalEntries)
      .where(and(eq(journalEntries.subject, 'thing'), isEdit, isTold));
    const edits = rows.map(({ subjectId, at, data }) => ({ subjectId, at: at.toISOString(), data: data as Edited }));
    return grouped(edits, (edit) => edit.subjectId);
  }

  /** When a thing of the drawer was washed last. */
  async lastWash(db: Db, supplyId: string): Promise<Date | null> {
    const [row] = await db
      .select({ at: journalEntries.at })
      .from(journalEntries)
      .where(and(eq(journalEntries.subject, 'supply'), eq(journalEntries.subjectId, supplyId), isWash, isTold))
      .orderBy(desc(journalEntries.at))
      .limit(1);
    return row?.at ?? null;
  }

  /** What of the same kind was written of other things in the very moment of an entry. */
  async ofOneDeed(db: Db, itemIds: readonly string[], { at, data }: schedule.Entry): Promise<string[]> {
    const rows = await db
      .select({ id: journalEntries.id })
      .from(journalEntries)
      .where(
        and(
          eq(journalEntries.subject, 'thing'),
          inArray(journalEntries.subjectId, [...itemIds]),
          eq(journalEntries.at, new Date(at)),
          eq(sql`${journalEntries.data}->'data'->>'kind'`, data.kind),
          isTold,
        ),
      )
      .orderBy(asc(journalEntries.id));
    return rows.map(({ id }) => id);
  }

  /** What told things within this time that something of that name beside them went into quarantine, and stands. */
  async isolatedBeside(db: Db, name: string, from: Date, to: Date): Promise<schedule.Entry[]> {
    const data = sql`${journalEntries.data}->'data'`;
    const rows = await db
      .select()
      .from(journalEntries)
      .where(
        and(
          sql`${data}->>'kind' = 'neighbour-isolated' and ${data}->>'name' = ${name}`,
          gte(journalEntries.at, from),
          lte(journalEntries.at, to),
          isTold,
        ),
      );
    return rows.map(toEntry);
  }

  async isUndone(db: Db, id: string): Promise<boolean> {
    const rows = await db
      .select({ id: journalEntries.id })
      .from(journalEntries)
      .where(sql`${journalEntries.data}->'data'->>'kind' = 'undone' and ${journalEntries.data}->'data'->>'entryId' = ${id}`);
    return rows.length > 0;
  }

  /** Everything duties are reckoned from; of some things only, where they are given. */
  async forDuties(db: Db, itemIds?: readonly string[]): Promise<schedule.Entry[]> {
    if (itemIds?.length === 0) return [];
    if (itemIds) return this.read(db, and(eq(journalEntries.subject, 'thing'), inArray(journalEntries.subjectId, [...itemIds])));
    return this.whole.get(this.database.stampFor(db, [journalEntries, calibrations, climateEvents]), async () => [
      ...(await this.read(db)),
      ...(await this.ofTheAir(db)),
    ]);
  }

  /** What the journal tells of one thing, oldest first, without what was taken back. */
  async ofThing(db: Db, itemId: string, now: Date): Promise<readonly schedule.DatedEntry[]> {
    return new schedule.Journal(await this.forDuties(db, [itemId]), 'UTC', now.toISOString()).of({ kind: 'thing', id: itemId });
  }

  /** An entry never changes once it is written, so each is checked once. */
  private async read(db: Db, of?: SQL): Promise<schedule.Entry[]> {
    const { id, at, subject, subjectId, data } = journalEntries;
    const kind = sql`${data}->'data'->>'kind'`;
    const rows = await db
      .select({ id, at, subject, subjectId, data: sql<unknown>`${data}` })
      .from(journalEntries)
      .where(and(of, ...SILENT.map((silent) => ne(kind, silent))))
      .orderBy(asc(at));
    return rows.map((row) => {
      const known = this.entries.get(row.id) ?? toEntry({ ...row, data: readDocument(JOURNAL_DOCUMENT, row.data) });
      this.entries.set(row.id, known);
      return known;
    });
  }

  /** Newest first; one more than asked for when there is a next page. */
  async log(db: Db, itemId: string, limit: number, after: Mark | null): Promise<LogEntry[]> {
    const beyond = after ? sql`(${journalEntries.at}, ${journalEntries.id}) < (${after.key}::timestamptz, ${after.id}::uuid)` : undefined;
    const rows = await db
      .select()
      .from(journalEntries)
      .where(and(eq(journalEntries.subject, 'thing'), eq(journalEntries.subjectId, itemId), isTold, beyond))
      .orderBy(desc(journalEntries.at), desc(journalEntries.id))
      .limit(limit + 1);
    return rows.map(toLog);
  }

  async recent(db: Db, limit: number): Promise<(LogEntry & { itemName: string })[]> {
    const rows = await db
      .select({ entry: journalEntries, itemName: items.name })
      .from(journalEntries)
      .innerJoin(items, and(eq(journalEntries.subject, 'thing'), eq(items.id, journalEntries.subjectId)))
      .where(isTold)
      .orderBy(desc(journalEntries.at), desc(journalEntries.id))
      .limit(limit);
    return rows.map(({ entry, itemName }) => ({ ...toLog(entry), itemName }));
  }

  private async ofTheAir(db: Db): Promise<schedule.Entry[]> {
    const tests = await db.select({ id: calibrations.id, at: calibrations.at, deviceId: calibrations.deviceId }).from(calibrations);
    const kind = sql<string>`${climateEvents.data}->>'kind'`;
    const acts = await db
      .select()
      .from(climateEvents)
      .where(or(...['gel-set', 'gel-dried', 'gel-out', 'indicator', 'opened'].map((k) => eq(kind, k))));
    return [
      ...tests.map(({ id, at, deviceId }): schedule.Entry => ({
        id,
        at: at.toISOString(),
        subject: { kind: 'hygrometer', id: deviceId },
        data: { kind: 'salt-test' },
      })),
      ...acts.flatMap(({ id, at, placeId, data }): schedule.Entry[] => {
        if (!placeId) return [];
        const subject = { kind: 'place', id: placeId } as const;
        if (data.kind === 'opened') return [{ id, at: at.toISOString(), subject, data: { kind: 'place-opened' } }];
        return [{ id, at: at.toISOString(), subject, data: { kind: 'gel', act: data.kind as 'gel-set' } }];
      }),
    ];
  }
}
