import type { Light } from './frame.js';

/** A JPEG is made of squares so wide, pixels, from the top left of a frame that was not cropped. */
export const SQUARE = 8;
/** What one of them, a little darker than it should be, is measured as: so wide, at most so many steps of grey deep, so near to its middle. */
const AS_ONE = { from: 6.5, to: 10.5, steps: 5, near: 1.2 } as const;

/**
 * Is it more likely one square of a JPEG? They are as wide as many a shadow, and a coarse JPEG makes some a step or two of
 * grey darker than those around, or spreads a defect over one; but a speck seldom lies just in the middle of one.
 *
 * @param x @param y its middle, pixels. @param steps how deep it is, in steps of grey.
 */
export function isSquare({ x, y, fwhmPx, steps }: { x: number; y: number; fwhmPx: number; steps: number }): boolean {
  const off = (at: number): number => Math.abs((at % SQUARE) - SQUARE / 2);
  return fwhmPx >= AS_ONE.from && fwhmPx <= AS_ONE.to && steps <= AS_ONE.steps && off(x) <= AS_ONE.near && off(y) <= AS_ONE.near;
}

/** Where light changes along the squares more than everywhere else together, they are what is seen. */
const MOSTLY = 0.5;
/** Beyond its width so much more of the surroundings is asked. */
const REACH = 0.75;
const LEAST_REACH = 6;

/**
 * Does the light around a place change mostly where two squares of a JPEG meet? In a shadow, and in noise, an eighth of all
 * change lies there.
 *
 * @param x @param y its middle, pixels. @param widePx how wide it is.
 */
export function followsSquares({ width, height, data }: Light, x: number, y: number, widePx: number): boolean {
  const reach = Math.max(LEAST_REACH, REACH * widePx);
  const [left, right] = [Math.max(1, Math.floor(x - reach)), Math.min(width - 1, Math.ceil(x + reach))];
  const [top, bottom] = [Math.max(1, Math.floor(y - reach)), Math.min(height - 1, Math.ceil(y + reach))];
  let all = 0;
  let along = 0;
  for (let py = top; py <= bottom; py += 1) {
    for (let px = left; px <= right; px += 1) {
      const i = py * width + px;
      const across = Math.abs(data[i]! - data[i - 1]!);
      const down = Math.abs(data[i]! - data[i - width]!);
      all += across + down;
      if (px % SQUARE === 0) along += across;
      if (py % SQUARE === 0) along += down;
    }
  }
  return along > MOSTLY * all;
}
