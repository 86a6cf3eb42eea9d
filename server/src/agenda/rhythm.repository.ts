import type { KeptRhythm } from '@bright-keeper/contract';
import type { care, schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { and, asc, eq } from 'drizzle-orm';
import { Kept, Database, type Db } from '../db/index.js';
import { rhythms } from '../tables/index.js';
import { changeVersion } from '../versioned/index.js';

type Row = typeof rhythms.$inferSelect;

const keyOf = (scope: schedule.RhythmScope): string => (scope.for === 'all' ? '' : scope.for === 'kind' ? scope.kind : scope.id);
function scopeOf({ scope, scopeKey }: Row): schedule.RhythmScope {
  switch (scope) {
    case 'all':
      return { for: 'all' };
    case 'kind':
      return { for: 'kind', kind: scopeKey as care.ItemKind };
    case 'subject':
      return { for: 'subject', id: scopeKey };
    default:
      return scope satisfies never;
  }
}
const toKept = (row: Row): KeptRhythm => ({
  id: row.id,
  version: row.version,
  code: row.code,
  scope: scopeOf(row),
  rhythm: row.rhythm.rhythm,
});

@Injectable()
export class RhythmRepository {
  private readonly kept = new Kept<readonly KeptRhythm[]>();

  constructor(private readonly database: Database) {}

  all(db: Db): Promise<readonly KeptRhythm[]> {
    return this.kept.get(this.database.stampFor(db, [rhythms]), async () =>
      (await db.select().from(rhythms).orderBy(asc(rhythms.code), asc(rhythms.scope), asc(rhythms.scopeKey))).map(toKept),
    );
  }

  async find(db: Db, code: schedule.DutyCode, scope: schedule.RhythmScope): Promise<KeptRhythm | null> {
    const [row] = await db
      .select()
      .from(rhythms)
      .where(and(eq(rhythms.code, code), eq(rhythms.scope, scope.for), eq(rhythms.scopeKey, keyOf(scope))));
    return row ? toKept(row) : null;
  }

  async insert(db: Db, { id, code, scope, rhythm }: Omit<KeptRhythm, 'version'>): Promise<void> {
    await db.insert(rhythms).values({ id, code, scope: scope.for, scopeKey: keyOf(scope), rhythm: { rhythm } });
  }

  /** Changes a row if it still has this version; false when it has moved on. */
  update(db: Db, id: string, version: number, rhythm: schedule.Rhythm | null): Promise<boolean> {
    return changeVersion(db, rhythms, id, version, { rhythm: { rhythm } });
  }

  async remove(db: Db, id: string): Promise<boolean> {
    return (await db.delete(rhythms).where(eq(rhythms.id, id)).returning({ id: rhythms.id })).length > 0;
  }
}
