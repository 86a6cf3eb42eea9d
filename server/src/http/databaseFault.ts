import { commonErrors, type Problem } from '@bright-keeper/contract';
import { DatabaseError } from 'pg';
import { DatabaseRestarted } from '../db/database.js';
import { DatabaseStopped } from '../db/embedded/keeper.js';
import { problem } from './problem.js';

/** The driver and the query builder both wrap what happened. */
function* causes(error: unknown): Generator<unknown> {
  for (let at = error; at instanceof Error; at = at.cause) yield at;
}

/** What a request can bring about that the database refuses, by PostgreSQL's code (appendix A of its manual). */
const BY_CODE: Record<string, keyof typeof commonErrors> = {
  '23505': 'already-there',
  '40001': 'busy',
  '40P01': 'busy',
  '53100': 'disk-full',
  '57P01': 'database-away',
  '57P02': 'database-away',
  '57P03': 'database-away',
};
/** Codes of the class "data exception": a value that no column can hold. */
const DATA_EXCEPTION = /^22/;

const UNREACHABLE = /connection terminated|ECONNREFUSED|ECONNRESET|EPIPE|timeout exceeded when trying to connect/i;

/** What happened at the database as a person should hear it; null when it is a fault of ours. */
export function databaseFault(error: unknown): Problem | null {
  for (const cause of causes(error)) {
    if (cause instanceof DatabaseStopped || cause instanceof DatabaseRestarted) return problem(commonErrors, 'database-away').problem;
    if (cause instanceof DatabaseError) {
      const code = cause.code ?? '';
      if (BY_CODE[code]) return problem(commonErrors, BY_CODE[code]).problem;
      if (DATA_EXCEPTION.test(code)) return problem(commonErrors, 'unkeepable').problem;
    } else if (UNREACHABLE.test((cause as Error).message)) return problem(commonErrors, 'database-away').problem;
  }
  return null;
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
