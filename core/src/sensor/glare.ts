import { FULL, linearLight, type Frame, type Light, type Transfer } from './dust/frame.js';

/** The card: black discs on a white field, by its own height. One in the middle, four toward the corners. */
export const GLARE_CARD = {
  discShare: 0.1,
  /** Middles of the discs, as fractions of the card's width and height. */
  discs: [
    { x: 0.5, y: 0.5 },
    { x: 0.2, y: 0.22 },
    { x: 0.8, y: 0.22 },
    { x: 0.2, y: 0.78 },
    { x: 0.8, y: 0.78 },
  ],
} as const;

export const GLARE_TROUBLES = ['no-card', 'clipped', 'dark'] as const;
export type GlareTrouble = (typeof GLARE_TROUBLES)[number];

/** A frame from which no glare can be told, and why. */
export class GlareUnreadable extends Error {
  constructor(readonly trouble: GlareTrouble) {
    super(`no veiling glare can be told from this frame: ${trouble}`);
    this.name = 'GlareUnreadable';
  }
}

export type GlarePatch = { x: number; y: number; radiusPx: number; glarePct: number };
export type Glare = {
  /** Light of the black in the middle against the white around it, per cent. */
  glarePct: number;
  /** Between these the value lies, 19 times of 20, by how the black scatters. */
  lowPct: number;
  highPct: number;
  /** All discs found, the middle one first. */
  patches: GlarePatch[];
};

export type GlareOptions = {
  transfer?: Transfer;
  /** What the same card gave with the screen switched off, or with a lens known to be good, per cent; taken off. */
  blackPct?: number;
};

/** The work is done on cells of so many pixels that the frame has about this many a side. */
const CELLS = 320;
const MOST_DARK = 0.5;
const DARKEST_FIELD = 0.05;
const MOST_CLIPPED = 0.05;
/** Only the inner part of a disc is measured: its rim is blurred. */
const INNER = 0.55;
const NINETEEN_OF_TWENTY = 1.96;
/** A disc is as wide as high, and fills its box as a circle does, π/4. */
const ROUND = { ratio: 0.75, leastFill: 0.62, mostFill: 0.92 } as const;

type Cells = { size: number; columns: number; rows: number; light: Float32Array };

function cellsOf({ width, height, data }: Light): Cells {
  const size = Math.max(1, Math.floor(Math.max(width, height) / CELLS));
  const [columns, rows] = [Math.floor(width / size), Math.floor(height / size)];
  const light = new Float32Array(columns * rows);
  for (let r = 0; r < rows; r += 1) {
    for (let c = 0; c < columns; c += 1) {
      let sum = 0;
      for (let y = r * size; y < (r + 1) * size; y += 1) for (let x = c * size; x < (c + 1) * size; x += 1) sum += data[y * width + x]!;
      light[r * columns + c] = sum / size / size;
    }
  }
  return { size, columns, rows, light };
}

type Region = { cells: number; left: number; right: number; top: number; bottom: number; sumX: number; sumY: number };

/** Dark regions that hang together and touch no rim. */
function darkRegions({ columns, rows, light }: Cells, field: number): Region[] {
  const seen = new Uint8Array(light.length);
  const found: Region[] = [];
  for (let start = 0; start < light.length; start += 1) {
    if (seen[start] || light[start]! >= field * MOST_DARK) continue;
    const region: Region = { cells: 0, left: columns, right: 0, top: rows, bottom: 0, sumX: 0, sumY: 0 };
    const queue = [start];
    seen[start] = 1;
    while (queue.length > 0) {
      const at = queue.pop()!;
      const [x, y] = [at % columns, Math.floor(at / columns)];
      region.cells += 1;
      region.sumX += x;
      region.sumY += y;
      region.left = Math.min(region.left, x);
      region.right = Math.max(region.right, x);
      region.top = Math.min(region.top, y);
      region.bottom = Math.max(region.bottom, y);
      for (const [dx, dy] of [
        [1, 0],
        [-1, 0],
        [0, 1],
        [0, -1],
      ] as const) {
        const [nx, ny] = [x + dx, y + dy];
        const next = ny * columns + nx;
        if (nx < 0 || ny < 0 || nx >= columns || ny >= rows || seen[next] || light[next]! >= field * MOST_DARK) continue;
        seen[next] = 1;
        queue.push(next);
      }
    }
    if (region.left > 0 && region.top > 0 && region.right < columns - 1 && region.bottom < rows - 1) found.push(region);
  }
  return found;
}

function isDisc({ cells, left, right, top, bottom }: Region): boolean {
  const [w, h] = [right - left + 1, bottom - top + 1];
  const fill = cells / (w * h);
  return cells >= 12 && Math.min(w, h) / Math.max(w, h) >= ROUND.ratio && fill >= ROUND.leastFill && fill <= ROUND.mostFill;
}

/** Mean and scatter of the light between two distances from a place, as far as it lies in the frame. */
function ringOf(
  { width, height, data }: Light,
  x: number,
  y: number,
  from: number,
  to: number,
): { mean: number; sigma: number; clipped: number } {
  let [n, sum, squares, clipped] = [0, 0, 0, 0];
  for (let py = Math.max(0, Math.floor(y - to)); py <= Math.min(height - 1, y + to); py += 1) {
    for (let px = Math.max(0, Math.floor(x - to)); px <= Math.min(width - 1, x + to); px += 1) {
      const r = Math.hypot(px - x, py - y);
      if (r < from || r > to) continue;
      const v = data[py * width + px]!;
      n += 1;
      sum += v;
      squares += v * v;
      if (v >= FULL) clipped += 1;
    }
  }
  const mean = sum / n;
  return { mean, sigma: Math.sqrt(Math.max(0, squares / n - mean * mean)), clipped: clipped / n };
}

const quantile = (values: Float32Array, share: number): number =>
  Float32Array.from(values).sort()[Math.floor((values.length - 1) * share)]!;

/**
 * Veiling glare from a frame of the card, after ISO 9358 in its idea: light that black in a white field should not have.
 * The discs are found wherever they lie in the frame. The number is relative unless the file is linear.
 *
 * @throws GlareUnreadable when there is no card in it, or its white is clipped or too dark.
 */
export function veilingGlarePct(frame: Frame, { transfer = 'srgb', blackPct = 0 }: GlareOptions = {}): Glare {
  const light = linearLight(frame, transfer);
  const cells = cellsOf(light);
  const field = quantile(cells.light, 0.75);
  if (field < DARKEST_FIELD * FULL) throw new GlareUnreadable('dark');
  const discs = darkRegions(cells, field).filter(isDisc);
  const middle = { x: cells.columns / 2, y: cells.rows / 2 };
  const far = (d: Region): number => Math.hypot(d.sumX / d.cells - middle.x, d.sumY / d.cells - middle.y);
  discs.sort((a, b) => far(a) - far(b));
  const [central] = discs;
  if (!central || far(central) > 0.3 * cells.rows) throw new GlareUnreadable('no-card');
  const alike = discs.filter((d) => d.cells > 0.5 * central.cells && d.cells < 2 * central.cells).slice(0, GLARE_CARD.discs.length);
  const measured = alike.map((disc) => {
    const [x, y] = [(disc.sumX / disc.cells + 0.5) * cells.size, (disc.sumY / disc.cells + 0.5) * cells.size];
    const radius = Math.sqrt((disc.cells * cells.size * cells.size) / Math.PI);
    const black = ringOf(light, x, y, 0, INNER * radius);
    const white = ringOf(light, x, y, 1.4 * radius, 1.9 * radius);
    return { x, y, radius, black, white };
  });
  if (measured[0]!.white.clipped > MOST_CLIPPED) throw new GlareUnreadable('clipped');
  const patches = measured.map(({ x, y, radius, black, white }) => ({
    x: x / light.width,
    y: y / light.height,
    radiusPx: radius,
    glarePct: Math.max(0, (100 * black.mean) / white.mean - blackPct),
  }));
  const [{ black, white, radius }] = measured as [(typeof measured)[number]];
  const glarePct = patches[0]!.glarePct;
  // The black is seldom even: a quarter of it at a time, not each pixel, is asked how far it strays.
  const quarters = [0, 1, 2, 3].map((q) => {
    const [ox, oy] = [q % 2 ? 0.28 : -0.28, q > 1 ? 0.28 : -0.28];
    return ringOf(light, measured[0]!.x + ox * radius, measured[0]!.y + oy * radius, 0, 0.25 * radius).mean;
  });
  const spread = Math.sqrt(quarters.reduce((sum, v) => sum + (v - black.mean) ** 2, 0) / 3) / 2;
  const error = (100 * NINETEEN_OF_TWENTY * Math.hypot(spread, light.step(black.mean) * black.mean * 0.29)) / white.mean;
  return { glarePct, lowPct: Math.max(0, glarePct - error), highPct: glarePct + error, patches };
}

/** What a glare test was taken with. */
export type GlareTaken = {
  body: string | null;
  fNumber: number | null;
  exposureS: number | null;
  iso: number | null;
  style: string | null;
};
export const GLARE_DIFFERENCES = ['body', 'aperture', 'exposure', 'style'] as const;
export type GlareDifference = (typeof GLARE_DIFFERENCES)[number];

const differ = (a: number | null, b: number | null): boolean => a !== null && b !== null && Math.abs(Math.log2(a / b)) > 0.2;

/** Why two tests cannot be held against each other; nothing where they can. What is not known is not held against them. */
export function whyNotComparable(a: GlareTaken, b: GlareTaken): GlareDifference[] {
  const exposureOf = (t: GlareTaken): number | null => (t.exposureS === null || t.iso === null ? null : t.exposureS * t.iso);
  const found: [GlareDifference, boolean][] = [
    ['body', a.body !== null && b.body !== null && a.body !== b.body],
    ['aperture', differ(a.fNumber, b.fNumber)],
    ['exposure', differ(exposureOf(a), exposureOf(b))],
    ['style', a.style !== null && b.style !== null && a.style !== b.style],
  ];
  return found.filter(([, is]) => is).map(([difference]) => difference);
}

export const GLARE_GRADES = ['clean', 'old', 'hazy'] as const;
export type GlareGrade = (typeof GLARE_GRADES)[number];
/** Orders of magnitude, from memory: a clean modern lens stays below 3 %, an old uncoated one below 8, a hazed one does not. */
export const glareGrade = (glarePct: number): GlareGrade => (glarePct < 3 ? 'clean' : glarePct < 8 ? 'old' : 'hazy');
