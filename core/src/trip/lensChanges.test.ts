import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fewestLensChanges, inAnyOrder, MOST_LENSES, type CarriedLens } from './lensChanges.js';

const WIDE: CarriedLens = { id: 'wide', fromMm: 24, toMm: 24 };
const NORMAL: CarriedLens = { id: 'normal', fromMm: 50, toMm: 50 };
const LONG: CarriedLens = { id: 'long', fromMm: 135, toMm: 135 };
const ZOOM: CarriedLens = { id: 'zoom', fromMm: 24, toMm: 70 };
const PRIMES = [WIDE, NORMAL, LONG];

/** Every way to take the pictures, lens by lens and body by body, changing whenever one likes. */
function byHand(wanted: readonly number[], lenses: readonly CarriedLens[], bodies: number): number {
  const from = (at: number, on: readonly (CarriedLens | null)[]): number => {
    if (at === wanted.length) return 0;
    const rest = on.flatMap((lens, i) => {
      const keep = lens && wanted[at]! >= lens.fromMm && wanted[at]! <= lens.toMm ? [from(at + 1, on)] : [];
      const swaps = lenses
        .filter((l) => wanted[at]! >= l.fromMm && wanted[at]! <= l.toMm)
        .map((l) => (lens === null ? 0 : 1) + from(at + 1, on.with(i, l)));
      return [...keep, ...swaps];
    });
    return Math.min(...rest);
  };
  return from(
    0,
    Array.from({ length: bodies }, () => null),
  );
}

describe('the fewest lens changes', () => {
  it.each<[string, number[], CarriedLens[], number, number]>([
    ['one lens needs none', [50, 50, 50], [NORMAL], 1, 0],
    ['there and back is two', [24, 50, 24], PRIMES, 1, 2],
    ['a second body carries the other', [24, 50, 24, 50], PRIMES, 2, 0],
    ['three lengths on two bodies: the one that is wanted last comes off', [24, 50, 135, 24, 50], PRIMES, 2, 2],
    ['a zoom for both', [24, 50, 35, 24], [...PRIMES, ZOOM], 1, 0],
    ['nothing was wanted', [], PRIMES, 1, 0],
  ])('%s', (_, wanted, lenses, bodies, changes) => expect(fewestLensChanges({ wanted, lenses, bodies }).changes).toBe(changes));

  it('tells for each picture what takes it, and what no lens covers', () => {
    expect(fewestLensChanges({ wanted: [24, 300, 50], lenses: PRIMES, bodies: 1 })).toEqual({
      changes: 1,
      order: [{ lens: 'wide', body: 0, changed: false }, null, { lens: 'normal', body: 0, changed: true }],
    });
  });
  it.each([0, -1, 1.5, 5, Number.NaN])('refuses %s bodies', (bodies) =>
    expect(() => fewestLensChanges({ wanted: [50], lenses: PRIMES, bodies })).toThrow(RangeError),
  );

  const lens = fc
    .tuple(fc.constantFrom(16, 24, 35, 50), fc.constantFrom(0, 20, 60, 150))
    .map(([fromMm, more]) => ({ id: `${fromMm}+${more}`, fromMm, toMm: fromMm + more }));
  const question = fc.record({
    wanted: fc.array(fc.constantFrom(16, 24, 40, 50, 100, 200), { maxLength: 5 }),
    lenses: fc.uniqueArray(lens, { minLength: 1, maxLength: 4, selector: (l) => l.id }),
    bodies: fc.constantFrom(1, 2),
  });
  it('is what trying every way says, and what it tells can be done', () => {
    fc.assert(
      fc.property(question, ({ wanted, lenses, bodies }) => {
        const { changes, order } = fewestLensChanges({ wanted, lenses, bodies });
        const can = wanted.filter((f) => lenses.some((l) => f >= l.fromMm && f <= l.toMm));
        expect(changes).toBe(byHand(can, lenses, bodies));
        const on: (string | null)[] = Array.from({ length: bodies }, () => null);
        let told = 0;
        order.forEach((shot, i) => {
          if (!shot) {
            expect(can).not.toContain(wanted[i]);
            return;
          }
          const used = lenses.find((l) => l.id === shot.lens)!;
          expect(wanted[i]! >= used.fromMm && wanted[i]! <= used.toMm).toBe(true);
          expect(shot.changed).toBe(on[shot.body] !== null && on[shot.body] !== shot.lens);
          if (shot.changed) told += 1;
          on[shot.body] = shot.lens;
        });
        expect(told).toBe(changes);
      }),
      { numRuns: 120 },
    );
  });
  it('a further body, or a further lens, never makes more', () => {
    fc.assert(
      fc.property(question, lens, ({ wanted, lenses, bodies }, another) => {
        const { changes } = fewestLensChanges({ wanted, lenses, bodies });
        expect(fewestLensChanges({ wanted, lenses, bodies: bodies + 1 }).changes).toBeLessThanOrEqual(changes);
        const isOfUse = wanted.every((f) => lenses.some((l) => f >= l.fromMm && f <= l.toMm));
        if (isOfUse)
          expect(fewestLensChanges({ wanted, lenses: [...lenses, { ...another, id: 'new' }], bodies }).changes).toBeLessThanOrEqual(
            changes,
          );
      }),
    );
  });
});

describe('the fewest where the order is free', () => {
  const orders = (all: readonly number[]): number[][] =>
    all.length < 2 ? [[...all]] : all.flatMap((one, i) => orders(all.filter((_, j) => j !== i)).map((rest) => [one, ...rest]));
  it('is the fewest of every order there is, each tried every way', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(16, 24, 40, 50, 100), { maxLength: 4 }),
        fc.subarray([WIDE, NORMAL, LONG, ZOOM, { id: 'short', fromMm: 16, toMm: 40 }, { id: 'far', fromMm: 50, toMm: 200 }], {
          minLength: 1,
        }),
        fc.constantFrom(1, 2),
        (wanted, lenses, bodies) => {
          const { changes, uncovered, lenses: some } = inAnyOrder({ wanted, lenses, bodies });
          const asked = wanted.filter((f) => !uncovered.includes(f));
          expect(changes).toBe(Math.min(...orders(asked).map((order) => byHand(order, lenses, bodies))));
          expect(asked.every((f) => lenses.some((l) => some.includes(l.id) && f >= l.fromMm && f <= l.toMm))).toBe(true);
          expect(changes).toBeLessThanOrEqual(fewestLensChanges({ wanted, lenses, bodies }).changes);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('names what no lens covers, and refuses more lenses than can be tried', () => {
    expect(inAnyOrder({ wanted: [24, 300], lenses: PRIMES, bodies: 1 })).toEqual({ lenses: ['wide'], changes: 0, uncovered: [300] });
    const many = Array.from({ length: MOST_LENSES + 1 }, (_, i) => ({ id: `${i}`, fromMm: 20 + i, toMm: 20 + i }));
    expect(() => inAnyOrder({ wanted: many.map((l) => l.fromMm), lenses: many, bodies: 1 })).toThrow(RangeError);
    expect(() => inAnyOrder({ wanted: [], lenses: [], bodies: 0 })).toThrow(RangeError);
  });
});
