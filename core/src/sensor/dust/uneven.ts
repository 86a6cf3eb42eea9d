import type { Spot } from './spot.js';

/** Of the frame's width; and so deep what is as wide as that must be, to be a shadow. */
const UNEVEN = { width: 0.012, depth: 0.03 } as const;

/**
 * Is it more likely the light than a speck? A shadow wider than this part of the frame is of a large particle, and deep: at
 * the apertures of a test frame the cone is narrower. The wider, the deeper it must be.
 *
 * @param frameWidth pixels.
 */
export const isUneven = ({ fwhmPx, depth }: Pick<Spot, 'fwhmPx' | 'depth'>, frameWidth: number): boolean => {
  const wide = fwhmPx / (UNEVEN.width * frameWidth);
  return wide > 1 && depth < UNEVEN.depth * wide;
};
