import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stayChange, type StaySpan, type StayTold } from './stays.js';

const day = (n: number): string => new Date(Date.UTC(2026, 0, n)).toISOString();

/** Stays as they are once something was told, written as plainly as can be. */
function after(stays: readonly StaySpan[], told: StayTold): StaySpan[] {
  const change = stayChange(stays, told);
  const begun = told.placeId === null ? [] : [{ placeId: told.placeId, since: told.since, until: null }];
  switch (change.change) {
    case 'moved':
      return [...stays.map((s) => (s.until === null ? { ...s, until: told.since } : s)), ...begun];
    case 'corrected':
      return [...stays.filter((s) => s !== change.before), ...begun];
    default:
      return [...stays];
  }
}
const tellAll = (told: readonly StayTold[]): StaySpan[] => told.reduce(after, [] as StaySpan[]);
const told = fc.record({
  placeId: fc.constantFrom('a', 'b', 'c', null),
  since: fc.integer({ min: 1, max: 40 }).map(day),
});

describe('where a thing lies, told for a day', () => {
  it('is moved, dated back, put right, or refused where it lay elsewhere', () => {
    const a: StaySpan = { placeId: 'a', since: day(3), until: day(10) };
    const b: StaySpan = { placeId: 'b', since: day(10), until: null };
    expect(stayChange([], { placeId: 'a', since: day(1) })).toEqual({ change: 'moved' });
    expect(stayChange([], { placeId: null, since: day(1) })).toEqual({ change: 'none' });
    expect(stayChange([a, b], { placeId: 'c', since: day(12) })).toEqual({ change: 'moved' });
    expect(stayChange([a, b], { placeId: null, since: day(12) })).toEqual({ change: 'moved' });
    expect(stayChange([b], { placeId: 'b', since: day(2) })).toEqual({ change: 'corrected', before: b });
    expect(stayChange([a, b], { placeId: 'b', since: day(14) })).toEqual({ change: 'corrected', before: b });
    expect(stayChange([b], { placeId: 'c', since: day(2) })).toEqual({ change: 'corrected', before: b });
    expect(stayChange([a, b], { placeId: 'b', since: day(8) })).toEqual({ change: 'refused', lay: a });
    expect(stayChange([a, b], { placeId: null, since: day(5) })).toEqual({ change: 'refused', lay: a });
    expect(stayChange([a], { placeId: 'b', since: day(9) })).toEqual({ change: 'refused', lay: a });
  });

  it('never has a thing in two places at once, whatever is told in whatever order', () => {
    fc.assert(
      fc.property(fc.array(told, { maxLength: 12 }), (all) => {
        const stays = tellAll(all);
        stays.forEach(({ until, since }, i) => {
          const next = stays[i + 1];
          if (next) expect(until !== null && since <= until && until <= next.since).toBe(true);
        });
      }),
      { seed: 61, numRuns: 500 },
    );
  });

  it('takes the last word that it takes at all for where it is', () => {
    fc.assert(
      fc.property(fc.array(told, { maxLength: 8 }), told, (all, last) => {
        const before = tellAll(all);
        if (stayChange(before, last).change === 'refused') return;
        const open = after(before, last).at(-1);
        expect(open?.until === null ? open.placeId : null).toBe(last.placeId);
      }),
      { seed: 62, numRuns: 500 },
    );
  });

  it('is the same whether it is told in order or the end first, where each word is of one place', () => {
    const inOrder = tellAll([
      { placeId: 'a', since: day(2) },
      { placeId: 'b', since: day(9) },
    ]);
    expect(
      tellAll([
        { placeId: 'b', since: day(20) },
        { placeId: 'a', since: day(2) },
        { placeId: 'b', since: day(9) },
      ]),
    ).toEqual(inOrder);
  });
});
