import { describe, expect, it } from 'vitest';
import { type Answer, type BenchEvent, benchState, type CleaningPlan, planCleaning } from '../care/index.js';
import { seeded } from '../testing/logs.js';
import { knownOdds } from './knownOdds.js';
import { ladderAhead, type Rung, whenToStop } from './ladder.js';
import { oddsOf } from './odds.js';
import { chanceOfLoss, type OfferCase, offerFor } from './offer.js';
import { OFFER_TROUBLES, SEEN_WHERE, WHOSE_HANDS } from './offerSeen.js';
import { recordOf, rungAhead, triesOf, usualOf } from './tries.js';

describe('odds from one’s own bench', () => {
  // Closed forms: Beta(a, 1) has quantile p^(1/a), Beta(1, b) has 1 - (1 - p)^(1/b), Beta(1, 1) is uniform.
  it.each([
    [{ a: 1, b: 1 }, 0, 0, [0.5, 0.05, 0.95]],
    [{ a: 1, b: 1 }, 3, 0, [4 / 5, 0.05 ** 0.25, 0.95 ** 0.25]],
    [{ a: 1, b: 1 }, 0, 4, [1 / 6, 1 - 0.95 ** 0.2, 1 - 0.05 ** 0.2]],
    [{ a: 2, b: 1 }, 5, 0, [7 / 8, 0.05 ** (1 / 7), 0.95 ** (1 / 7)]],
  ] as const)('agree with the closed form for %o after %i and %i', (prior, successes, failures, [mean, low, high]) => {
    const odds = oddsOf({ successes, failures, prior });
    expect(odds.mean).toBeCloseTo(mean, 12);
    expect(odds.low).toBeCloseTo(low, 8);
    expect(odds.high).toBeCloseTo(high, 8);
  });

  it('hold nine tenths of the distribution, integrated by Simpson’s rule', () => {
    const random = seeded(31);
    for (let i = 0; i < 40; i++) {
      const [successes, failures] = [Math.floor(random() * 30), Math.floor(random() * 30)];
      const { low, high } = oddsOf({ successes, failures, prior: { a: 2, b: 2 } });
      const density = (x: number): number => x ** (successes + 1) * (1 - x) ** (failures + 1);
      const simpson = (from: number, to: number): number => {
        const n = 2000;
        const h = (to - from) / n;
        let sum = density(from) + density(to);
        for (let k = 1; k < n; k++) sum += (k % 2 ? 4 : 2) * density(from + k * h);
        return (sum * h) / 3;
      };
      expect(simpson(low, high) / simpson(0, 1)).toBeCloseTo(0.9, 5);
      expect(simpson(0, low) / simpson(0, 1)).toBeCloseTo(0.05, 5);
    }
  });

  it('begin at what is believed, which counts as four tries; more successes never lower them, more failures never raise them', () => {
    expect(oddsOf({ successes: 0, failures: 0, prior: 0.65 }).mean).toBeCloseTo(0.65, 12);
    expect(oddsOf({ successes: 4, failures: 0, prior: 0.5 }).mean).toBeCloseTo(0.75, 12);
    for (let s = 0; s < 12; s++)
      for (let u = 0; u < 12; u++) {
        const of = (successes: number, failures: number) => oddsOf({ successes, failures, prior: 0.5 });
        for (const part of ['mean', 'low', 'high'] as const) {
          expect(of(s + 1, u)[part]).toBeGreaterThan(of(s, u)[part]);
          expect(of(s, u + 1)[part]).toBeLessThan(of(s, u)[part]);
        }
        const { low, mean, high } = of(s, u);
        expect(low).toBeLessThan(mean);
        expect(mean).toBeLessThan(high);
      }
  });

  it.each([
    { successes: -1, failures: 0, prior: 0.5 },
    { successes: 0.5, failures: 0, prior: 0.5 },
    { successes: 0, failures: 0, prior: 0 },
    { successes: 0, failures: 0, prior: 1 },
    { successes: 0, failures: 0, prior: { a: 0, b: 1 } },
    { successes: NaN, failures: 0, prior: 0.5 },
  ])('are refused from %o', (wrong) => expect(() => oddsOf(wrong)).toThrow(RangeError));
});

describe('what a bench says of its rungs', () => {
  const findings = [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }] as const;
  const plan = planCleaning({ item: { kind: 'lens', traits: {} }, findings: [...findings], place: 'home' });
  const asked = plan.steps.filter((s) => s.surface === 'front-glass' && s.look && s.removes.includes('fingerprint'));
  type Told = 'clean-enough' | 'better' | 'no-change' | 'rest-clean';
  /** Worked through with these answers, one after the other; what is not answered by them comes off. */
  const worked = (of: CleaningPlan, answers: readonly Told[]): BenchEvent[] => {
    const [events, left] = [[] as BenchEvent[], [...answers]];
    for (let state = benchState(of, events); state.phase !== 'close'; state = benchState(of, events)) {
      const step = state.step!;
      if (state.phase === 'prepare') events.push({ type: 'ready' });
      else if (state.phase === 'reading') events.push({ type: 'reading', surface: step.surface, reading: 'unsure' });
      else if (state.phase === 'round-look' && left[0] === 'rest-clean') {
        left.shift();
        events.push({ type: 'rest-clean', step: step.id });
      } else if (state.phase === 'round-look') {
        const open = state.round!.steps.find((s) => state.round!.answers[s.surface] === undefined)!;
        events.push({ type: 'answer', step: open.id, answer: (left.shift() as Answer | undefined) ?? 'clean-enough' });
      } else if (state.phase === 'look')
        events.push({ type: 'answer', step: step.id, answer: (left.shift() as Answer | undefined) ?? 'clean-enough' });
      else events.push({ type: 'done', step: step.id });
    }
    return events;
  };
  const bench = (...answers: Told[]) => ({ plan, findings, events: worked(plan, answers) });

  it('is that a rung did it, or did not; what was not answered says nothing', () => {
    expect(asked.length).toBeGreaterThan(1);
    const tried = triesOf(bench('no-change', 'no-change', 'clean-enough'));
    expect(tried.at(-1)).toMatchObject({ soil: 'fingerprint', family: 'glass', did: true });
    expect(tried.slice(0, -1).every((t) => !t.did)).toBe(true);
    expect(new Set(tried.map((t) => t.method)).size).toBe(tried.length);
    expect(triesOf({ plan, findings, events: [{ type: 'ready' }, { type: 'done', step: asked[0]!.id }] })).toEqual([]);
    expect(triesOf({ ...bench('clean-enough'), findings: [] })).toEqual([]);
  });

  it('counts no answer that nobody could have given: to a step one never stood on, or twice', () => {
    const answer = { type: 'answer', step: asked[1]!.id, answer: 'clean-enough' } as const;
    expect(triesOf({ plan, findings, events: [answer] })).toEqual([]);
    const { events } = bench('clean-enough');
    expect(triesOf({ plan, findings, events: events.flatMap((e) => [e, e]) })).toEqual(triesOf({ plan, findings, events }));
  });

  it('credits the air of a round with every surface that came off by it, and not with what had an answer before', () => {
    const dusty = (['front-glass', 'rear-glass'] as const).map((surface) => ({ surface, soil: 'dust', severity: 3 }) as const);
    const of = planCleaning({ item: { kind: 'lens', traits: {} }, findings: [...dusty], place: 'home' });
    const blown = (answers: Told[]) =>
      triesOf({ plan: of, findings: dusty, events: worked(of, answers) })
        .filter((t) => t.method === 'blow')
        .map((t) => t.did);
    expect(blown(['rest-clean']).length).toBeGreaterThan(1);
    expect(blown(['rest-clean']).every(Boolean)).toBe(true);
    expect(blown(['no-change', 'rest-clean']).filter((did) => !did)).toHaveLength(1);
    expect(blown(['no-change', 'rest-clean'])).toHaveLength(blown(['rest-clean']).length);
  });

  it('adds up over benches in any order, and says what is usual where there is none', () => {
    const benches = [bench('clean-enough'), bench('no-change', 'no-change', 'clean-enough'), bench('clean-enough')];
    const [one, other] = [recordOf(benches), recordOf([...benches].reverse())];
    const { method } = triesOf(benches[0]!)[0]!;
    const first = (records: typeof one) => records.find((r) => r.method === method);
    expect(first(one)).toMatchObject({ successes: 2, failures: 1 });
    expect(first(other)).toEqual(first(one));
    const rung = { method, soils: ['fingerprint'] as const, family: 'glass' as const };
    expect(rungAhead(rung, [])).toEqual({ successes: 0, failures: 0, mean: usualOf(rung.method), range: null });
    const ahead = rungAhead(rung, knownOdds(one));
    expect(ahead.mean).toBeCloseTo((usualOf(rung.method) * 4 + 2) / 7, 12);
    expect(ahead.range!.low).toBeLessThan(ahead.mean);
  });

  it('is as good as against the hardest of what was found', () => {
    const of = (soil: 'dust' | 'fingerprint', successes: number, failures: number) =>
      ({ method: 'blow', soil, family: 'glass', successes, failures }) as const;
    const known = knownOdds([of('dust', 9, 0), of('fingerprint', 0, 9)]);
    const ahead = rungAhead({ method: 'blow', soils: ['dust', 'fingerprint'], family: 'glass' }, known);
    expect([ahead.successes, ahead.failures]).toEqual([0, 9]);
  });
});

describe('a ladder ahead', () => {
  const random = seeded(7);
  const rungs = (n: number): Rung[] =>
    Array.from({ length: n }, () => ({ odds: random(), minutes: random() * 5, touches: Math.floor(random() * 3) }));

  it('takes what climbing it a hundred thousand times takes', () => {
    const ladder = rungs(4);
    const { minutes, touches, comesOff } = ladderAhead(ladder);
    const sum = { minutes: 0, touches: 0, off: 0 };
    const times = 100_000;
    for (let i = 0; i < times; i++)
      for (const rung of ladder) {
        sum.minutes += rung.minutes;
        sum.touches += rung.touches;
        if (random() < rung.odds) {
          sum.off += 1;
          break;
        }
      }
    expect(minutes).toBeCloseTo(sum.minutes / times, 1);
    expect(touches).toBeCloseTo(sum.touches / times, 1);
    expect(comesOff).toBeCloseTo(sum.off / times, 1);
    expect(ladderAhead([])).toEqual({ minutes: 0, touches: 0, comesOff: 0 });
  });

  it('is left where trying every rung at which one could stop says so', () => {
    for (let i = 0; i < 3000; i++) {
      const ladder = rungs(1 + Math.floor(random() * 5));
      const markCosts = random() * 4;
      const worthOf = (n: number): number => {
        const { touches, comesOff } = ladderAhead(ladder.slice(0, n));
        return comesOff * markCosts - touches;
      };
      const every = Array.from({ length: ladder.length + 1 }, (_, n) => worthOf(n));
      const stop = whenToStop(ladder, markCosts);
      expect(stop.worth).toBeCloseTo(Math.max(...every), 9);
      expect(worthOf(stop.rungs)).toBeCloseTo(Math.max(...every), 9);
    }
  });

  it('is climbed no less far the more the mark costs, and not at all where it costs nothing', () => {
    for (let i = 0; i < 500; i++) {
      const ladder = rungs(4).map((r) => ({ ...r, touches: r.touches + 0.1 }));
      expect(whenToStop(ladder, 0)).toEqual({ rungs: 0, worth: 0 });
      let before = 0;
      for (const cost of [0.5, 1, 2, 4, 8, 100]) {
        const { rungs: far } = whenToStop(ladder, cost);
        expect(far).toBeGreaterThanOrEqual(before);
        before = far;
      }
    }
  });
});

describe('an offer', () => {
  const lens: OfferCase = {
    cleanValue: 300,
    markedShare: 0.7,
    etchedShare: 0.3,
    costs: { outside: 5, oneRing: 20, deeper: 90 },
    lies: { outside: 0.3, oneRing: 0.4, deeper: 0.3 },
    comesOff: { clean: 0.5, mark: 0.3, etched: 0.2 },
    harm: { oneRing: 0.05, deeper: 0.15 },
  };

  it('has a tree whose chances make one, and is worth what ten thousand buyers get on the average', () => {
    const { ends, worth, boldestPrice } = offerFor(lens);
    expect(ends.reduce((sum, e) => sum + e.chance, 0)).toBeCloseTo(1, 12);
    const random = seeded(300);
    const pick = <K extends string>(chances: Record<K, number>): K => {
      let left = random();
      const keys = Object.keys(chances) as K[];
      return keys.find((k) => (left -= chances[k]) < 0) ?? keys.at(-1)!;
    };
    const results: number[] = [];
    for (let i = 0; i < 200_000; i++) {
      const depth = pick(lens.lies);
      const isHarmed = depth !== 'outside' && random() < lens.harm[depth];
      const end = pick(lens.comesOff);
      const share = isHarmed || end === 'etched' ? lens.etchedShare : end === 'mark' ? lens.markedShare : 1;
      results.push(lens.cleanValue * share - lens.costs[depth]);
    }
    const mean = results.reduce((a, b) => a + b, 0) / results.length;
    expect(Math.abs(worth - mean)).toBeLessThan(1.5);
    // Paid that much, no more than one in four loses; paid a little more than the next end, more than one in four does.
    const losers = (price: number) => results.filter((r) => r < price - 1e-9).length / results.length;
    expect(losers(boldestPrice)).toBeLessThanOrEqual(0.255);
    expect(losers(boldestPrice + 0.01)).toBeGreaterThan(0.245);
  });

  it('is worth the clean value less the cost where nothing can go wrong, and never more than that', () => {
    const sure = { ...lens, lies: { outside: 1, oneRing: 0, deeper: 0 }, comesOff: { clean: 1, mark: 0, etched: 0 } };
    expect(offerFor(sure)).toMatchObject({ worth: 295, boldestPrice: 295 });
    expect(offerFor(lens).worth).toBeLessThan(295);
  });

  it('loses as often as one in four at most at the boldest price, and no less often the more is paid', () => {
    for (const lies of Object.values(SEEN_WHERE))
      for (const comesOff of Object.values(OFFER_TROUBLES.fungus.how))
        for (const harm of Object.values(WHOSE_HANDS)) {
          const offer = offerFor({ ...lens, lies, comesOff, harm });
          expect(chanceOfLoss(offer, offer.boldestPrice)).toBeLessThanOrEqual(0.25 + 1e-9);
          expect(chanceOfLoss(offer, offer.boldestPrice + 0.01)).toBeGreaterThan(0.25 - 1e-9);
          let before = 0;
          for (let price = 0; price <= 320; price += 20) {
            const chance = chanceOfLoss(offer, price);
            expect(chance).toBeGreaterThanOrEqual(before - 1e-12);
            before = chance;
          }
          expect(before).toBeCloseTo(1, 9);
        }
  });

  it('is worth no more the likelier harm is, or the dearer the work', () => {
    let before = Infinity;
    for (let harm = 0; harm <= 1.0001; harm += 0.1) {
      const { worth } = offerFor({ ...lens, harm: { oneRing: Math.min(1, harm), deeper: Math.min(1, harm) } });
      expect(worth).toBeLessThanOrEqual(before + 1e-9);
      before = worth;
    }
    expect(offerFor({ ...lens, costs: { ...lens.costs, deeper: 200 } }).worth).toBeLessThan(offerFor(lens).worth);
  });

  it.each<[string, Partial<OfferCase>]>([
    ['chances that make more than one', { lies: { outside: 0.5, oneRing: 0.5, deeper: 0.5 } }],
    ['a chance below nothing', { comesOff: { clean: 1.2, mark: -0.2, etched: 0 } }],
    ['harm above one', { harm: { oneRing: 2, deeper: 0 } }],
    ['a value below nothing', { cleanValue: -1 }],
    ['a value that is none', { cleanValue: NaN }],
  ])('is refused with %s', (_, wrong) => expect(() => offerFor({ ...lens, ...wrong })).toThrow(RangeError));
});
