import * as packed from 'highs';
import { describe, expect, it } from 'vitest';
import { CoverBound } from './coverBound.js';
import { seeded } from '../testing/logs.js';
import { expectedLossWith, type KitItem, type KitQuestion, packKit } from './packKit.js';

/** A small question: whole and part shares, ties among them, one to three limits. */
function questionOf(random: () => number, items: number, needs: number): KitQuestion {
  const of = (n: number) => Math.floor(random() * n);
  const limits: KitQuestion['limits'] = {};
  if (random() < 0.8) limits.massG = of(items * 60);
  if (random() < 0.5) limits.volumeL = random() * items * 0.2;
  if (random() < 0.5) limits.price = of(items * 10);
  return {
    needs: Array.from({ length: needs }, (_, n) => ({ id: `n${n}`, likelihood: random(), loss: of(200) })),
    items: Array.from({ length: items }, (_, k) => ({
      id: `k${k}`,
      massG: of(200),
      volumeL: random() * 0.8,
      price: of(40),
      covers: Object.fromEntries(
        Array.from({ length: needs }, (_, n) => [`n${n}`, random() < 0.4 ? of(5) / 4 : 0] as const).filter(([, share]) => share > 0),
      ),
    })),
    limits,
  };
}

const total = (items: readonly KitItem[], ids: readonly string[], of: (item: KitItem) => number): number =>
  items.filter((item) => ids.includes(item.id)).reduce((sum, item) => sum + of(item), 0);
const isWithin = ({ items, limits }: KitQuestion, ids: readonly string[]): boolean =>
  total(items, ids, (i) => i.massG) <= (limits.massG ?? Infinity) &&
  total(items, ids, (i) => i.volumeL) <= (limits.volumeL ?? Infinity) + 1e-9 &&
  total(items, ids, (i) => i.price) <= (limits.price ?? Infinity);

type Solver = { solve: (lp: string, options: object) => { Status: string; ObjectiveValue: number } };
// The types describe a module where Node sees CommonJS.
const loadSolver = packed.default as unknown as () => Promise<Solver>;
/** The same question as a mixed-integer programme: o is what stays open of a need, k whether a thing is taken. */
function programmeOf({ needs, items, limits }: KitQuestion): string {
  const sum = (terms: readonly [factor: number, name: string][]): string =>
    terms
      .filter(([factor]) => factor !== 0)
      .map(([factor, name]) => `+ ${factor} ${name}`)
      .join(' ') || '+ 0 k0';
  const met = needs.map(
    (n) => `m_${n.id}: ${sum([[1, `o_${n.id}`], ...items.map((i) => [i.covers[n.id] ?? 0, i.id] as [number, string])])} >= 1`,
  );
  const kept = (['massG', 'volumeL', 'price'] as const)
    .filter((m) => limits[m] !== undefined)
    .map((m) => `l_${m}: ${sum(items.map((i) => [i[m], i.id]))} <= ${limits[m]! + 1e-9}`);
  return [
    `Minimize\nloss: ${sum(needs.map((n) => [n.likelihood * n.loss, `o_${n.id}`]))}`,
    `Subject To\n${[...met, ...kept].join('\n')}`,
    `Binary\n${items.map((i) => i.id).join(' ')}`,
    'End',
  ].join('\n');
}

/** Every choice there is, reckoned from the definition. */
function bruteForce(question: KitQuestion): number {
  const { needs, items } = question;
  let best = Infinity;
  for (let mask = 0; mask < 1 << items.length; mask++) {
    const chosen = items.filter((_, k) => mask & (1 << k));
    const ids = chosen.map((i) => i.id);
    if (!isWithin(question, ids)) continue;
    const loss = needs.reduce(
      (sum, n) =>
        sum +
        n.likelihood *
          n.loss *
          (1 -
            Math.min(
              1,
              chosen.reduce((c, i) => c + (i.covers[n.id] ?? 0), 0),
            )),
      0,
    );
    best = Math.min(best, loss);
  }
  return best;
}

describe('a kit', () => {
  it('leaves what trying every choice leaves, over 300 questions of up to 12 things, within its limits and with nothing idle in it', () => {
    const random = seeded(29);
    for (let i = 0; i < 300; i++) {
      const question = questionOf(random, 2 + Math.floor(random() * 11), 1 + Math.floor(random() * 8));
      const kit = packKit(question);
      expect(kit.proven).toBe(true);
      expect(kit.expectedLoss).toBeCloseTo(bruteForce(question), 6);
      expect(isWithin(question, kit.items)).toBe(true);
      expect(expectedLossWith(question, kit.items)).toBeCloseTo(kit.expectedLoss, 9);
      for (const id of kit.items)
        expect(
          expectedLossWith(
            question,
            kit.items.filter((other) => other !== id),
          ),
        ).toBeGreaterThan(kit.expectedLoss);
    }
  });

  it('leaves what trying every choice leaves with sixteen things', () => {
    const random = seeded(16);
    for (let i = 0; i < 4; i++) {
      const question = questionOf(random, 16, 8);
      expect(packKit(question).expectedLoss).toBeCloseTo(bruteForce(question), 6);
    }
  });

  it('leaves what an integer solver leaves (HiGHS), of bags too large to try', async () => {
    const solver = await loadSolver();
    for (let seed = 1; seed <= 12; seed++) {
      const question = questionOf(seeded(seed * 101), 34, 14);
      const kit = packKit(question);
      expect(kit.proven, `seed ${seed}`).toBe(true);
      const solved = solver.solve(programmeOf(question), { mip_rel_gap: 0 });
      expect(solved.Status).toBe('Optimal');
      expect(kit.expectedLoss, `seed ${seed}`).toBeCloseTo(solved.ObjectiveValue, 4);
    }
  });

  it('its bound is none that a choice gets over, whatever was asked of it before', () => {
    const random = seeded(5);
    for (let i = 0; i < 60; i++) {
      const { needs, items, limits } = questionOf(random, 9, 6);
      const measures = (['massG', 'volumeL', 'price'] as const).filter((m) => limits[m] !== undefined);
      const covers = items.map((item) => Float64Array.from(needs, (n) => item.covers[n.id] ?? 0));
      const weights = Float64Array.from(needs, (n) => n.likelihood * n.loss);
      const takes = measures.map((m) => Float64Array.from(items, (item) => item[m]));
      const room = measures.map((m) => limits[m]!);
      const meets = covers.map((own) => Int32Array.from([...own.keys()].filter((n) => own[n]! > 0)));
      const bound = new CoverBound({ weights, covers, meets, takes, limits: room });
      const all = items.map((_, k) => k);
      const open = new Float64Array(needs.length).fill(1);
      const most = weights.reduce((sum, w) => sum + w, 0) - bruteForce({ needs, items, limits });
      for (const share of [1.5, 1.01, 0.999, 0.5])
        if (bound.isAtMost(most * share, { open, room, items: all })) expect(share, `question ${i}`).toBeGreaterThanOrEqual(1);
        else {
          // What it says is in no better choice is not in the best one, unless that is not better than was asked for.
          const { out } = bound.decided(most * share, all);
          if (share < 1) expect(bruteForce({ needs, items: items.filter((_, k) => !out.has(k)), limits })).toBeCloseTo(bruteForce({ needs, items, limits }), 6); // prettier-ignore
        }
    }
  });

  it('leaves no more under a looser limit, and no less where more may be needed, over 200 questions', () => {
    const random = seeded(30);
    for (let i = 0; i < 200; i++) {
      const question = questionOf(random, 10, 6);
      const { expectedLoss } = packKit(question);
      const looser = { ...question, limits: { ...question.limits, massG: (question.limits.massG ?? 100) + 50 } };
      if (question.limits.massG !== undefined) expect(packKit(looser).expectedLoss).toBeLessThanOrEqual(expectedLoss + 1e-9);
      const more = { ...question, needs: [...question.needs, { id: 'n0b', likelihood: 0.5, loss: 50 }] };
      expect(packKit(more).expectedLoss).toBeGreaterThanOrEqual(expectedLoss - 1e-9);
    }
  });

  it('takes the lighter of two that do the same, and nothing where nothing can be needed or nothing may be carried', () => {
    const item = (id: string, massG: number): KitItem => ({ id, massG, volumeL: 0.1, price: 5, covers: { a: 1 } });
    const needs = [{ id: 'a', likelihood: 0.5, loss: 10 }];
    expect(packKit({ needs, items: [item('heavy', 200), item('light', 20)], limits: {} })).toMatchObject({
      items: ['light'],
      proven: true,
    });
    expect(packKit({ needs, items: [item('x', 20)], limits: { massG: 10 } })).toEqual({ items: [], expectedLoss: 5, proven: true });
    expect(packKit({ needs: [], items: [item('x', 20)], limits: {} })).toEqual({ items: [], expectedLoss: 0, proven: true });
    expect(packKit({ needs, items: [], limits: {} })).toEqual({ items: [], expectedLoss: 5, proven: true });
  });

  it.each<[string, Partial<KitQuestion>]>([
    ['a likelihood above one', { needs: [{ id: 'a', likelihood: 1.2, loss: 1 }] }],
    ['a loss that is no number', { needs: [{ id: 'a', likelihood: 1, loss: NaN }] }],
    ['a share above one', { items: [{ id: 'x', massG: 1, volumeL: 1, price: 1, covers: { a: 2 } }] }],
    ['a mass below nothing', { items: [{ id: 'x', massG: -1, volumeL: 1, price: 1, covers: {} }] }],
    ['a limit below nothing', { limits: { price: -1 } }],
  ])('is refused with %s', (_, wrong) => expect(() => packKit({ needs: [], items: [], limits: {}, ...wrong })).toThrow(RangeError));
});
