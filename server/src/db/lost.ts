import pg from 'pg';
import { DatabaseStopped } from '../wake/index.js';

/** A transaction whose line to the database broke, and of which the database says that nothing was kept. */
export class TransactionUndone extends Error {
  constructor(options: ErrorOptions) {
    super('The line to the database broke, and nothing of this was kept.', options);
    this.name = 'TransactionUndone';
  }
}

/** The driver and the query builder both wrap what happened. */
export function* causes(error: unknown): Generator<unknown> {
  for (let at = error; at instanceof Error; at = at.cause) yield at;
}

/**
 * The database ends, is ended, starts, or takes no more lines, by PostgreSQL's code (appendix A of its manual): class 08,
 * operator intervention, and too many connections.
 */
const AWAY_CODES = /^(08...|57P0[1-5]|53300|25P03)$/;
/** What the driver says of a line that broke, or that never came to be; it has no codes for that. */
const BROKEN =
  /connection terminated|connection error and is not queryable|client was closed|ECONNREFUSED|ECONNRESET|EPIPE|ENOENT|timeout exceeded when trying to connect|timeout expired|cannot use a pool after calling end/i;

/** Is the database gone, rather than against what it was asked? */
export function isLost(error: unknown): boolean {
  for (const cause of causes(error)) {
    if (cause instanceof pg.DatabaseError) return AWAY_CODES.test(cause.code ?? '');
    if (cause instanceof DatabaseStopped) return true;
    const { code, syscall, message } = cause as NodeJS.ErrnoException;
    if (BROKEN.test(message) || (syscall === 'connect' && code !== undefined)) return true;
  }
  return false;
}
