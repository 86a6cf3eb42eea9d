import { blobErrors, LARGEST_PICTURE_BYTES, PICTURE_TYPES } from '@bright-keeper/contract';
import type { Readable } from 'node:stream';
import type { Sharp } from 'sharp';
import { problem } from '../http/index.js';

/** A hundred megapixels: more than any camera of a keeper, and less than a file made to fill the memory. */
const MOST_PIXELS = 100_000_000;
/** Nobody sees the difference, and the file stays about as large as it came. */
const QUALITY = 90;
const SMALL_SIDE = 480;
const TYPES: Record<string, (typeof PICTURE_TYPES)[number]> = { jpeg: 'image/jpeg', png: 'image/png', webp: 'image/webp' };

/** The library comes with the first picture: it is large, and most starts see none. */
const opened = async (data: Uint8Array): Promise<Sharp> => (await import('sharp')).default(data, { limitInputPixels: MOST_PIXELS });

/** The bytes of a request, as many as a picture may have. @throws ProblemError while more come. */
export async function pictureBytes(body: Readable): Promise<Buffer> {
  const parts: Buffer[] = [];
  let bytes = 0;
  for await (const part of body as AsyncIterable<Buffer>) {
    bytes += part.length;
    if (bytes > LARGEST_PICTURE_BYTES) throw problem(blobErrors, 'picture-too-large');
    parts.push(part);
  }
  return Buffer.concat(parts);
}

/**
 * A picture as it may be kept: what it is by its content, upright, and without what the camera wrote beside it, the place
 * where it was taken and its serial number among it, unless all of that is to be kept.
 *
 * @throws ProblemError when it is no picture that can be shown.
 */
export async function pictureToKeep(
  data: Uint8Array,
  keepAll = false,
): Promise<{ type: (typeof PICTURE_TYPES)[number]; data: Uint8Array }> {
  try {
    const image = await opened(data);
    const { format } = await image.metadata();
    const type = TYPES[format];
    if (type) {
      const upright = image.rotate().toFormat(format, { quality: QUALITY });
      return { type, data: await (keepAll ? upright.keepExif() : upright).toBuffer() };
    }
  } catch {
    // Not an image, or one that breaks off: the same answer as one of another kind.
  }
  throw problem(blobErrors, 'picture-unreadable');
}

/** The same picture small, for a list. */
export const smallPicture = async (data: Uint8Array): Promise<Buffer> =>
  (await opened(data)).resize(SMALL_SIDE, SMALL_SIDE, { fit: 'inside', withoutEnlargement: true }).jpeg({ quality: 80 }).toBuffer();
