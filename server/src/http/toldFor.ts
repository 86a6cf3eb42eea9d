import { commonErrors } from '@bright-keeper/contract';
import { air } from '@bright-keeper/core';
import { problem } from './problem.js';

/** What is told for an earlier moment began no later than it ended. */
export const begunBy = (startedAt: string, endedAt: Date): Date => new Date(Math.min(Date.parse(startedAt), endedAt.getTime()));

/**
 * When something was that a person tells: now, unless they say when. A clock may run a little ahead of ours.
 *
 * @throws ProblemError at `field` where it is still to come.
 */
export function toldFor(at: string | null, now: Date, field = 'at'): Date {
  if (at === null) return now;
  const when = new Date(at);
  if (when.getTime() - now.getTime() > air.CLOCK_AHEAD_MS)
    throw problem(commonErrors, 'in-the-future', { fields: { [field]: 'This lies in the future.' } });
  return when;
}
