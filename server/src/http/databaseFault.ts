import { commonErrors, type Problem } from '@bright-keeper/contract';
import { DatabaseError } from 'pg';
import { DatabaseRestarted, DataTaken, causes, isLost, TransactionUndone } from '../db/index.js';
import { DatabaseStopped } from '../wake/index.js';
import { problem } from './problem.js';

/** What a request can bring about that the database refuses, by PostgreSQL's code (appendix A of its manual). */
const BY_CODE: Record<string, keyof typeof commonErrors> = {
  '23505': 'already-there',
  '40001': 'busy',
  '40P01': 'busy',
  // One row twice in one statement.
  '21000': 'unkeepable',
  '25006': 'database-read-only',
  '53100': 'disk-full',
};
/** Codes of the class "data exception": a value that no column can hold. */
const DATA_EXCEPTION = /^22/;

/** What the system says of a full disk (strerror of ENOSPC and EDQUOT), as the embedded database's last words pass it on. */
const NO_ROOM = /no space left on device|disk quota exceeded|ENOSPC|EDQUOT/i;
const ranOutOfRoom = (cause: unknown): boolean => cause instanceof DatabaseStopped && NO_ROOM.test(cause.message);

/** What happened at the database as a person should hear it; null when it is a fault of ours. */
export function databaseFault(error: unknown): Problem | null {
  const all = [...causes(error)];
  // The log may have held a commit before the database ended for want of room: only what never came to one is surely not kept.
  if (all.some(ranOutOfRoom) && all.some((cause) => cause instanceof TransactionUndone)) return problem(commonErrors, 'disk-full').problem;
  for (const cause of all) {
    if (cause instanceof TransactionUndone) return problem(commonErrors, 'database-lost').problem;
    if (cause instanceof DataTaken) return problem(commonErrors, 'data-taken').problem;
    if (cause instanceof DatabaseRestarted) return problem(commonErrors, 'database-away').problem;
    if (cause instanceof DatabaseError) {
      const code = cause.code ?? '';
      if (BY_CODE[code]) return problem(commonErrors, BY_CODE[code]).problem;
      if (DATA_EXCEPTION.test(code)) return problem(commonErrors, 'unkeepable').problem;
    }
  }
  return isLost(error) ? problem(commonErrors, 'database-away').problem : null;
}

/**
 * What went wrong in words for the log, without what people wrote: a failed query names its statement and what the
 * database said of it by code, never the values.
 */
export function forTheLog(error: unknown): Record<string, unknown> {
  if (!(error instanceof Error)) return { error: typeof error };
  const database = [...causes(error)].find((cause) => cause instanceof DatabaseError);
  if (!database) return { error: error.message, stack: error.stack };
  const statement = (error as { query?: string }).query;
  return { error: 'a query failed', code: database.code, table: database.table, constraint: database.constraint, statement };
}
