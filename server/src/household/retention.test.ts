import { MS_PER_DAY } from '@bright-keeper/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { outlived } from './retention.js';

const FIRST = Date.UTC(2026, 0, 1, 3);
const day = (n: number) => ({ at: new Date(FIRST + n * MS_PER_DAY) });

const FOR_EVER = new Date('2999-01-01T00:00:00Z');

/** What is left when one is made each day, and what has outlived itself goes each day. */
function daily(days: number): Date[] {
  let kept: { at: Date }[] = [];
  for (let n = 0; n < days; n += 1) {
    kept.push(day(n));
    const gone = new Set(outlived(kept, FOR_EVER));
    kept = kept.filter((one) => !gone.has(one));
  }
  return kept.map(({ at }) => at).sort((a, b) => b.getTime() - a.getTime());
}

describe('what is kept of daily backups', () => {
  it('is the last seven days, then weeks, then months', () => {
    const kept = daily(400);
    const ages = kept.map((at) => Math.round((FIRST + 399 * MS_PER_DAY - at.getTime()) / MS_PER_DAY));
    expect(ages.slice(0, 7)).toEqual([0, 1, 2, 3, 4, 5, 6]);
    expect(ages.some((age) => age >= 21 && age <= 35)).toBe(true);
    // Twelve months back, one each.
    expect(ages.at(-1)).toBeGreaterThanOrEqual(330);
    expect(new Set(kept.map((at) => at.toISOString().slice(0, 7))).size).toBe(12);
    expect(kept.length).toBeLessThanOrEqual(7 + 5 + 12 + 1);
  });

  it('counts nothing that is dated ahead, and takes it from nobody', () => {
    const backups = Array.from({ length: 60 }, (_, n) => day(n));
    const latest = day(30).at;
    const gone = outlived(backups, latest);
    expect(gone).toEqual(outlived(backups.slice(0, 31), latest));
    expect(gone).not.toContain(backups[30]);
  });

  it('never loses the newest, and going through it twice takes nothing more', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 1000 }), { minLength: 1, maxLength: 60 }), (days) => {
        const all = days.map(day);
        const gone = new Set(outlived(all, FOR_EVER));
        const left = all.filter((one) => !gone.has(one));
        expect(left.map(({ at }) => at.getTime())).toContain(Math.max(...all.map(({ at }) => at.getTime())));
        expect(outlived(left, FOR_EVER)).toEqual([]);
      }),
    );
  });
});
