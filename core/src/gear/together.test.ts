import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { belongingsOf, wouldHoldItself, type Belonging } from './together.js';

const SHELF: Belonging[] = [
  { id: 'bag', belongsTo: null },
  { id: 'cap', belongsTo: 'lens' },
  { id: 'lens', belongsTo: 'bag' },
  { id: 'hood', belongsTo: 'lens' },
  { id: 'cell', belongsTo: 'body' },
  { id: 'body', belongsTo: null },
];

describe('what belongs together', () => {
  it('is what belongs to a thing, and what belongs to that, the nearest first', () => {
    expect(belongingsOf('bag', SHELF)).toEqual(['lens', 'cap', 'hood']);
    expect(belongingsOf('lens', SHELF)).toEqual(['cap', 'hood']);
    expect(belongingsOf('cell', SHELF)).toEqual([]);
    expect(belongingsOf('nothing we know', SHELF)).toEqual([]);
  });

  it('is nothing that holds itself: neither at once nor by way of what it holds', () => {
    expect(wouldHoldItself('bag', 'bag', SHELF)).toBe(true);
    expect(wouldHoldItself('bag', 'cap', SHELF)).toBe(true);
    expect(wouldHoldItself('cell', 'lens', SHELF)).toBe(false);
    expect(wouldHoldItself('lens', 'body', SHELF)).toBe(false);
  });

  it('ends where a file from elsewhere has a set contain itself', () => {
    const ring: Belonging[] = [
      { id: 'a', belongsTo: 'c' },
      { id: 'b', belongsTo: 'a' },
      { id: 'c', belongsTo: 'b' },
    ];
    expect(belongingsOf('a', ring)).toEqual(['b', 'c']);
  });

  it('never becomes a ring by what is allowed, whatever is put to whatever in whatever order', () => {
    const id = fc.integer({ min: 0, max: 6 }).map(String);
    fc.assert(
      fc.property(fc.array(fc.tuple(id, id), { maxLength: 30 }), (wishes) => {
        const shelf: Belonging[] = Array.from({ length: 7 }, (_, i) => ({ id: String(i), belongsTo: null }));
        for (const [one, to] of wishes) if (!wouldHoldItself(one, to, shelf)) shelf.find((thing) => thing.id === one)!.belongsTo = to;
        for (const thing of shelf) {
          const path = new Set<string>();
          for (let at: string | null = thing.id; at !== null; at = shelf.find((t) => t.id === at)!.belongsTo) {
            expect(path.has(at)).toBe(false);
            path.add(at);
          }
          // Whoever is above has it among its own.
          for (const owner of path) if (owner !== thing.id) expect(belongingsOf(owner, shelf)).toContain(thing.id);
        }
      }),
    );
  });
});
