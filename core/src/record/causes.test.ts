// @ts-expect-error -- it brings no types; what is used of it is said here.
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { seeded } from '../testing/logs.js';
import { atRisk, type AtRisk, type Past, type SeenOrCleaned, type WentThrough, whatGoesBefore } from './causes.js';
import { rateRatio } from './rateRatio.js';

const { jStat } = jstat as { jStat: { binomial: { cdf: (k: number, n: number, p: number) => number } } };
const DAY = 86_400_000;

describe('a ratio of rates', () => {
  it('is as R’s poisson.test has it for the worked example of its manual page (11 of 800 against 21 of 3,011; from memory)', () => {
    const { ratio, low, high } = rateRatio({ found: 11, days: 800 }, { found: 21, days: 3011 }, 0.95);
    expect(ratio).toBeCloseTo(1.9715, 3);
    expect(low).toBeCloseTo(0.8584, 3);
    expect(high).toBeCloseTo(4.2773, 3);
  });

  it('is of breast cancer after fluoroscopy as in Boice & Monson 1977, 41 of 28,010 against 15 of 19,017 (from memory): 1.86', () => {
    const { ratio, low, high } = rateRatio({ found: 41, days: 28_010 }, { found: 15, days: 19_017 }, 0.95);
    expect(ratio).toBeCloseTo(1.856, 3);
    expect([low, high].map((x) => Math.round(x * 10) / 10)).toEqual([1.0, 3.6]);
  });

  it('has ends at which what was found would be as rare as the level says (binomial sums of another function)', () => {
    for (const [a, c] of [
      [3, 5],
      [8, 2],
      [20, 31],
      [1, 9],
    ] as const) {
      const [one, other] = [
        { found: a, days: 40 },
        { found: c, days: 130 },
      ];
      const { low, high } = rateRatio(one, other, 0.9);
      const shareAt = (ratio: number) => (ratio * one.days) / (ratio * one.days + other.days);
      expect(1 - jStat.binomial.cdf(a - 1, a + c, shareAt(low))).toBeCloseTo(0.05, 6);
      expect(jStat.binomial.cdf(a, a + c, shareAt(high))).toBeCloseTo(0.05, 6);
    }
  });

  it('has no end where nothing was found otherwise, begins at nothing where nothing was, and refuses what is none', () => {
    expect(rateRatio({ found: 5, days: 10 }, { found: 0, days: 10 }, 0.95).high).toBe(Infinity);
    expect(rateRatio({ found: 0, days: 10 }, { found: 5, days: 10 }, 0.95)).toMatchObject({ ratio: 0, low: 0 });
    for (const [one, other, level] of [
      [{ found: 0, days: 1 }, { found: 0, days: 1 }, 0.9],
      [{ found: 1.5, days: 1 }, { found: 1, days: 1 }, 0.9],
      [{ found: 1, days: 0 }, { found: 1, days: 1 }, 0.9],
      [{ found: 1, days: 1 }, { found: 1, days: 1 }, 1],
    ] as const)
      expect(() => rateRatio(one, other, level)).toThrow(RangeError);
  });
});

describe('a time at risk', () => {
  const past = (...entries: SeenOrCleaned[]): Past => ({ id: 'a', kind: 'lens', traits: {}, entries });
  const look = (
    day: number,
    found: { surface: 'front-glass' | 'rear-glass'; soil: 'dust' | 'fingerprint' }[],
    seen = ['front-glass', 'rear-glass'] as const,
  ): SeenOrCleaned => ({
    ms: day * DAY,
    did: 'look',
    seen: [...seen],
    found,
  });
  const dust = { surface: 'front-glass', soil: 'dust' } as const;
  const loose = (p: Past) =>
    atRisk(p)
      .filter(({ dirt }) => dirt === 'loose')
      .map(({ fromMs, toMs, found }) => [fromMs / DAY, toMs / DAY, found]);

  it('is from a look that saw it clean to the next look at the same', () => {
    expect(loose(past(look(0, []), look(5, []), look(9, [dust])))).toEqual([
      [0, 5, false],
      [5, 9, true],
    ]);
  });

  it('ends with what is found, and begins again once it is clean', () => {
    const cleaned: SeenOrCleaned = { ms: 20 * DAY, did: 'clean', clean: ['front-glass'] };
    // Dust that lay there already came before: the look on day 12 finds nothing new on the front.
    expect(loose(past(look(0, [dust]), look(12, [dust]), cleaned, look(30, [dust])))).toEqual([
      // The rear was clean all the while.
      [0, 12, false],
      [20, 30, true],
    ]);
  });

  it('is none before anybody saw it clean, nor of a surface the look did not see', () => {
    expect(loose(past(look(3, [dust])))).toEqual([]);
    const other: SeenOrCleaned = { ms: 8 * DAY, did: 'look', seen: ['barrel'], found: [] };
    expect(loose(past(look(0, []), other, look(10, [])))).toEqual([[0, 10, false]]);
  });

  it('is of each dirt by itself', () => {
    const print = { surface: 'front-glass', soil: 'fingerprint' } as const;
    const risks = atRisk(past(look(0, [print]), look(4, [print, dust])));
    expect(risks.filter(({ found }) => found).map(({ dirt }) => dirt)).toEqual(['loose']);
  });
});

/** A household over two years: dust comes by a rate a day, so many times as fast on the days around an outing to sand. */
function household(
  seed: number,
  { times, eager = 30, outings = 20, base = 0.02 }: { times: number; eager?: number; outings?: number; base?: number },
) {
  const random = seeded(seed);
  const risks: AtRisk[] = [];
  const spans: WentThrough[] = [];
  for (let item = 0; item < 6; item++) {
    const itemId = `lens-${item}`;
    const days = [...Array(outings)].map(() => Math.floor(random() * 700)).sort((a, b) => a - b);
    for (const day of days) {
      const ground = random() < 0.5 ? 'beach' : 'city';
      for (const cause of [{ is: 'ground' as const, ground: ground as never }, { is: 'out' as const }])
        spans.push({ cause, itemId, fromMs: day * DAY, toMs: (day + 2) * DAY });
    }
    const atBeach = (day: number) =>
      spans.some(
        (s) =>
          s.itemId === itemId &&
          s.cause.is === 'ground' &&
          (s.cause.ground as string) === 'beach' &&
          day * DAY >= s.fromMs &&
          day * DAY < s.toMs,
      );
    const isOut = (day: number) => spans.some((s) => s.itemId === itemId && day * DAY >= s.fromMs && day * DAY < s.toMs);
    let [from, hazard] = [0, 0];
    for (let day = 0; day < 730; day++) {
      hazard += base * (atBeach(day) ? times : 1);
      // Whoever comes home looks sooner.
      const looks = random() < 1 / (isOut(day - 2) ? 2 : eager);
      if (!looks || day === from) continue;
      risks.push({ itemId, dirt: 'loose', fromMs: from * DAY, toMs: day * DAY, found: random() < 1 - Math.exp(-hazard) });
      [from, hazard] = [day, 0];
    }
  }
  return { risks, spans };
}
const SEEDS = Array.from({ length: 200 }, (_, i) => 1000 + i);

describe('what goes before a dirt', () => {
  it('is told in hardly any household where nothing does, though one looks sooner after an outing', () => {
    const said = SEEDS.filter((seed) => {
      const { risks, spans } = household(seed, { times: 1 });
      return whatGoesBefore(risks, spans).told.length > 0;
    });
    expect(said.length / SEEDS.length).toBeLessThanOrEqual(0.05);
  });

  it('is told in nearly every one where the beach brings thirty times as much, and the beach stands above going out at all', () => {
    const first = SEEDS.slice(0, 60).map((seed) => {
      const { risks, spans } = household(seed, { times: 30, outings: 24 });
      return whatGoesBefore(risks, spans).told[0]?.cause;
    });
    const beach = first.filter((cause) => cause?.is === 'ground' && (cause.ground as string) === 'beach').length;
    expect(beach / first.length).toBeGreaterThan(0.85);
  });

  it('says nothing from a handful of looks, and says that it is too few', () => {
    const risks: AtRisk[] = [0, 1, 2].map((i) => ({
      itemId: 'a',
      dirt: 'loose',
      fromMs: i * 10 * DAY,
      toMs: (i * 10 + 9) * DAY,
      found: true,
    }));
    const spans: WentThrough[] = [{ cause: { is: 'out' }, itemId: 'a', fromMs: 0, toMs: 60 * DAY }];
    expect(whatGoesBefore(risks, spans)).toEqual({ told: [], weighed: 0, tooFew: 1 });
  });

  it('takes a place where it lay for half of the time, and compares it with things that lay elsewhere', () => {
    const risks: AtRisk[] = [];
    const spans: WentThrough[] = [];
    for (let i = 0; i < 40; i++) {
      const itemId = `thing-${i % 8}`;
      const inCupboard = i % 8 < 4;
      risks.push({ itemId, dirt: 'growth', fromMs: i * 30 * DAY, toMs: (i * 30 + 29) * DAY, found: inCupboard && i % 3 !== 0 });
      spans.push({
        cause: { is: 'place', placeId: inCupboard ? 'cupboard' : 'cabinet' },
        itemId,
        fromMs: i * 30 * DAY,
        toMs: (i * 30 + 29) * DAY,
      });
    }
    const { told } = whatGoesBefore(risks, spans);
    expect(told).toHaveLength(1);
    expect(told[0]).toMatchObject({ dirt: 'growth', cause: { is: 'place', placeId: 'cupboard' }, else: { found: 0 } });
    expect(told[0]!.high).toBe(Infinity);
  });

  it('is surer the more was seen: the same twice over has a narrower interval', () => {
    const { risks, spans } = household(7, { times: 40, outings: 24 });
    const again =
      (by: string) =>
      <T extends { itemId: string }>(all: readonly T[]): T[] =>
        all.map((one) => ({ ...one, itemId: `${by}${one.itemId}` }));
    const once = whatGoesBefore(risks, spans).told[0]!;
    const twice = whatGoesBefore([...risks, ...again('b')(risks)], [...spans, ...again('b')(spans)]).told[0]!;
    expect(twice.cause).toEqual(once.cause);
    expect(twice.low).toBeGreaterThan(once.low);
  });
});
