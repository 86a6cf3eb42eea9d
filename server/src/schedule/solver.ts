import { join } from 'node:path';
import { WORKERS } from '../paths.js';
import { runApart } from '../platform/index.js';

export type Solved = { optimal: boolean; values: Readonly<Record<string, number>> };
type Answer = { status: string; objective: number; values: Record<string, number> };

/** Loading the solver takes a tenth of a second more than the time it may think (measured). */
const LOADING_MS = 3_000;
/** More than any programme of a household takes. */
const MEMORY_MB = 1024;

/** Solves a programme in a thread of its own; null when it gave no answer in its time. */
export async function solveProgramme(lp: string, seconds: number): Promise<Solved | null> {
  const limits = { ms: seconds * 1000 + LOADING_MS, memoryMb: MEMORY_MB };
  // A solver that fails leaves the answer that is there: it is good, only not proven.
  const answer = await runApart<Answer>(join(WORKERS, 'solver.mjs'), { lp, seconds }, limits).catch(() => null);
  return answer && { optimal: answer.status === 'Optimal', values: answer.values };
}
