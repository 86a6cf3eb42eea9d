import { careErrors, PHOTO_TYPES } from '@bright-keeper/contract';
import sharp from 'sharp';
import { problem } from '../http/problem.js';

/** A hundred megapixels: more than any camera of a keeper, and less than a file made to fill the memory. */
const MOST_PIXELS = 100_000_000;
/** Nobody sees the difference, and the file stays about as large as it came. */
const QUALITY = 90;
const TYPES: Record<string, (typeof PHOTO_TYPES)[number]> = { jpeg: 'image/jpeg', png: 'image/png', webp: 'image/webp' };

/**
 * A photograph as it may be kept: what it is by its content, upright, and without what the camera wrote beside the
 * picture, the place where it was taken among it.
 *
 * @throws ProblemError when it is no photograph that can be shown.
 */
export async function photoToKeep(data: Uint8Array): Promise<{ type: string; data: Uint8Array }> {
  try {
    const image = sharp(data, { limitInputPixels: MOST_PIXELS });
    const { format } = await image.metadata();
    const type = TYPES[format];
    if (type) return { type, data: await image.rotate().toFormat(format, { quality: QUALITY }).toBuffer() };
  } catch {
    // Not an image, or one that breaks off: the same answer as one of another kind.
  }
  throw problem(careErrors, 'photo-unreadable');
}
