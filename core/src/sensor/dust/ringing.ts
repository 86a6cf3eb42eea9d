import type { Light } from './frame.js';
import type { NoiseMap } from './noise.js';

/** Within a shadow pixels differ from those beside them by less than this part of its depth, */
const OF_DEPTH = 0.7;
/** or by what chance makes of it: so often what the noise there is. */
const TIMES_NOISE = 3;
const LEAST_REACH = 3;

/**
 * Is a place rougher than all around it? A shadow takes light evenly. What a coarse JPEG makes of a defect, ripples over the
 * whole of its squares, has a middle a little darker than it should be, and pixels that differ by far more than that.
 *
 * @param x @param y its middle, pixels. @param widePx how wide it is. @param depth the share of light it takes.
 */
export function isRinging({ width, height, data }: Light, noise: NoiseMap, x: number, y: number, widePx: number, depth: number): boolean {
  const reach = Math.max(LEAST_REACH, widePx / 2);
  const [left, right] = [Math.max(1, Math.floor(x - reach)), Math.min(width - 2, Math.ceil(x + reach))];
  const [top, bottom] = [Math.max(1, Math.floor(y - reach)), Math.min(height - 2, Math.ceil(y + reach))];
  let n = 0;
  let sum = 0;
  for (let py = top; py <= bottom; py += 1) {
    for (let px = left; px <= right; px += 1) {
      const i = py * width + px;
      const beside = (data[i - 1]! + data[i + 1]! + data[i - width]! + data[i + width]!) / 4;
      const off = data[i]! / Math.max(1, beside) - 1;
      sum += off * off;
      n += 1;
    }
  }
  return Math.sqrt(sum / Math.max(1, n)) > Math.max(OF_DEPTH * depth, TIMES_NOISE * noise.at(x, y));
}
