import type { Light } from './frame.js';

/** A pixel that stands out by this part of the light from all eight around it is broken: no shadow is that narrow. */
const PART_OF = 20;
/** And by so many times what its neighbours differ among themselves. */
const TIMES = 3;

/**
 * Puts the mean of its neighbours in the place of each pixel that alone stands out, dark or bright: left in, it would
 * look like a speck at every coarser scale. In place.
 *
 * @returns how many there were.
 */
export function healBadPixels({ width, height, data }: Light): number {
  let healed = 0;
  for (let y = 1; y < height - 1; y += 1) {
    // By pairs: nearly every pixel lies near the other one of its pair, and is done with after one look.
    for (let i = y * width + 1, end = (y + 1) * width - 2; i < end; i += 2) {
      const a = data[i]!;
      const b = data[i + 1]!;
      const off = Math.imul(a - b, PART_OF);
      if (off < b && off > -a) continue;
      for (let k = i; k <= i + 1; k += 1) {
        if (!isBroken(data, k, width)) continue;
        data[k] = (data[k - 1]! + data[k + 1]! + data[k - width]! + data[k + width]!) >> 2;
        healed += 1;
      }
    }
  }
  return healed;
}

/** Does it stand out from all eight around it, by more than these differ? */
function isBroken(data: Uint16Array, i: number, width: number): boolean {
  let [least, most] = [Infinity, 0];
  for (const row of [i - width, i, i + width]) {
    for (let k = row - 1; k <= row + 1; k += 1) {
      if (k === i) continue;
      least = Math.min(least, data[k]!);
      most = Math.max(most, data[k]!);
    }
  }
  const v = data[i]!;
  const out = v < least ? least - v : v > most ? v - most : 0;
  return out * PART_OF >= most && out >= TIMES * (most - least);
}
