import { oddsOf } from './odds.js';
import { type KnownOdds, type RungRecord, usualOf } from './tries.js';

/** What the tries of a bench say of each rung, together with what is usual. */
export const knownOdds = (records: readonly RungRecord[]): KnownOdds[] =>
  records.map((r) => ({ ...r, ...oddsOf({ successes: r.successes, failures: r.failures, prior: usualOf(r.method) }) }));
