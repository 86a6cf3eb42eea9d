import { supplies as core } from '@bright-keeper/core';
import { asc, gt } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { cleanings } from '../tables/index.js';

const BENCHES_AT_ONCE = 50;

/** How often benches that ended after a moment had a thing of the drawer in hand. Plans are large: they are read a few at a time. */
export async function usesSince(db: Db, thingId: string, since: Date): Promise<number> {
  let uses = 0;
  for (let from = 0; ; from += BENCHES_AT_ONCE) {
    const benches = await db
      .select({ plan: cleanings.plan, events: cleanings.events })
      .from(cleanings)
      .where(gt(cleanings.finishedAt, since))
      .orderBy(asc(cleanings.id))
      .limit(BENCHES_AT_ONCE)
      .offset(from);
    for (const { plan, events } of benches) uses += core.usesOf(thingId, core.consumptionOf(plan, events));
    if (benches.length < BENCHES_AT_ONCE) return uses;
  }
}
