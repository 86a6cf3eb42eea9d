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
    const from = y * width;
    let l = data[from]!;
    let v = data[from + 1]!;
    for (let i = from + 1, end = from + width - 1; i < end; i += 1) {
      const r = data[i + 1]!;
      // Nearly every pixel lies near its neighbours, and is done with after one look.
      const off = 2 * v - l - r;
      if (off * PART_OF > l + r || -off * PART_OF > l + r) {
        if (isBroken(data, i, width)) {
          v = (l + r + data[i - width]! + data[i + width]!) >> 2;
          data[i] = v;
          healed += 1;
        }
      }
      l = v;
      v = r;
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
