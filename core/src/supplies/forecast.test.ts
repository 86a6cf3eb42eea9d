import { describe, expect, it } from 'vitest';
import { buyWithin, costPerClean, forecast, howOften, LEAST_DAYS, LEAST_TAKINGS } from './forecast.js';

/** Numbers that look like chance and are the same each time. */
function sequence(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return (state + 0.5) / 2 ** 32;
  };
}

describe('how often', () => {
  it.each([
    // Garwood 1936, as printed in handbook tables of limits for a Poisson count (from memory): 95 %, then 90 %.
    [0, 0.95, 0, 3.689],
    [1, 0.95, 0.0253, 5.572],
    [3, 0.95, 0.6187, 8.767],
    [10, 0.95, 4.795, 18.39],
    [10, 0.9, 5.425, 16.96],
    [50, 0.95, 37.11, 65.92],
  ])('%i times, %f: from %f to %f', (times, within, least, most) => {
    const found = howOften(times, within);
    expect(found.least).toBeCloseTo(least, 2);
    expect(found.most).toBeCloseTo(most, 2);
  });
});

describe('how long a stock lasts', () => {
  it('as it was used: two drops a bench, three benches a month', () => {
    const outlook = forecast({ stock: 120, takings: Array<number>(9).fill(2), days: 90 });
    if (!outlook.isKnown) throw new Error('known');
    expect(outlook.perMonth).toBeCloseTo(6);
    expect(outlook.days).toBeCloseTo(600);
  });

  it('is not said of what nobody counted, what is gone, and from too little', () => {
    const takings = Array<number>(LEAST_TAKINGS).fill(1);
    expect(forecast({ stock: null, takings, days: 100 })).toEqual({ isKnown: false, because: 'not-counted' });
    expect(forecast({ stock: 0, takings, days: 100 })).toEqual({ isKnown: false, because: 'used-up' });
    expect(forecast({ stock: 9, takings: takings.slice(1), days: 100 })).toEqual({ isKnown: false, because: 'too-few' });
    expect(forecast({ stock: 9, takings, days: LEAST_DAYS - 1 })).toEqual({ isKnown: false, because: 'too-few' });
    expect(forecast({ stock: 9, takings, days: LEAST_DAYS }).isKnown).toBe(true);
  });

  it('never lasts longer with less of it, or with more use; and lies within its bounds', () => {
    const random = sequence(3);
    for (let i = 0; i < 500; i += 1) {
      const takings = Array.from({ length: LEAST_TAKINGS + Math.floor(random() * 40) }, () => 1 + Math.floor(random() * 6));
      const [stock, days] = [1 + Math.floor(random() * 300), LEAST_DAYS + Math.floor(random() * 400)];
      const now = forecast({ stock, takings, days });
      const less = forecast({ stock: stock - 0.5, takings, days });
      const more = forecast({ stock, takings: [...takings, takings[0]!], days });
      if (!now.isKnown || !less.isKnown || !more.isKnown) throw new Error('known');
      expect(now.soonest).toBeLessThan(now.days);
      expect(now.latest).toBeGreaterThan(now.days);
      expect(less.days).toBeLessThan(now.days);
      // One more of what was taken before uses more, whatever the others took.
      expect(more.perMonth).toBeGreaterThan(now.perMonth);
      expect(more.days).toBeLessThan(now.days);
      expect(buyWithin(now)!).toBeGreaterThanOrEqual(0);
      expect(buyWithin(now)!).toBeLessThanOrEqual(now.soonest);
    }
  });

  it('holds the rate there was in nine of ten simulated households', () => {
    const random = sequence(11);
    let [held, told] = [0, 0];
    for (let household = 0; household < 600; household += 1) {
      const perDay = 0.01 + 0.1 * random();
      const takings: number[] = [];
      for (let at = -Math.log(random()) / perDay; at < 200; at += -Math.log(random()) / perDay) takings.push(2);
      const outlook = forecast({ stock: 100, takings, days: 200 });
      if (!outlook.isKnown) continue;
      told += 1;
      const truth = 100 / (2 * perDay);
      if (truth >= outlook.soonest && truth <= outlook.latest) held += 1;
    }
    expect(told).toBeGreaterThan(400);
    expect(held / told).toBeGreaterThan(0.88);
  });
});

describe('when to buy', () => {
  it('before it may be gone, now where it is, and never from nothing', () => {
    expect(buyWithin({ isKnown: false, because: 'used-up' })).toBe(0);
    expect(buyWithin({ isKnown: false, because: 'too-few' })).toBeNull();
    expect(buyWithin({ isKnown: true, perMonth: 1, days: 100, soonest: 60.7, latest: 200 })).toBe(46);
    expect(buyWithin({ isKnown: true, perMonth: 1, days: 20, soonest: 9, latest: 40 })).toBe(0);
  });
});

describe('what a clean costs', () => {
  it('a self-made wet clean for 0.24 against 40 to 75 at a shop: a kit for 60 has paid after one or two (common practice)', () => {
    expect(costPerClean({ perClean: 0.24, kit: 60, shop: 75 })).toEqual({ saved: 74.76, paidAfter: 1 });
    expect(costPerClean({ perClean: 0.24, kit: 60, shop: 40 }).paidAfter).toBe(2);
  });
  it('never pays where the shop asks no more', () => expect(costPerClean({ perClean: 5, kit: 1, shop: 5 }).paidAfter).toBeNull());
});
