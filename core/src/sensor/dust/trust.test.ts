import { beforeAll, describe, expect, it } from 'vitest';
import { isSure, judgeSensor } from '../judge.js';
import { detectDust, type Detection } from './detect.js';
import { healDefects } from './defects.js';
import { unfitFor } from './fitness.js';
import { linearLight, type Frame, type Light } from './frame.js';
import { canBeShadow, defectPx, narrowestPx } from './narrowest.js';
import { noiseOf } from './noise.js';
import { isRinging } from './ringing.js';
import { followsSquares, isSquare } from './squares.js';
import { hairSureness, logOdds, sureness } from './sureness.js';
import { fibreDepth, photograph, type Shot } from './testing/camera.js';
import { asJpeg, greyOfJpeg } from './testing/jpeg.js';
import { render, sequence } from './testing/render.js';
import { SCENES } from './testing/scenes.js';
import { score } from './testing/score.js';
import { plainShot, smallShadows, smallShadowShot, someFibres, told } from './testing/shots.js';

/**
 * What is said of a frame can be trusted: held against frames of two renderers that share nothing with the detector. A few
 * seeds of each here; forty and five hundred in `bench/src/sureness.ts`.
 */
const [W, H] = [1800, 1200];
const COUNT = 60;
const SEEDS = [1, 2, 3, 4];
const mean = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length;
const taken = async ({ quality, ...shot }: Shot & { quality: number }): Promise<Detection> =>
  detectDust(await greyOfJpeg(photograph(shot), quality), told(shot.width, 2.4));

describe.each([
  ['as a camera takes them', (seed: number) => greyOfJpeg(photograph(smallShadowShot(seed, W, H, COUNT)), 85)],
  [
    'as the first renderer draws them',
    (seed: number) =>
      asJpeg(render({ width: W, height: H, specks: smallShadows(seed, W, H, COUNT), seed, noise: 0.008, vignetting: 0.2 }), 85),
  ],
] as const)('shadows of 3 to 8 pixels in a JPEG of quality 85, %s', (_, of) => {
  const found: ReturnType<typeof score>[] = [];
  const called: { confidence: number; isSpeck: boolean }[] = [];
  beforeAll(async () => {
    for (const seed of SEEDS) {
      const { spots } = detectDust(await of(seed), told(W, 2.4));
      const one = score(smallShadows(seed, W, H, COUNT), spots, W, H);
      found.push(one);
      called.push(...spots.map((s) => ({ confidence: s.confidence, isSpeck: !one.falseOnes.includes(s) })));
    }
  });
  it('are found', () => {
    expect(mean(found.map((f) => f.recall3))).toBeGreaterThanOrEqual(0.88);
    expect(mean(found.map((f) => f.recall2))).toBeGreaterThanOrEqual(0.8);
  });
  it('are hardly ever seen where there are none', () => expect(mean(found.map((f) => f.precision))).toBeGreaterThanOrEqual(0.92));
  it('are as sure as they are said to be', () => {
    const sure = called.filter((c) => c.confidence >= 0.9);
    expect(sure.length).toBeGreaterThan(100);
    expect(sure.filter((c) => c.isSpeck).length / sure.length).toBeGreaterThanOrEqual(0.95);
    // Expected error: how far what is said of ten groups is from how often it is so.
    let error = 0;
    for (let low = 0.5; low < 1; low += 0.1) {
      const these = called.filter((c) => c.confidence >= low && c.confidence < (low > 0.85 ? 2 : low + 0.1));
      if (these.length > 0)
        error += Math.abs(mean(these.map((c) => c.confidence)) - mean(these.map((c) => Number(c.isSpeck)))) * these.length;
    }
    expect(error / called.length).toBeLessThan(0.07);
  });
});

describe('a clean frame', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('of seed %d has no speck that is sure, whatever its defects, noise and code', async (seed) => {
    const { spots, fitness } = await taken(plainShot(seed, W, H));
    expect(spots.filter(isSure)).toEqual([]);
    expect(fitness.textured).toBe(false);
  });
  it('with six hundred pixels that are dead, alone and side by side, has none though its aperture is not known', async () => {
    const shot = { ...plainShot(21, W, H), defects: { count: 600, groupedPct: 60, hot: false }, sharpening: 1, smoothing: 0 };
    const { spots } = detectDust(await greyOfJpeg(photograph(shot), 90));
    expect(spots.filter(isSure)).toEqual([]);
  });
});

describe('light that is uneven, softly and widely', () => {
  it('is no speck that is sure: a wide shadow is deep', () => {
    const { spots } = detectDust(render({ width: 6000, height: 3000, vignetting: 0.4, blotches: 0.03, noise: 0.006 }), told(6000, 2.4));
    expect(spots.filter(isSure)).toEqual([]);
  });
});

describe('what is not plain', () => {
  it.each(Object.keys(SCENES))('%s is not taken for a dusty sensor', async (name) => {
    const { spots, fitness } = await taken({ ...plainShot(901, W, H), light: 0.45, scene: SCENES[name]!(13), quality: 90 });
    const { advice } = judgeSensor(
      spots.map((s) => ({ ...s, survived: [] })),
      { measuredAt: 16, workingAt: 16, wet: 'self', unfit: unfitFor(fitness) },
    );
    expect(['leave', 'look-again']).toContain(advice);
  });
});

describe('a weave as fine as the places that are asked', () => {
  it('is seen to be no plain surface', async () => {
    const { fitness } = await taken({ ...plainShot(902, 3000, 700), light: 0.45, scene: SCENES.weave!(26), quality: 90 });
    expect(fitness.textured).toBe(true);
  });
});

describe('what no aperture makes', () => {
  const optics = { fNumber: 16, pixelMm: 0.004 };
  it('is narrower than the cone through the thinnest glass (dust.md: 0.8 c + 1 pixel)', () => {
    expect(narrowestPx(optics)).toBeCloseTo(0.8 * (0.3 / 16 / 0.004) + 1, 9);
    expect(canBeShadow(2.4, optics)).toBe(false);
    expect(canBeShadow(0.3 / 16 / 0.004, optics)).toBe(true);
    expect(canBeShadow(2.4, null)).toBe(true);
  });
  it('is wider the wider the aperture, and what is taken out before never as wide as that', () => {
    for (const fNumber of [2.8, 5.6, 11, 22, 45])
      for (const pixelMm of [0.003, 0.006, 0.012]) {
        expect(narrowestPx({ fNumber, pixelMm })).toBeGreaterThan(narrowestPx({ fNumber: fNumber * 2, pixelMm }));
        expect(defectPx({ fNumber, pixelMm })).toBeLessThanOrEqual(Math.max(2, narrowestPx({ fNumber, pixelMm })));
      }
  });
  it('is not found, though it is black: pairs of dead pixels at an aperture that makes wide shadows', async () => {
    const grains = [{ x: 400.4, y: 300.2, c: 9, d: 4 }, { x: 1200.8, y: 800.6, c: 9, d: 5 }]; // prettier-ignore
    const shot: Shot = { width: W, height: H, seed: 5, grains, defects: { count: 200, groupedPct: 100, hot: false }, sharpening: 0.8 };
    const { spots } = detectDust(await greyOfJpeg(photograph(shot), 92), told(W, 7));
    const sure = spots.filter(isSure);
    expect(sure).toHaveLength(grains.length);
    for (const { x, y } of grains) expect(sure.some((s) => Math.hypot(s.x * W - x, s.y * H - y) < 1)).toBe(true);
  });
});

describe('fibres as a camera takes them', () => {
  it('are found, and how sure each is is so; those that are plain are sure', async () => {
    let [plain, sure, all, claimed, so] = [0, 0, 0, 0, 0];
    for (const seed of SEEDS) {
      const fibres = someFibres(seed, W, H, 14);
      const isNear = ({ x, y }: { x: number; y: number }) =>
        fibres.find(({ points }) => points.some(([a, b]) => Math.hypot(a - x * W, b - y * H) < 0.02 * W));
      const hairs = (await taken({ ...plainShot(seed, W, H), fibres })).spots.filter((s) => s.kind === 'hair');
      for (const hair of hairs) {
        all += 1;
        claimed += hair.confidence;
        if (isNear(hair)) so += 1;
      }
      const found = new Set(hairs.filter(isSure).map(isNear));
      // Shorter than this on so small a frame they are hardly longer than wide.
      const deep = fibres.filter(
        (f) => fibreDepth(f) >= 0.1 && Math.hypot(f.points[12]![0] - f.points[0]![0], f.points[12]![1] - f.points[0]![1]) > 0.014 * W,
      );
      plain += deep.length;
      sure += deep.filter((f) => found.has(f)).length;
    }
    expect(sure / plain).toBeGreaterThan(0.85);
    expect(so / all).toBeGreaterThanOrEqual(claimed / all - 0.05);
  });
  it('are the surer the plainer, the deeper and the longer', () => {
    for (const at of [0.3, 0.5, 0.8]) {
      const less = hairSureness({ snr: 20 * at, steps: 4 * at, length: 0.03 * at });
      expect(hairSureness({ snr: 20, steps: 4 * at, length: 0.03 * at })).toBeGreaterThan(less);
      expect(hairSureness({ snr: 20 * at, steps: 4, length: 0.03 * at })).toBeGreaterThan(less);
      expect(hairSureness({ snr: 20 * at, steps: 4 * at, length: 0.03 })).toBeGreaterThan(less);
    }
  });
});

describe('one square of a JPEG', () => {
  it('that is two steps darker is not surely dust', () => {
    const frame = { width: 640, height: 480, data: new Uint8Array(640 * 480).fill(166) };
    for (let y = 240; y < 248; y += 1) frame.data.fill(164, y * 640 + 320, y * 640 + 328);
    expect(detectDust(frame).spots.map(isSure)).toEqual([false]);
  });
  it('and nothing is sure that is a step or two deep where a JPEG has left no noise; the same in noise may be', () => {
    const speck = { x: 322, y: 246, c: 10, d: 1.5 };
    const flat = render({ width: 640, height: 480, specks: [speck], noise: 0, light: 0.5 });
    expect(detectDust(flat).spots.filter(isSure)).toEqual([]);
    const deep = render({ width: 640, height: 480, specks: [{ ...speck, d: 4 }], noise: 0, light: 0.5 });
    expect(detectDust(deep).spots.map(isSure)).toEqual([true]);
  });
  it('that holds a defect ripples, and is not dust; a shadow in noise does not', () => {
    const ripples = { width: 320, height: 240, data: new Uint8Array(320 * 240).fill(150) };
    for (let y = 120; y < 128; y += 1)
      for (let x = 160; x < 168; x += 1)
        ripples.data[y * 320 + x] = 150 + ((x * 5 + y * 3) % 4) * 6 - 12 - (x === 163 && y === 123 ? 70 : 0);
    const rippled = linearLight(ripples, 'srgb');
    expect(isRinging(rippled, noiseOf(rippled), 163.5, 123.5, 8, 0.03)).toBe(true);
    for (const [c, d, noise] of [
      [3, 2, 0.004],
      [5, 2.5, 0.008],
      [8, 4, 0.012],
      [20, 5, 0.004],
    ] as const) {
      // prettier-ignore
      const light = linearLight(render({ width: 320, height: 240, specks: [{ x: 163, y: 123, c, d }], noise }), 'srgb');
      expect(isRinging(light, noiseOf(light), 163, 123, c, (d / c) ** 2)).toBe(false);
    }
  });
  it.each([
    ['in the middle of one', { x: 324.3, y: 243.8, fwhmPx: 8.5, steps: 2 }, true],
    ['across two', { x: 320, y: 243.8, fwhmPx: 8.5, steps: 2 }, false],
    ['narrower', { x: 324.3, y: 243.8, fwhmPx: 4, steps: 2 }, false],
    ['wider', { x: 324.3, y: 243.8, fwhmPx: 14, steps: 2 }, false],
    ['deep', { x: 324.3, y: 243.8, fwhmPx: 8.5, steps: 6 }, false],
  ])('is told by where it lies, how wide and how deep it is: %s', (_, spot, is) => expect(isSquare(spot)).toBe(is));
  it('and several of them by their borders, wherever a shadow lies', () => {
    const flat = { width: 320, height: 240, data: new Uint8Array(320 * 240).fill(150) };
    for (let y = 80; y < 96; y += 1) flat.data.fill(148, y * 320 + 104, y * 320 + 120);
    expect(followsSquares(linearLight(flat, 'srgb'), 112, 88, 16)).toBe(true);
    for (let off = 0; off < 8; off += 1) {
      for (const noise of [0, 0.006]) {
        const shadow = render({ width: 320, height: 240, specks: [{ x: 112 + off, y: 88 + off, c: 10, d: 5 }], noise });
        expect(followsSquares(linearLight(shadow, 'srgb'), 112 + off, 88 + off, 10)).toBe(false);
      }
    }
  });
});

/** A frame in linear light once what is narrower than two pixels and a half was taken out, and how much that was. */
function heal(frame: Frame): { light: Light; healed: number } {
  const light = linearLight(frame, 'srgb');
  return { light, healed: healDefects(light, noiseOf(light), 2.5) };
}

describe('what sharpening throws round a shadow', () => {
  /** Four bright places four pixels off the middle of something dark so many pixels wide, in linear light before and after. */
  const ringed = (darkPx: number) => {
    const frame = { width: 200, height: 150, data: new Uint8Array(200 * 150).fill(180) };
    for (let dy = 0; dy < darkPx; dy += 1) frame.data.fill(110, (70 + dy) * 200 + 99, (70 + dy) * 200 + 99 + darkPx);
    const middle = Math.floor(darkPx / 2);
    for (const [dx, dy] of [[-4, 0], [4, 0], [0, -4], [0, 4]] as const) frame.data[(70 + middle + dy) * 200 + 99 + middle + dx] = 192; // prettier-ignore
    const { light, healed } = heal(frame);
    return { before: linearLight(frame, 'srgb').data, after: light.data, healed };
  };
  it('is left alone with the shadow it belongs to', () => {
    const { before, after, healed } = ringed(3);
    expect(healed).toBe(0);
    expect([...after]).toEqual([...before]);
  });
  it('round a defect, or round nothing, it is taken out', () => {
    const [defect, nothing] = [ringed(1), ringed(0)];
    expect(defect.healed).toBeGreaterThanOrEqual(1);
    expect(nothing.healed).toBe(4);
    for (const { after } of [defect, nothing]) expect(new Set(after).size).toBe(1);
  });
});

describe('defects in a frame that nothing has smeared', () => {
  it.each([
    ['alone', [[0, 0]]],
    [
      'two side by side',
      [
        [0, 0],
        [1, 0],
      ],
    ],
    [
      'two on an odd place',
      [
        [1, 0],
        [2, 0],
      ],
    ],
    [
      'two above each other',
      [
        [0, 0],
        [0, 1],
      ],
    ],
    [
      'across',
      [
        [0, 0],
        [1, 1],
      ],
    ],
  ] as [string, [number, number][]][])('%s are taken out, dark and bright, and no other place is touched', (_, pixels) => {
    const frame = { width: 200, height: 150, data: new Uint8Array(200 * 150).fill(180) };
    for (const [x, y, value] of [
      [60, 40, 10],
      [120, 90, 255],
      [0, 0, 10],
      [196, 147, 255],
    ] as const)
      // prettier-ignore
      for (const [dx, dy] of pixels) frame.data[(y + dy) * 200 + x + dx] = value;
    const { light, healed } = heal(frame);
    const plain = light.data[75 * 200 + 100]!;
    expect(healed).toBeGreaterThanOrEqual(4);
    expect(light.data.every((v) => v === plain)).toBe(true);
  });
  it('what is as wide as a shadow stays', () => {
    const frame = render({ width: 300, height: 200, specks: [{ x: 150, y: 100, c: 4, d: 4 }] });
    const { light, healed } = heal(frame);
    expect(healed).toBe(0);
    expect(light.data).toEqual(linearLight(frame, 'srgb').data);
  });
});

describe('how sure it is', () => {
  const place = (odds: number, fwhmPx = 8) => ({ logOdds: odds, fwhmPx });
  it('grows with how much it looks like a speck, and falls with every bright place that looks as much so', () => {
    const random = sequence(4);
    for (let i = 0; i < 200; i += 1) {
      const odds = -4 + 10 * random();
      const bright = Array.from({ length: Math.floor(20 * random()) }, () => place(odds + random()));
      const [one] = sureness([place(odds)], bright, true);
      const [surer] = sureness([place(odds + 0.5)], bright, true);
      const [less] = sureness([place(odds)], [...bright, place(odds + 1)], true);
      expect(surer!).toBeGreaterThanOrEqual(one!);
      expect(less!).toBeLessThanOrEqual(one!);
      expect(one! > 0 && one! < 1).toBe(true);
    }
  });
  it('is not lowered by what is bright and far wider', () => {
    const bright = Array.from({ length: 9 }, () => place(9, 60));
    expect(sureness([place(4)], bright, true)).toEqual(sureness([place(4)], [], true));
  });
  it('of what is narrow is never sure where the aperture is not told', () => {
    const [untold] = sureness([place(9, 3)], [], false);
    expect(isSure({ confidence: untold! })).toBe(false);
    expect(sureness([place(9, 3)], [], true)[0]).toBeGreaterThan(untold!);
  });
  it('falls with the defects of a frame for what is narrow, and not for what is wide', () => {
    const evidence = { snr: 30, standsOut: 12, explained: 0.8, fit: 0.95, steps: 6, rim: 9, lobe: 0.2 };
    const odds = (fwhmPx: number, defects: number) => logOdds({ ...evidence, fwhmPx, defects });
    expect(odds(3, 300)).toBeLessThan(odds(3, 0));
    expect(odds(12, 300)).toBe(odds(12, 0));
  });
});
