import { describe, expect, it } from 'vitest';
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
