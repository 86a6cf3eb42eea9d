import type { Light } from './frame.js';

/** A frame, halved again and again: level n holds the mean of 2ⁿ × 2ⁿ pixels in each of its own. */
export type Level = { level: number; width: number; height: number; data: Uint16Array };

/** A level is not made below so many pixels a side. */
const SMALLEST = 12;

/** The levels that are needed to see something so wide, pixels, and one more for what lies around it. */
export function pyramidOf({ width, height, data, loops }: Light, widestPx: number): Level[] {
  const levels: Level[] = [{ level: 0, width, height, data }];
  for (let widest = widestPx; widest > 2; widest /= 2) {
    const last = levels.at(-1)!;
    const [width, height] = [last.width >> 1, last.height >> 1];
    if (Math.min(width, height) < SMALLEST) break;
    const data = loops.pixels(width * height);
    loops.halve(last, data);
    levels.push({ level: last.level + 1, width, height, data });
  }
  return levels;
}
