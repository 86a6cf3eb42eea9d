import { describe, expect, it } from 'vitest';
import { Loops } from './loops.js';
import type { Level } from './pyramid.js';
import { sequence } from './testing/render.js';

/** Sizes with something left over at every step the loops take: four pixels, eight, tiles of 64. */
const SIZES = [[64, 64], [65, 67], [66, 64], [71, 70], [128, 65], [129, 66], [131, 64], [200, 77], [323, 64]] as const; // prettier-ignore

/** Noise over the whole range of values, or about a middle one. */
function noise(seed: number, width: number, height: number, loops: Loops, by: number): Level {
  const random = sequence(seed);
  const data = loops.pixels(width * height);
  for (let i = 0; i < data.length; i += 1) data[i] = by === 1 ? Math.floor(random() * 65_536) : 40_000 * (1 + by * (random() - 0.5));
  return { level: 0, width, height, data };
}

const inside = (i: number, size: number): number => (i < 0 ? -i - 1 : i >= size ? 2 * size - i - 1 : i);

/** The sum over a square about a pixel, mirrored at the rim. */
function square({ width, height, data }: Level, x: number, y: number, reach: number): number {
  let sum = 0;
  for (let dy = -reach; dy <= reach; dy += 1)
    for (let dx = -reach; dx <= reach; dx += 1) sum += data[inside(y + dy, height) * width + inside(x + dx, width)]!;
  return sum;
}

describe.each(SIZES)('compiled loops do what they say of each pixel: %i × %i', (width, height) => {
  const loops = () => new Loops(width, height);

  it('halve', () => {
    const l = loops();
    const level = noise(width, width, height, l, 1);
    const [w, h] = [width >> 1, height >> 1];
    const half = l.pixels(w * h);
    l.halve(level, half);
    for (let y = 0; y < h; y += 1) {
      for (let x = 0; x < w; x += 1) {
        const i = 2 * y * width + 2 * x;
        const [a, b, c, d] = [level.data[i]!, level.data[i + 1]!, level.data[i + width]!, level.data[i + width + 1]!];
        expect(half[y * w + x]).toBe((a + b + c + d + 2) >> 2);
      }
    }
  });

  it('surround', () => {
    const l = new Loops(2 * width, 2 * height);
    const level = noise(height, width, height, l, 1);
    const around = l.surroundings(level);
    for (let y = 0; y < height; y += 1)
      for (let x = 0; x < width; x += 1) expect(around[y * width + x]).toBe((square(level, x, y, 2) - square(level, x, y, 1) + 8) >> 4);
  });

  it.each([0.02, 0.5, 1])('find what stands out, noise of %f', (by) => {
    const l = loops();
    const level = noise(width + height, width, height, l, by);
    const around = l.pixels(width >> 1);
    for (let x = 0; x < around.length; x += 1) around[x] = 40_000 * (1 + 0.01 * Math.sin(x));
    const tiles = l.numbers(2 * Math.ceil(width / 64));
    for (let i = 0; i < tiles.length; i += 1) tiles[i] = 9 * Math.round(2048 * (i % 2 === 0 ? 0.997 - 0.001 * i : 1.003 + 0.001 * i));
    for (const y of [1, height >> 1, height - 2]) {
      const found = [...l.hits.subarray(0, l.standOut(level, y, around, tiles, 11))];
      const expected: number[] = [];
      // Two places share their surroundings; where the last has none of its own it is asked elsewhere.
      for (let x = 2; x < width - 1 - ((width - 1) % 2); x += 1) {
        const [sum, light, tile] = [square(level, x, y, 1), around[x >> 1]!, 2 * (x >> 6)];
        if (sum <= Math.floor((light * tiles[tile]!) / 2048) || sum >= Math.floor((light * tiles[tile + 1]!) / 2048)) expected.push(x);
      }
      expect(found).toEqual(expected);
    }
  });

  it('put light in the place of bytes', () => {
    const l = loops();
    const random = sequence(width + 1);
    const bytes = Uint8Array.from({ length: width * height }, () => random() * 256);
    const table = Uint16Array.from({ length: 256 }, () => random() * 65_536);
    const light = l.pixels(bytes.length);
    l.spread(bytes, table, light);
    expect([...light]).toEqual([...bytes].map((b) => table[b]));
  });

  it.each([3, 4, 6, 7])('tell how the places of a tile scatter, one in %i', (every) => {
    const l = new Loops(2 * width, 2 * height);
    const level = noise(3 * width, 2 * width, 2 * height, l, 0.3);
    const half: Level = { level: 1, width, height, data: l.pixels(width * height) };
    l.halve(level, half.data);
    const around = l.surroundings(half);
    const tile = { left: 1, right: Math.min(2 * width - 1, 48), top: 1, bottom: 47, every };
    const [darker, beside]: [number[], number[]] = [[], []];
    for (let y = tile.top; y < tile.bottom; y += every) {
      for (let x = tile.left; x < tile.right; x += every) {
        const i = y * level.width + x;
        darker.push(1 - square(level, x, y, 1) / 9 / around[(y >> 1) * width + (x >> 1)]!);
        const mean = (level.data[i - 1]! + level.data[i + 1]!) / 2;
        beside.push((level.data[i]! - mean) / mean);
      }
    }
    for (const [found, values] of [
      [l.darkerIn(level, half, tile), darker],
      [l.besideTwoIn(level.data, tile), beside],
    ] as const) {
      const sorted = values.toSorted((a, b) => a - b);
      const [n, median] = [values.length, sorted[values.length >> 1]!];
      const away = values.map((v) => Math.abs(v - median)).toSorted((a, b) => a - b);
      for (const [is, shouldBe] of [
        [found!.median, median],
        [found!.half, away[n >> 1]!],
        [found!.most, away[Math.floor(0.9 * n)]!],
      ] as const)
        expect(is).toBeCloseTo(shouldBe, 6);
    }
    expect(l.besideTwoIn(level.data, { ...tile, right: tile.left })).toBeNull();
  });

  it.each([0.04, 0.5, 1])('find edges, noise of %f', (by) => {
    const l = loops();
    const level = noise(width * height, width, height, l, by);
    const parts = l.numbers(Math.ceil(width / 64));
    for (let i = 0; i < parts.length; i += 1) parts[i] = 25 + i;
    for (const y of [0, height - 1]) {
      const expected: number[] = [];
      for (let x = 0; x < width - 1; x += 1) {
        const [a, b, part] = [level.data[y * width + x]!, level.data[y * width + x + 1]!, parts[x >> 6]!];
        if ((a - b) * part >= b || (a - b) * part <= -a) expected.push(x);
      }
      expect([...l.hits.subarray(0, l.edges(level.data, y, parts))]).toEqual(expected);
    }
  });
});

it('has room for a frame and what is reckoned of it, in less than four bytes a pixel, and no more', () => {
  const loops = new Loops(3000, 2000);
  const { buffer } = loops.pixels(3000 * 2000);
  expect(buffer.byteLength / 3000 / 2000).toBeLessThan(3.3);
  for (let [w, h] = [1500, 1000]; w > 12; [w, h] = [w >> 1, h >> 1]) loops.pixels(w * h);
  expect(() => loops.pixels(3000 * 2000)).toThrow(RangeError);
});
