import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Spot } from './dust/spot.js';
import { sequence } from './dust/testing/render.js';
import { growthOf, nextCleanIn } from './growth.js';
import { isMark, judgeSensor, retouch, type TriedSpot } from './judge.js';
import { matchFrames } from './match.js';
import { storyOf, type FrameFacts } from './story.js';

const spot = (x: number, y: number, more: Partial<Spot> = {}): Spot => ({
  x,
  y,
  depth: 0.1,
  fwhmPx: 20,
  diameterPx: 26,
  kind: 'dust',
  confidence: 1,
  ...more,
});

/** Specks strewn over a frame, apart from each other, each with a width of its own. */
function strewn(count: number, seed: number): Spot[] {
  const random = sequence(seed);
  const spots: Spot[] = [];
  while (spots.length < count) {
    const one = spot(0.08 + 0.84 * random(), 0.08 + 0.84 * random(), { fwhmPx: 10 * 8 ** random(), depth: 0.03 * 20 ** random() });
    if (spots.every((s) => Math.hypot(s.x - one.x, s.y - one.y) > 0.05)) spots.push(one);
  }
  return spots.sort((a, b) => b.depth - a.depth);
}

/** The same specks in a frame that lies otherwise, 3 wide by 2 high; each strays by a little. */
function laid(spots: readonly Spot[], { scale = 1, turn = 0, dx = 0, dy = 0 }, seed = 9): Spot[] {
  const random = sequence(seed);
  return spots.map((s) => {
    const [x, y] = [(s.x - 0.5) * scale, ((s.y - 0.5) * scale * 2) / 3];
    const stray = () => (random() - 0.5) * 0.001;
    return {
      ...s,
      x: x * Math.cos(turn) - y * Math.sin(turn) + 0.5 + dx + stray(),
      y: ((x * Math.sin(turn) + y * Math.cos(turn)) * 3) / 2 + 0.5 + dy + stray(),
    };
  });
}

describe('two frames of one body', () => {
  it('the same: everything stayed', () => {
    const all = strewn(20, 1);
    const { stayed, gone, fresh, moved } = matchFrames(all, laid(all, {}));
    expect([stayed.length, gone.length, fresh.length, moved.length]).toEqual([20, 0, 0, 0]);
  });

  it.each([
    ['shifted', { dx: 0.03, dy: -0.02 }],
    ['turned', { turn: 0.03 }],
    ['scaled', { scale: 1.03 }],
    ['all of it', { scale: 0.98, turn: -0.02, dx: -0.02, dy: 0.03 }],
  ] as [string, { scale?: number; turn?: number; dx?: number; dy?: number }][])(
    '%s: what stayed is known again, what went and what came are told',
    (_, how) => {
      const before = strewn(18, 2);
      const came = [spot(0.33, 0.61, { fwhmPx: 170 }), spot(0.7, 0.2, { fwhmPx: 150 })];
      const after = laid([...before.slice(5), ...came], how);
      const match = matchFrames(before, after);
      expect(match.stayed.map((p) => before.indexOf(p.before)).sort((a, b) => a - b)).toEqual(before.slice(5).map((_, i) => i + 5));
      for (const { before: b, after: a } of match.stayed) expect(a.fwhmPx).toBe(b.fwhmPx);
      expect(match.gone.length + match.moved.length).toBe(5);
      expect(match.fresh.length + match.moved.length).toBe(2);
      expect(match.placement.scale).toBeCloseTo(how.scale ?? 1, 2);
      expect(match.placement.turnRad).toBeCloseTo(how.turn ?? 0, 2);
    },
  );

  it('a speck as large and as dark that lies elsewhere now has moved', () => {
    const before = strewn(12, 3);
    const after = [...before.slice(1), { ...before[0]!, x: before[0]!.x > 0.5 ? before[0]!.x - 0.1 : before[0]!.x + 0.1 }];
    const { moved, gone, fresh, stayed } = matchFrames(before, after);
    expect([moved.length, gone.length, fresh.length, stayed.length]).toEqual([1, 0, 0, 11]);
  });

  it('a blow that moved seven of nine left two', () => {
    const before = strewn(9, 4);
    const { gone, stayed } = matchFrames(before, laid(before.slice(7), {}));
    expect([gone.length, stayed.length]).toEqual([7, 2]);
  });

  it('every speck is told once, whatever the frames are', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 14 }), fc.integer({ min: 0, max: 14 }), fc.integer({ min: 1, max: 9999 }), (n, m, seed) => {
        const [before, after] = [strewn(n, seed), strewn(m, seed + 1)];
        const { gone, stayed, moved, fresh } = matchFrames(before, after);
        expect([...gone, ...stayed.map((p) => p.before), ...moved.map((p) => p.before)].sort((a, b) => a.x - b.x)).toEqual(
          [...before].sort((a, b) => a.x - b.x),
        );
        expect([...fresh, ...stayed.map((p) => p.after), ...moved.map((p) => p.after)].sort((a, b) => a.x - b.x)).toEqual(
          [...after].sort((a, b) => a.x - b.x),
        );
      }),
      { numRuns: 60 },
    ));
});

describe('what a sensor needs', () => {
  const tried = (survived: TriedSpot['survived'], more: Partial<Spot> = {}): TriedSpot => ({ ...spot(0.5, 0.5, more), survived });
  const judge = (spots: TriedSpot[], more: object = {}) => judgeSensor(spots, { measuredAt: 16, workingAt: 11, wet: 'self', ...more });

  it('nothing, where nothing is', () => expect(judge([])).toMatchObject({ advice: 'leave', because: { because: 'nothing-there' } }));
  it('nothing, where nothing shows at the apertures in use, and it says from where on it would', () => {
    const { advice, because } = judge([tried([], { depth: 0.04 })], { workingAt: 8 });
    expect(advice).toBe('leave');
    expect(because).toMatchObject({ because: 'nothing-shows', specks: 1 });
    expect((because as { showsFrom: number }).showsFrom).toBeCloseTo(16 * Math.sqrt(0.02 / 0.04), 6);
  });
  it('air first, wet only where air did not move it (common practice)', () => {
    expect(judge([tried([])]).advice).toBe('blow');
    expect(judge([tried(['blow'])]).advice).toBe('swab');
    // One that is new is blown before anything is wet.
    expect(judge([tried(['blow']), tried([])]).advice).toBe('blow');
  });
  it('a workshop, where one does not wet sensors oneself, or two swabs moved nothing', () => {
    expect(judge([tried(['blow'])], { wet: 'service' }).because).toMatchObject({ because: 'by-a-workshop' });
    expect(judge([tried(['blow', 'swab', 'swab'])])).toMatchObject({ advice: 'hand-over', because: { because: 'marks', marks: 1 } });
    expect(isMark(tried(['blow', 'swab']))).toBe(false);
  });
  it('a mark among dust does not stop the dust from being swabbed', () =>
    expect(judge([tried(['blow', 'swab', 'swab']), tried(['blow'])])).toMatchObject({ advice: 'swab', marks: 1, shows: 2 }));
  it('costs retouching: a picture, a panorama that repeats each speck, and a year of both', () => {
    expect(retouch(9, { frames: 400, panoramas: 0, framesEach: 8 })).toEqual({ pictureMin: 0.9, panoramaMin: 7.2, yearHours: 6 });
    expect(retouch(9, { frames: 400, panoramas: 50, framesEach: 8 }).yearHours).toBeCloseTo(12, 9);
    expect(retouch(0, { frames: 400, panoramas: 50, framesEach: 8 }).yearHours).toBe(0);
  });
});

describe('how fast specks come', () => {
  it('is a count over exposures; its interval holds the rate it was made with, nine times of ten', () => {
    const random = sequence(77);
    const poisson = (mean: number): number => {
      let [k, p] = [0, random()];
      for (const limit = Math.exp(-mean); p > limit; k += 1) p *= random();
      return k;
    };
    let held = 0;
    for (let i = 0; i < 400; i += 1) {
      const counts = Array.from({ length: 5 }, (_, n) => ({
        at: `2026-0${n + 1}-01T00:00:00Z`,
        shows: 0,
        fresh: n === 0 ? null : poisson(0.4 * 6),
        exposures: 6,
      }));
      const growth = growthOf(counts)!;
      if (growth.low <= 0.4 && growth.high >= 0.4) held += 1;
    }
    expect(held / 400).toBeGreaterThan(0.86);
    expect(held / 400).toBeLessThan(0.95);
  });
  it('is within what a table of the gamma distribution says', () => {
    // Jeffreys' interval for 10 events: chi-square quantiles with 21 degrees of freedom, 5 % 11.591 and 95 % 32.671, halved (common tables).
    const growth = growthOf([{ at: '2026-01-01T00:00:00Z', shows: 10, fresh: 10, exposures: 1 }])!;
    expect(growth.low).toBeCloseTo(11.591 / 2, 1);
    expect(growth.high).toBeCloseTo(32.671 / 2, 1);
  });
  it('is not known from one frame', () =>
    expect(growthOf([{ at: '2026-01-01T00:00:00Z', shows: 3, fresh: null, exposures: 0 }])).toBeNull());
  it('tells when a clean will be worth it, sooner and later', () => {
    const growth = growthOf([{ at: '2026-01-01T00:00:00Z', shows: 2, fresh: 4, exposures: 10 }])!;
    const next = nextCleanIn(growth, 2, 0.5)!;
    expect(next.likelyDays).toBeCloseTo(4 / 0.45 / 0.5, 6);
    expect(next.earlyDays).toBeLessThan(next.likelyDays);
    expect(next.lateDays).toBeGreaterThan(next.likelyDays);
    expect(nextCleanIn(growth, 9, 0.5)!.likelyDays).toBe(0);
    expect(nextCleanIn(growth, 2, 0)).toBeNull();
  });
});

describe('the story of a sensor', () => {
  const frame = (n: number, spots: readonly Spot[], tries: FrameFacts['tries'] = [], exposures = 0): FrameFacts => ({
    id: `f${n}`,
    at: `2026-0${n}-01T10:00:00Z`,
    fNumber: 16,
    workingAt: 16,
    width: 6000,
    height: 4000,
    spots,
    tries,
    exposures,
  });
  const nine = strewn(9, 21);

  it('a blow moved seven of nine; two swabs do not move what is left, and then it stops', () => {
    const left = nine.slice(7);
    const { chapters } = storyOf(
      [frame(1, nine), frame(2, left, ['blow']), frame(3, left, ['swab']), frame(4, left, ['swab'])],
      [],
      'self',
    );
    expect(chapters.map((c) => c.judgement.advice)).toEqual(['blow', 'swab', 'swab', 'hand-over']);
    expect([chapters[1]!.gone.length, chapters[1]!.stayed]).toEqual([7, 2]);
    expect(chapters[3]!.judgement).toMatchObject({ marks: 2, because: { because: 'marks' } });
    // A speck keeps its number as long as it is there.
    expect(chapters[3]!.spots.map((s) => s.number)).toEqual(chapters[1]!.spots.map((s) => s.number));
  });
  it('what was dismissed stays dismissed in every frame, a new one beside it does not', () => {
    const stuck = nine[4]!;
    const near = spot(stuck.x + 0.03, stuck.y);
    const { chapters } = storyOf([frame(1, nine), frame(2, [...nine, near])], [{ x: stuck.x, y: stuck.y }], 'self');
    expect(chapters.map((c) => c.spots.length)).toEqual([8, 9]);
    expect(chapters[1]!.fresh).toBe(1);
  });
  it('tells how fast they come by what is new on outings, and when a clean will be worth it', () => {
    const { growth, next } = storyOf([frame(1, nine.slice(0, 2)), frame(3, nine.slice(0, 4), [], 8)], [], 'self');
    expect(growth).toMatchObject({ fresh: 2, exposures: 8 });
    expect(next!.likelyDays).toBeGreaterThan(0);
    expect(next!.earlyDays).toBeLessThan(next!.lateDays);
  });
  it('of one frame, or none, tells no speed', () => {
    expect(storyOf([], [], 'self')).toEqual({ chapters: [], pixels: [], growth: null, next: null });
    expect(storyOf([frame(1, nine)], [], 'self')).toMatchObject({ growth: null, next: null });
  });
});
