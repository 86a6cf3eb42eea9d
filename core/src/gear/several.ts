import type { Particulars } from './particulars.js';

/** How many equal things a line of the inventory stands for: one, where nobody said. */
export const countOf = ({ count }: Particulars): number => count ?? 1;

/** The same line for so many: of one, nothing is said. */
export function withCount({ count: _, ...rest }: Particulars, count: number): Particulars {
  return count === 1 ? rest : { ...rest, count };
}

/** Sums are of the whole line, and shared. */
const SHARED_SUMS = ['paid', 'insuredFor'] as const;
const toCents = (sum: number): number => Math.round(sum * 100) / 100;

/**
 * So many of several equal things as a line of their own: counts and sums are shared by head, to the cent, and together are
 * what they were. What is said of one thing alone, its serial number, stays with the line that was there.
 *
 * @param off at least one, and fewer than there are.
 */
export function split(particulars: Particulars, off: number): { stays: Particulars; goes: Particulars } {
  const count = countOf(particulars);
  if (!Number.isInteger(off) || off < 1 || off >= count) throw new RangeError(`off: from 1 to ${count - 1}, and not ${off}`);
  const stays = withCount(particulars, count - off);
  const { serial: _, ...rest } = withCount(particulars, off);
  const goes: Particulars = rest;
  for (const sum of SHARED_SUMS) {
    const whole = particulars[sum];
    if (whole === undefined) continue;
    goes[sum] = toCents((whole * off) / count);
    stays[sum] = toCents(whole - goes[sum]);
  }
  return { stays, goes };
}
