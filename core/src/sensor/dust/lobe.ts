import type { Measured, Sign } from './measure.js';

/** How far around a shadow what is as bright as it is dark would come from the same cause: the squares of a JPEG are eight wide. */
const LOBES = 8;

/**
 * The brightest three pixels square beside a shadow, against its depth: unevenness, grain and the waves of a JPEG have
 * bright parts as strong as their dark ones, a shadow has none.
 */
export function lobeBeside({ level: { width, height, data }, x, y, depth, template, plane }: Measured, sign: Sign = 1): number {
  const from = (template.wide + template.narrow) / 2 + 1.5;
  const to = from + Math.min(LOBES, 2 + template.wide);
  let most = 0;
  for (let py = Math.max(1, Math.floor(y - to)); py <= Math.min(height - 2, Math.ceil(y + to)); py += 1) {
    for (let px = Math.max(1, Math.floor(x - to)); px <= Math.min(width - 2, Math.ceil(x + to)); px += 1) {
      const dx = px - x;
      const dy = py - y;
      const r2 = dx * dx + dy * dy;
      if (r2 < from * from || r2 > to * to) continue;
      const i = py * width + px;
      const a = i - width;
      const c = i + width;
      const sum = data[a - 1]! + data[a]! + data[a + 1]! + data[i - 1]! + data[i]! + data[i + 1]! + data[c - 1]! + data[c]! + data[c + 1]!;
      const off = sign * (sum / 9 / (plane.a + plane.b * dx + plane.c * dy) - 1);
      if (off > most) most = off;
    }
  }
  return most / depth;
}
