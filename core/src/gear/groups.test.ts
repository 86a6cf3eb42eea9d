import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GROUPINGS, groupsBy, type Grouped } from './groups.js';
import { worthOf } from './worth.js';

const line = (more: Partial<Grouped> = {}): Grouped => ({
  ...{ kind: 'lens', traits: {}, particulars: {}, place: null, verdict: null },
  ...more,
});

describe('a shelf in groups', () => {
  it('counts lines and things, and what is worth so much as somebody said', () => {
    const shelf = [
      line({ place: 'b', particulars: { insuredFor: 500, paid: 300 } }),
      line({ place: 'a', particulars: { count: 6, paid: 90 } }),
      line({ traits: { value: 40 } }),
      line({ place: 'a' }),
    ];
    expect(groupsBy('place', shelf)).toEqual([
      { key: 'b', lines: 1, things: 1, worth: { sum: 500, known: 1 } },
      { key: 'a', lines: 2, things: 7, worth: { sum: 90, known: 1 } },
      { key: null, lines: 1, things: 1, worth: { sum: 40, known: 1 } },
    ]);
  });

  it('has a thing of two tags in both, however they are written, and what has none last', () => {
    const shelf = [line(), line({ particulars: { tags: ['Walks', 'studio'] } }), line({ particulars: { tags: ['walks'] } })];
    expect(groupsBy('tag', shelf).map(({ key, lines }) => [key, lines])).toEqual([
      ['walks', 2],
      ['studio', 1],
      [null, 1],
    ]);
  });

  it('says nothing of a worth that nobody said, and takes nothing for a worth that is', () => {
    expect(worthOf(line())).toBeNull();
    expect(worthOf(line({ particulars: { insuredFor: 0, paid: 80 } }))).toBe(0);
  });

  it('leaves no line out, whatever it is told by', () => {
    const any = fc.record({
      kind: fc.constantFrom('lens', 'filter'),
      traits: fc.constant({}),
      particulars: fc.record({ count: fc.integer({ min: 1, max: 9 }), paid: fc.integer({ min: 0, max: 999 }) }),
      place: fc.constantFrom('a', 'b', null),
      verdict: fc.constantFrom('leave', 'clean', null),
    }) as fc.Arbitrary<Grouped>;
    fc.assert(
      fc.property(fc.constantFrom(...GROUPINGS), fc.array(any), (by, shelf) => {
        const groups = groupsBy(by, shelf);
        const sum = (of: (g: (typeof groups)[number]) => number) => groups.reduce((total, g) => total + of(g), 0);
        expect(sum((g) => g.lines)).toBe(shelf.length);
        expect(sum((g) => g.things)).toBe(shelf.reduce((n, { particulars }) => n + particulars.count!, 0));
        expect(sum((g) => g.worth.sum)).toBe(shelf.reduce((n, { particulars }) => n + particulars.paid!, 0));
      }),
    );
  });
});
