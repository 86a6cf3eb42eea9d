import { describe, expect, it } from 'vitest';
import { longOwned, type Newcomer, sinceForOne } from './lainSince.js';

const NOW = '2026-03-20T12:00:00.000Z';
const one = (id: string, more: Partial<Newcomer> = {}): Newcomer => ({
  ...{ id, placeId: 'p', since: '2026-03-18T12:00:00.000Z', addedAt: '2026-03-18T09:00:00.000Z', acquiredOn: null, isFirst: true },
  ...more,
});
const shelf = (...more: Newcomer[]) => [one('a'), one('b'), one('c'), ...more];
const ids = (all: Newcomer[]) => longOwned(all, NOW).map((t) => t.id);

describe('a shelf that begins with things long owned', () => {
  it('is asked about, thing by thing', () => expect(ids(shelf())).toEqual(['a', 'b', 'c']));

  it.each<[string, Partial<Newcomer>, boolean]>([
    ['bought years before', { acquiredOn: '2011-05-01' }, true],
    ['bought this month', { acquiredOn: '2026-03-10' }, false],
    ['lay elsewhere before', { isFirst: false }, false],
    ['told since last year', { since: '2025-03-18T12:00:00.000Z' }, false],
    ['moved there a week after it came', { since: '2026-03-26T12:00:00.000Z' }, false],
    ['on the shelf since summer', { addedAt: '2025-08-01T09:00:00.000Z', since: '2025-08-01T10:00:00.000Z' }, false],
  ])('%s', (_, more, isAsked) => expect(ids(shelf(one('x', more))).includes('x')).toBe(isAsked));

  it('is not one where a thing or two came', () => {
    expect(ids([one('a'), one('b')])).toEqual([]);
    expect(ids([])).toEqual([]);
  });
});

describe('since when one lies there, where it is told for all', () => {
  it('is not before it was bought', () => {
    const told = '2020-01-01T12:00:00.000Z';
    expect(sinceForOne(told, null)).toBe(told);
    expect(sinceForOne(told, '2015-01-01')).toBe(told);
    expect(sinceForOne(told, '2023-06-01')).toBe('2023-06-01T12:00:00.000Z');
  });
});
