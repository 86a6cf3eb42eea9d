import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fewestCaps, sizesAlong } from './covers.js';
import { reach } from './rings.js';

const told = (sizes: ReturnType<typeof fewestCaps>) =>
  sizes.map(({ sizeMm, owned, covers }) => `${owned ? 'have' : 'want'} ${sizeMm}: ${covers.map((c) => `${c.threadMm}${c.byRing ? ' by ring' : ''}`).join(', ')}`); // prettier-ignore

describe('the fewest spare caps for every thread', () => {
  it.each<[string, Parameters<typeof fewestCaps>[0], string[]]>([
    ['none for nothing', { threads: [], rings: [], spare: [52] }, []],
    ['one a thread without rings', { threads: [67, 49, 49], rings: [], spare: [] }, ['want 49: 49', 'want 67: 67']],
    ['a ring saves one', { threads: [52, 67], rings: [{ from: 52, to: 67 }], spare: [] }, ['want 67: 52 by ring, 67']],
    ['rings on rings', { threads: [49, 52, 67], rings: [{ from: 49, to: 52 }, { from: 52, to: 67 }], spare: [] }, ['want 67: 49 by ring, 52 by ring, 67']], // prettier-ignore
    ['a ring leads to a cap no lens has', { threads: [49, 55], rings: [{ from: 49, to: 62 }, { from: 55, to: 62 }], spare: [] }, ['want 62: 49 by ring, 55 by ring']], // prettier-ignore
    ['what lies spare is used first', { threads: [49, 55], rings: [{ from: 49, to: 62 }, { from: 55, to: 62 }], spare: [49] }, ['have 49: 49', 'want 55: 55']], // prettier-ignore
    ['a cap that is too small closes nothing', { threads: [67], rings: [{ from: 52, to: 67 }], spare: [52] }, ['want 67: 67']],
    ['all is there', { threads: [52, 67], rings: [{ from: 52, to: 67 }], spare: [67, 52, 82] }, ['have 52: 52', 'have 67: 67']],
  ])('%s', (_, question, sizes) => expect(told(fewestCaps(question))).toEqual(sizes));

  it('is as few as trying every choice finds, and closes every thread (law)', () => {
    const size = fc.constantFrom(40, 49, 52, 55, 58, 62, 67);
    const ring = fc.tuple(size, size).map(([a, b]) => ({ from: Math.min(a, b), to: Math.max(a, b) }));
    const question = fc.record({
      threads: fc.array(size, { maxLength: 6 }),
      rings: fc.array(ring, { maxLength: 5 }),
      spare: fc.array(size, { maxLength: 2 }),
    });
    fc.assert(
      fc.property(question, ({ threads, rings, spare }) => {
        const sizes = fewestCaps({ threads, rings, spare });
        const closes = (by: readonly number[]) =>
          threads.every((t) =>
            by.some((s) =>
              reach(
                t,
                rings.filter((r) => r.to > r.from),
                'up',
              ).has(s),
            ),
          );
        const covered = sizes.flatMap(({ covers }) => covers.map((c) => c.threadMm));
        expect([...covered].sort()).toEqual([...new Set(threads)].sort());
        for (const { sizeMm, covers } of sizes)
          for (const { threadMm } of covers) expect(reach(threadMm, rings, 'up').has(sizeMm)).toBe(true);
        const bought = sizes.filter((s) => !s.owned).length;
        const all = [40, 49, 52, 55, 58, 62, 67];
        const choices = Array.from({ length: 2 ** all.length }, (_, bits) => all.filter((_s, i) => bits & (1 << i)));
        const fewest = Math.min(...choices.filter((some) => closes([...spare, ...some])).map((some) => some.length));
        expect(bought).toBe(fewest);
      }),
      { seed: 29, numRuns: 300 },
    );
  });
});

describe('what small hardware has to fit', () => {
  const thing = (id: string, kind: 'lens' | 'mirrorless-body' | 'filter' | 'accessory', particulars: object) => ({ id, kind, particulars });
  it('is by the threads and mounts of what comes along; rings lie on the shelf, caps and filters are no lenses', () => {
    const along = [
      thing('a', 'lens', { threadMm: 52, mount: 'Lantern K' }),
      thing('b', 'lens', { threadMm: 67, mount: 'lantern-k' }),
      thing('c', 'mirrorless-body', { takesMount: 'Lantern K' }),
      thing('f', 'filter', { threadMm: 77 }),
      thing('p', 'accessory', { threadMm: 82, part: 'front-cap' }),
    ];
    const shelf = [...along, thing('r', 'accessory', { threadMm: 52, takesThreadMm: 67 })];
    expect(sizesAlong(along, shelf, [])).toEqual({
      caps: [
        {
          ...{ sizeMm: 67, owned: false },
          covers: [
            { threadMm: 52, byRing: true },
            { threadMm: 67, byRing: false },
          ],
        },
      ],
      rearCaps: ['Lantern K'],
      bodyCaps: ['Lantern K'],
    });
    expect(sizesAlong([], shelf, [])).toEqual({ caps: [], rearCaps: [], bodyCaps: [] });
  });
});
