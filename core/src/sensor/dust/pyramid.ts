import type { Light } from './frame.js';

/** A frame, halved again and again: level n holds the mean of 2ⁿ × 2ⁿ pixels in each of its own. */
export type Level = { level: number; width: number; height: number; data: Uint16Array };

/** A level is not made below so many pixels a side. */
const SMALLEST = 12;

function halved({ level, width, height, data }: Level): Level {
  const [w, h] = [width >> 1, height >> 1];
  const half = new Uint16Array(w * h);
  for (let y = 0; y < h; y += 1) {
    let a = 2 * y * width;
    let b = a + width;
    for (let x = y * w, end = x + w; x < end; x += 1, a += 2, b += 2)
      half[x] = (data[a]! + data[a + 1]! + data[b]! + data[b + 1]! + 2) >> 2;
  }
  return { level: level + 1, width: w, height: h, data: half };
}

/** The levels that are needed to see something so wide, pixels, and one more for what lies around it. */
export function pyramidOf(light: Light, widestPx: number): Level[] {
  const levels: Level[] = [{ level: 0, width: light.width, height: light.height, data: light.data }];
  for (let widest = widestPx; widest > 2; widest /= 2) {
    const next = halved(levels.at(-1)!);
    if (Math.min(next.width, next.height) < SMALLEST) break;
    levels.push(next);
  }
  return levels;
}
