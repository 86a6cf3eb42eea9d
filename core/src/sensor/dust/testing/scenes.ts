import { unevenness } from './camera.js';
import { sequence } from './render.js';

/** Light around 1 by place, in widths of the frame: what is photographed where there was no plain surface. */
type Surface = (x: number, y: number) => number;

type Disc = { x: number; y: number; r: number; v: number };
const CELLS = 64;

/** Discs strewn over a frame, found by place: those a given number of their radii from it. */
function discs(seed: number, count: number, least: number, more: number, radii: number): (x: number, y: number) => readonly Disc[] {
  const random = sequence(seed);
  const cells = Array.from({ length: CELLS * CELLS }, (): Disc[] => []);
  const cell = (at: number): number => Math.min(CELLS - 1, Math.max(0, Math.floor(at * CELLS)));
  for (let i = 0; i < count; i += 1) {
    const disc = { x: random(), y: random(), r: least + more * random(), v: random() };
    const reach = radii * disc.r;
    for (let column = cell(disc.x - reach); column <= cell(disc.x + reach); column += 1)
      for (let row = cell(disc.y - reach); row <= cell(disc.y + reach); row += 1) cells[row * CELLS + column]!.push(disc);
  }
  return (x, y) => cells[cell(y) * CELLS + cell(x)]!;
}

/** Surfaces that are not plain, each another one with every seed. */
export const SCENES: Record<string, (seed: number) => Surface> = {
  wall: (seed) => {
    const [a, b] = [unevenness(seed), unevenness(seed + 1)];
    return (x, y) => 1 + 0.05 * a(x * 400, y * 400) + 0.04 * b(x * 1200, y * 1200) + 0.04 * a(x * 30, y * 30);
  },
  paper: (seed) => {
    const [a, b] = [unevenness(seed), unevenness(seed + 1)];
    return (x, y) => 1 + 0.035 * a(x * 300, y * 900) + 0.03 * b(x * 900, y * 250) + 0.02 * a(x * 1500, y * 1500);
  },
  waves: (seed) => {
    const [a, b] = [unevenness(seed), unevenness(seed + 1)];
    return (x, y) => 1 + 0.2 * Math.sin(220 * y + 6 * a(x * 12, y * 40)) + 0.12 * b(x * 60, y * 300);
  },
  clouds: (seed) => {
    const a = unevenness(seed);
    const octaves = [[4, 6, 0.25], [9, 13, 0.15], [20, 28, 0.08], [45, 60, 0.05], [100, 120, 0.025]] as const; // prettier-ignore
    return (x, y) => octaves.reduce((v, [u, w, by]) => v + by * a(x * u, y * w), 1);
  },
  'leaves out of focus': (seed) => {
    const leaves = discs(seed, 260, 0.01, 0.03, 1.15);
    return (x, y) =>
      leaves(x, y).reduce((v, d) => {
        const far = Math.hypot(x - d.x, y - d.y) / d.r;
        return far < 1.15 ? v + (d.v - 0.6) * 0.5 * Math.min(1, (1.15 - far) / 0.3) : v;
      }, 0.8);
  },
  'a field of stars': (seed) => {
    const stars = discs(seed, 300, 0.0003, 0.0004, 6);
    return (x, y) => stars(x, y).reduce((v, s) => v + 2 * s.v ** 4 * Math.exp(-(((x - s.x) ** 2 + (y - s.y) ** 2) / (2 * s.r ** 2))), 0.12);
  },
  bricks: (seed) => {
    const a = unevenness(seed);
    return (x, y) => {
      const [u, w] = [(x * 12 + (Math.floor(y * 30) % 2) * 0.5) % 1, (y * 30) % 1];
      return (u < 0.05 || w < 0.1 ? 1.1 : 0.8) * (1 + 0.08 * a(x * 200, y * 200));
    };
  },
  'lights out of focus': (seed) => {
    const lights = discs(seed, 150, 0.008, 0.012, 1.05);
    return (x, y) =>
      lights(x, y).reduce((v, d) => {
        const far = Math.hypot(x - d.x, y - d.y) / d.r;
        return far < 1.05 ? v + (0.1 + 0.4 * d.v) * Math.min(1, (1.05 - far) / 0.1) : v;
      }, 0.5);
  },
  sand: (seed) => {
    const [a, b] = [unevenness(seed), unevenness(seed + 9)];
    return (x, y) => 1 + 0.12 * a(x * 900, y * 900) + 0.1 * b(x * 500, y * 500) + 0.05 * a(x * 50, y * 120);
  },
  weave: (seed) => {
    const a = unevenness(seed);
    return (x, y) => 1 + 0.06 * Math.sin(900 * x + 2 * a(x * 5, y * 5)) + 0.06 * Math.sin(900 * y) + 0.03 * a(x * 60, y * 60);
  },
};
