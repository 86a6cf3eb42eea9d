import * as packed from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { bestHomes, homesFromSolver, homesProgramme, type Homes, type HomesQuestion } from './index.js';

/** Seeded numbers below n. */
const dice = (seed: number) => {
  let state = seed >>> 0;
  return (n: number) => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return Math.floor((state / 2 ** 32) * n);
  };
};

/** A home with places that are scarce, things that may not live everywhere, and pairs that are to be apart. */
function drawn(seed: number, many: { things: number; places: number; pairs?: number }): HomesQuestion {
  const roll = dice(seed);
  const places = Array.from({ length: many.places }, (_, p) => ({ id: `p${p}`, roomL: 2 + roll(12) }));
  const things = Array.from({ length: many.things }, (_, i) => ({
    id: `t${i}`,
    volumeL: 0.5 + roll(40) / 10,
    costs: Object.fromEntries(places.flatMap((p, k) => (k === 0 || roll(5) > 0 ? [[p.id, roll(200) / 10]] : []))),
  }));
  const apart = Array.from({ length: many.pairs ?? 0 }, () => [`t${roll(many.things)}`, `t${roll(many.things)}`] as const).filter(
    ([a, b]) => a !== b,
  );
  return { things, places, apart };
}

/** The twin: every thing in every place, nothing clever; Infinity where there is no way. */
function bruteForce({ things, places, apart = [] }: HomesQuestion): number {
  let best = Infinity;
  const at: string[] = [];
  const left = new Map(places.map((p) => [p.id, p.roomL]));
  const walk = (i: number, cost: number): void => {
    if (i === things.length) return void (best = Math.min(best, cost));
    const { id, volumeL, costs } = things[i]!;
    for (const [place, own] of Object.entries(costs)) {
      const foe = apart.some(([a, b]) => (a === id || b === id) && at[things.findIndex((t) => t.id === (a === id ? b : a))] === place);
      if (left.get(place)! < volumeL - 1e-9 || foe) continue;
      left.set(place, left.get(place)! - volumeL);
      at[i] = place;
      walk(i + 1, cost + own);
      at.length = i;
      left.set(place, left.get(place)! + volumeL);
    }
  };
  walk(0, 0);
  return best;
}

/** What every answer keeps to, whatever it is asked. */
function lawsHold({ things, places, apart = [] }: HomesQuestion, { homes, cost, bound, proven }: Homes): void {
  expect(Object.keys(homes).sort()).toEqual(things.map((t) => t.id).sort());
  for (const { id, roomL } of places)
    expect(things.filter((t) => homes[t.id] === id).reduce((sum, t) => sum + t.volumeL, 0)).toBeLessThanOrEqual(roomL + 1e-6);
  for (const [a, b] of apart) expect(homes[a], `${a} and ${b}`).not.toBe(homes[b]);
  expect(cost).toBeCloseTo(
    things.reduce((sum, t) => sum + t.costs[homes[t.id]!]!, 0),
    6,
  );
  expect(bound).toBeLessThanOrEqual(cost + 1e-6);
  if (proven) expect(bound).toBeCloseTo(cost, 6);
}
const costFound = (question: HomesQuestion): number => {
  try {
    const found = bestHomes(question);
    lawsHold(question, found);
    expect(found.proven).toBe(true);
    return found.cost;
  } catch (error) {
    expect((error as Error).message).toMatch(/no way to house them all: a place is missing/);
    return Infinity;
  }
};

type Solver = { solve: (lp: string, options: object) => { Status: string; Columns: Record<string, { Primal: number }> } };
// The types describe a module where Node sees CommonJS.
const loadSolver = packed.default as unknown as () => Promise<Solver>;

describe('the best homes', () => {
  it('are as good as every way of trying finds, over 600 small homes with little room and pairs apart', () => {
    let impossible = 0;
    for (let seed = 1; seed <= 600; seed++) {
      const question = drawn(seed, { things: 1 + (seed % 7), places: 2 + (seed % 3), pairs: seed % 4 });
      const best = bruteForce(question);
      const found = costFound(question);
      if (best === Infinity) impossible += 1;
      expect(Number.isFinite(found), `seed ${seed}`).toBe(Number.isFinite(best));
      if (Number.isFinite(best)) expect(found, `seed ${seed}`).toBeCloseTo(best, 6);
    }
    // Both sorts are there.
    expect(impossible).toBeGreaterThan(30);
    expect(impossible).toBeLessThan(500);
  });

  it('never cost more with one more place, nor with more room', () => {
    for (let seed = 1; seed <= 150; seed++) {
      const question = drawn(seed * 7919, { things: 6, places: 3, pairs: 1 });
      const cost = costFound(question);
      const roomier = { ...question, places: question.places.map((p) => ({ ...p, roomL: p.roomL + 3 })) };
      expect(costFound(roomier), `seed ${seed}`).toBeLessThanOrEqual(cost + 1e-6);
      const more = {
        ...question,
        places: [...question.places, { id: 'new', roomL: 8 }],
        things: question.things.map((t, i) => ({ ...t, costs: { ...t.costs, new: i } })),
      };
      expect(costFound(more), `seed ${seed}`).toBeLessThanOrEqual(cost + 1e-6);
    }
  });

  it('say where a thing may live nowhere, is told twice, or is to be apart from nobody', () => {
    const places = [{ id: 'p', roomL: 5 }];
    const thing = { id: 'a', volumeL: 1, costs: { p: 1 } };
    expect(() => bestHomes({ things: [{ ...thing, costs: {} }], places })).toThrow(/a may live nowhere/);
    expect(() => bestHomes({ things: [thing, thing], places })).toThrow(/told twice/);
    expect(() => bestHomes({ things: [thing], places, apart: [['a', 'b']] })).toThrow(/a and b/);
    expect(bestHomes({ things: [], places })).toEqual({ homes: {}, cost: 0, bound: 0, proven: true });
  });

  it('are found for a club with thousands of things before a stack is full', () => {
    const places = Array.from({ length: 5 }, (_, p) => ({ id: `p${p}`, roomL: 900 }));
    const roll = dice(5);
    const things = Array.from({ length: 4000 }, (_, i) => ({
      id: `t${i}`,
      volumeL: 1,
      costs: Object.fromEntries(places.map((p) => [p.id, roll(9)])),
    }));
    lawsHold({ things, places }, bestHomes({ things, places }));
  });
});

/** Reference solver: HiGHS, mixed-integer, over the same question written out in full. */
describe('the exact solver', () => {
  let solver: Solver;
  beforeAll(async () => void (solver = await loadSolver()));

  it('finds nothing better than is proven, and never less than the bound, over 16 middle homes', () => {
    let proven = 0;
    for (let seed = 1; seed <= 16; seed++) {
      const question = drawn(seed * 31_337, { things: 24, places: 6, pairs: 6 });
      // Whoever finds no room lives outside, dearly: there is always a way.
      const roomy = {
        ...question,
        places: [
          ...question.places.map((p) => ({ ...p, roomL: p.roomL * 1.5 })),
          ...question.things.map((t) => ({ id: `out-${t.id}`, roomL: 99 })),
        ],
        things: question.things.map((t) => ({ ...t, costs: { ...t.costs, [`out-${t.id}`]: 50 } })),
      };
      const found = bestHomes(roomy);
      lawsHold(roomy, found);
      const programme = homesProgramme(roomy);
      const solved = solver.solve(programme.lp, { output_flag: false, mip_rel_gap: 0 });
      const answer = { optimal: solved.Status === 'Optimal', value: (name: string) => solved.Columns[name]?.Primal ?? 0 };
      const exact = homesFromSolver(programme, answer, found.bound)!;
      lawsHold(roomy, exact);
      expect(exact.proven, `seed ${seed}`).toBe(true);
      expect(found.bound, `seed ${seed}`).toBeLessThanOrEqual(exact.cost + 1e-6);
      if (found.proven) expect(found.cost, `seed ${seed}`).toBeCloseTo(exact.cost, 6);
      else expect(found.cost, `seed ${seed}`).toBeGreaterThanOrEqual(exact.cost - 1e-6);
      proven += Number(found.proven);
    }
    expect(proven).toBeGreaterThan(4);
  });
});
