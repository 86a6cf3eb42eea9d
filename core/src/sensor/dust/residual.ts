import { FULL } from './frame.js';
import type { Background, Blob } from './hair.js';
import type { Measured } from './measure.js';
import type { Level } from './pyramid.js';
import { at } from './templates.js';

/** Brings the coarser levels in step with what was changed in a part of the finest. */
function renew(levels: readonly Level[], left: number, top: number, right: number, bottom: number): void {
  for (let n = 1; n < levels.length; n += 1) {
    const [below, level] = [levels[n - 1]!, levels[n]!];
    [left, top, right, bottom] = [left >> 1, top >> 1, Math.min(level.width - 1, right >> 1), Math.min(level.height - 1, bottom >> 1)];
    for (let y = top; y <= bottom; y += 1) {
      for (let x = left; x <= right; x += 1) {
        const i = 2 * y * below.width + 2 * x;
        level.data[y * level.width + x] =
          (below.data[i]! + below.data[i + 1]! + below.data[i + below.width]! + below.data[i + below.width + 1]! + 2) >> 2;
      }
    }
  }
}

/** Takes a measured shadow out of the frame, so that what lies beside it, or in it, is seen as it would be without. */
export function takeOut(levels: readonly Level[], { level, x, y, depth, template, plane }: Measured): void {
  const [fine] = levels as [Level];
  const scale = 2 ** level.level;
  const [cx, cy] = [(x + 0.5) * scale - 0.5, (y + 0.5) * scale - 0.5];
  const reach = ((template.wide + template.narrow) / 2 + 1) * scale;
  const [left, right] = [Math.max(0, Math.floor(cx - reach)), Math.min(fine.width - 1, Math.ceil(cx + reach))];
  const [top, bottom] = [Math.max(0, Math.floor(cy - reach)), Math.min(fine.height - 1, Math.ceil(cy + reach))];
  for (let py = top; py <= bottom; py += 1) {
    for (let px = left; px <= right; px += 1) {
      const dx = (px - cx) / scale;
      const dy = (py - cy) / scale;
      const share = depth * at(template, Math.sqrt(dx * dx + dy * dy));
      if (share <= 0) continue;
      const i = py * fine.width + px;
      fine.data[i] = Math.min(FULL, fine.data[i]! + share * (plane.a + plane.b * dx + plane.c * dy));
    }
  }
  renew(levels, left, top, right, bottom);
}

/** Fills a hair, and a little around it, with the light there would be without it. */
export function fillIn(levels: readonly Level[], { level, cells }: Blob, background: Background): void {
  const [fine] = levels as [Level];
  const scale = 2 ** level.level;
  const around = 2;
  const filled = new Set<number>();
  let [left, top, right, bottom] = [fine.width, fine.height, 0, 0];
  for (const cell of cells) {
    const [cx, cy] = [cell % level.width, Math.floor(cell / level.width)];
    for (let y = Math.max(0, cy - around); y <= Math.min(level.height - 1, cy + around); y += 1)
      for (let x = Math.max(0, cx - around); x <= Math.min(level.width - 1, cx + around); x += 1) filled.add(y * level.width + x);
  }
  for (const cell of filled) {
    const [cx, cy] = [cell % level.width, Math.floor(cell / level.width)];
    const light = Math.min(FULL, background(level.level, cx, cy));
    const [x0, y0] = [cx * scale, cy * scale];
    for (let y = y0; y < y0 + scale; y += 1) fine.data.fill(light, y * fine.width + x0, y * fine.width + x0 + scale);
    [left, top, right, bottom] = [Math.min(left, x0), Math.min(top, y0), Math.max(right, x0 + scale - 1), Math.max(bottom, y0 + scale - 1)];
  }
  renew(levels, left, top, right, bottom);
}
