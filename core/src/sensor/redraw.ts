import { encodedOf, lightOf, type Frame } from './dust/frame.js';
import type { Spot } from './dust/spot.js';
import { shareTaken } from './shadow.js';
import { coneAndSpeck } from './visibility.js';

type Redraw = {
  /** Pixels of the frame the specks were measured in, across; the picture may be smaller. */
  frameWidth: number;
  measuredAt: number;
  workingAt: number;
};

/** Behind a shadow this deep there is too little light left to brighten. */
const LEAST_LEFT = 0.08;
const WHITE = 255;

/**
 * The picture as it would be at another aperture: each round shadow taken out and cast anew. Hairs stay as they are, for
 * their shape is not known; so does all else.
 *
 * @param picture eight bits, sRGB. @returns a new one of the same size.
 */
export function redrawn({ width, height, data }: Frame, spots: readonly Spot[], { frameWidth, measuredAt, workingAt }: Redraw): Uint8Array {
  const drawn = Uint8Array.from(data);
  const light = Float32Array.from({ length: WHITE + 1 }, (_, v) => lightOf(v / WHITE));
  const scale = width / frameWidth;
  for (const spot of spots) {
    if (spot.kind !== 'dust') continue;
    const { cone, speck } = coneAndSpeck(spot);
    const [was, is, d] = [cone * scale, ((cone * measuredAt) / workingAt) * scale, speck * scale];
    const reach = (Math.max(was, is) + d) / 2 + 1;
    const [cx, cy] = [spot.x * width - 0.5, spot.y * height - 0.5];
    for (let y = Math.max(0, Math.floor(cy - reach)); y <= Math.min(height - 1, cy + reach); y += 1) {
      for (let x = Math.max(0, Math.floor(cx - reach)); x <= Math.min(width - 1, cx + reach); x += 1) {
        const far = Math.hypot(x - cx, y - cy);
        const [taken, takes] = [shareTaken(was, d, far), shareTaken(is, d, far)];
        if (taken === takes) continue;
        const i = y * width + x;
        const clear = Math.min(1, light[drawn[i]!]! / Math.max(LEAST_LEFT, 1 - taken));
        drawn[i] = Math.round(WHITE * encodedOf(clear * (1 - takes)));
      }
    }
  }
  return drawn;
}
