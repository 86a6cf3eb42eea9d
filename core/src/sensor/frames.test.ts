import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Spot } from './dust/spot.js';
import { sequence } from './dust/testing/render.js';
import { growthOf, nextCleanIn } from './growth.js';
import { isMark, judgeSensor, retouch, type TriedSpot } from './judge.js';
import { matchFrames } from './match.js';
import { darkPixels } from './pixels.js';
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

  it('new ones are what came, gone ones what went: held against truth over shifts, turns, focal lengths and what a detector misses', () => {
    const off = { fresh: 0, gone: 0, came: 0, went: 0 };
    for (let seed = 1; seed <= 60; seed += 1) {
      const random = sequence(seed * 7 + 1);
      const all = strewn(9 + Math.floor(14 * random()), seed);
      const went = all.slice(0, Math.floor(4 * random()));
      const stays = all.slice(went.length);
      const came = strewn(3, seed + 500)
        .slice(0, Math.floor(4 * random()))
        .filter((c) => all.every((s) => Math.hypot(s.x - c.x, s.y - c.y) > 0.05))
        // What comes is no twin of what went: then it would have moved.
        .map((s) => ({ ...s, fwhmPx: 200 }));
      const how = {
        scale: 0.97 + 0.06 * random(),
        turn: 0.06 * (random() - 0.5),
        dx: 0.05 * (random() - 0.5),
        dy: 0.05 * (random() - 0.5),
      };
      const { fresh, gone, stayed } = matchFrames(all, laid([...stays, ...came], how, seed + 9));
      off.fresh += Math.abs(fresh.length - came.length);
      off.gone += Math.abs(gone.length - went.length);
      off.came += came.length;
      off.went += went.length;
      for (const pair of stayed) expect(pair.after.fwhmPx).toBe(pair.before.fwhmPx);
    }
    expect(off.came).toBeGreaterThan(50);
    expect(off.fresh).toBe(0);
    expect(off.gone).toBe(0);
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
  it('nothing is said to be absent that was found: what is unsure and would not show is told', () => {
    const unsure = { depth: 0.016, confidence: 0.85 };
    expect(judge([tried([], unsure)])).toMatchObject({ advice: 'leave', because: { because: 'nothing-sure', unsure: 1 } });
    expect(judge([tried([], { depth: 0.1, confidence: 0.85 })])).toMatchObject({ advice: 'look-again', because: { because: 'unsure' } });
    for (const depth of [0.005, 0.016, 0.05, 0.2])
      for (const confidence of [0.5, 0.85, 0.99])
        for (const workingAt of [4, 8, 16, 32])
          expect(judge([tried([], { depth, confidence })], { workingAt }).because.because).not.toBe('nothing-there');
  });
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

describe('what is not sure in the story of a sensor', () => {
  const facts = (id: number, spots: Spot[], more: Partial<FrameFacts> = {}): FrameFacts => ({
    id: String(id),
    at: `2026-03-0${id}T10:00:00Z`,
    fNumber: 16,
    workingAt: 16,
    width: 6000,
    height: 4000,
    spots,
    tries: [],
    exposures: 0,
    lensChanges: null,
    ...more,
  });
  const chapters = (...frames: FrameFacts[]) => storyOf(frames, [], 'self').chapters;
  const plain = spot(0.2, 0.2);
  const faint = spot(0.7, 0.6, { confidence: 0.75 });
  it('is neither new nor gone', () => {
    const [, came] = chapters(facts(1, [plain]), facts(2, [plain, faint]));
    expect([came!.fresh, came!.stayed, came!.judgement.shows, came!.judgement.unsure]).toEqual([0, 1, 1, 1]);
    const [, went] = chapters(facts(1, [plain, faint]), facts(2, [plain]));
    expect([went!.gone.length, went!.stayed]).toEqual([0, 1]);
  });
  it('is sure once it is found where it was: chance does not fall on one place twice', () => {
    const [first, second] = chapters(facts(1, [faint]), facts(2, [faint]));
    expect(first!.judgement.advice).toBe('look-again');
    expect(second!.judgement).toMatchObject({ advice: 'blow', shows: 1, unsure: 0 });
  });
  it('but not where it is as narrow as a pixel, which is there twice as well', () => {
    const narrow = { ...faint, fwhmPx: 3 };
    expect(chapters(facts(1, [narrow]), facts(2, [narrow]))[1]!.judgement).toMatchObject({ advice: 'look-again', unsure: 1 });
  });
  it('nor where it is wide and faint, as the light falls in every frame, nor where the same frame is kept twice', () => {
    const light = { ...faint, fwhmPx: 200, depth: 0.03 };
    expect(chapters(facts(1, [light]), facts(2, [light]))[1]!.judgement).toMatchObject({ advice: 'look-again', unsure: 1 });
    const [, again] = chapters(facts(1, [faint]), facts(2, [faint], { at: '2026-03-01T10:00:00Z' }));
    expect(again!.judgement).toMatchObject({ advice: 'look-again', unsure: 1 });
  });
  it('a frame that is not plain asks for another, and a later good one is judged', () => {
    const [first, second] = chapters(facts(1, [plain], { unfit: ['textured'] }), facts(2, [plain]));
    expect([first!.judgement.advice, second!.judgement.advice]).toEqual(['look-again', 'blow']);
  });
});

describe('a verdict only from what is sure', () => {
  const all = (confidences: number[], more: Partial<Spot> = {}): TriedSpot[] =>
    confidences.map((confidence, i) => ({ ...spot(0.1 + 0.1 * i, 0.5, { ...more, confidence }), survived: [] }));
  const judge = (spots: TriedSpot[], more: object = {}) => judgeSensor(spots, { measuredAt: 16, workingAt: 16, wet: 'self', ...more });

  it('one that is not sure never says “blow it”, nor do twenty', () => {
    for (const n of [1, 20]) {
      const judged = judge(all(Array.from({ length: n }, () => 0.89)));
      expect(judged).toMatchObject({ advice: 'look-again', because: { because: 'unsure', unsure: n }, shows: 0, unsure: n });
    }
  });
  it('rests on those that are, and counts the others apart', () =>
    expect(judge(all([0.95, 0.7, 0.6]))).toMatchObject({ advice: 'blow', because: { shows: 1, untried: 1 }, shows: 1, unsure: 2 }));
  it('what is not sure and would not show asks for nothing', () =>
    expect(judge(all([0.7], { depth: 0.012 }))).toMatchObject({ advice: 'leave', unsure: 0 }));
  it('a frame that cannot show it does not say that nothing is there', () => {
    for (const unfit of ['clipped', 'dark', 'textured', 'resized', 'cropped'] as const)
      expect(judge([], { unfit: [unfit] }), unfit).toMatchObject({ advice: 'look-again', because: { because: 'unfit', unfit: [unfit] } });
    // One that was turned shows it as well; too wide an aperture matters only where smaller ones are used.
    expect(judge([], { unfit: ['turned'] }).advice).toBe('leave');
    expect(judge([], { unfit: ['too-wide-open'], measuredAt: 8, workingAt: 8 }).advice).toBe('leave');
    expect(judge([], { unfit: ['too-wide-open'], measuredAt: 8, workingAt: 16 }).advice).toBe('look-again');
  });
  it('what was found on a surface that is not plain, or in the dark, is never cleaned for; on a clipped frame it is', () => {
    for (const unfit of ['textured', 'dark'] as const) expect(judge(all([1, 1, 1]), { unfit: [unfit] }).advice).toBe('look-again');
    expect(judge(all([1]), { unfit: ['clipped'] }).advice).toBe('blow');
  });
});

describe('pixels of a sensor', () => {
  const at = (fNumber: number, spots: Spot[]) => ({ fNumber, width: 6000, height: 4000, spots });
  const pixel = spot(0.3, 0.3, { fwhmPx: 3, depth: 0.4 });
  /** A speck as the same aperture-law says it shows elsewhere (science.md, "Dust on a sensor"). */
  const dust = (fNumber: number) => spot(0.6, 0.6, { fwhmPx: 5.6 * (16 / fNumber), depth: Math.min(1, 0.1 * (fNumber / 16) ** 2) });
  it('are dark at every aperture; the shadow of dust is not', () =>
    expect(darkPixels([at(16, [pixel, dust(16)]), at(8, [pixel, dust(8)])])).toEqual([{ x: 0.3, y: 0.3 }]));
  it('are told by apertures a stop apart, in frames of one size, and once', () => {
    expect(darkPixels([at(16, [pixel]), at(14, [pixel])])).toEqual([]);
    expect(darkPixels([at(16, [pixel]), { ...at(8, [pixel]), width: 3000 }])).toEqual([]);
    expect(darkPixels([at(16, [pixel]), at(8, [pixel]), at(4, [pixel])])).toHaveLength(1);
  });
  it('are nothing that is wide, black, or a hair', () => {
    for (const more of [{ fwhmPx: 9 }, { depth: 1 }, { kind: 'hair' as const }]) {
      const other = { ...pixel, ...more };
      expect(darkPixels([at(16, [other]), at(8, [other])])).toEqual([]);
    }
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
  const frame = (
    n: number,
    spots: readonly Spot[],
    tries: FrameFacts['tries'] = [],
    exposures = 0,
    lensChanges: number | null = null,
  ): FrameFacts => ({
    id: `f${n}`,
    at: `2026-0${n}-01T10:00:00Z`,
    fNumber: 16,
    workingAt: 16,
    width: 6000,
    height: 4000,
    spots,
    tries,
    exposures,
    lensChanges,
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
  it('tells how many come with a lens change, over frames between which changes were counted and no others', () => {
    const frames = [
      frame(1, nine.slice(0, 2)),
      frame(3, nine.slice(0, 4), [], 2, 10),
      // Nobody counted on these outings: the three that came with them tell nothing of a change.
      frame(4, nine.slice(0, 7), [], 3, null),
      frame(5, nine.slice(0, 8), [], 1, 5),
    ];
    const { growth, perChange } = storyOf(frames, [], 'self');
    expect(growth).toMatchObject({ fresh: 6, exposures: 6 });
    expect(perChange).toMatchObject({ fresh: 3, exposures: 15 });
    // Jeffreys' interval for 3 events: chi-square quantiles with 7 degrees of freedom, 5 % 2.167 and 95 % 14.067, halved (common tables).
    expect(perChange!.low * 15).toBeCloseTo(2.167 / 2, 1);
    expect(perChange!.high * 15).toBeCloseTo(14.067 / 2, 1);
    expect(storyOf(frames.slice(0, 1).concat(frames.slice(2, 3)), [], 'self').perChange).toBeNull();
  });
  it('of one frame, or none, tells no speed', () => {
    expect(storyOf([], [], 'self')).toEqual({ chapters: [], pixels: [], growth: null, perChange: null, next: null });
    expect(storyOf([frame(1, nine)], [], 'self')).toMatchObject({ growth: null, next: null });
  });
});
