import sharp from 'sharp';
import type { Rgb } from './camera.js';

/** The same frame after it was a JPEG of a quality. */
export async function asJpeg({ width, height, data }: { width: number; height: number; data: Uint8Array }, quality: number) {
  const file = await sharp(data, { raw: { width, height, channels: 1 } })
    .jpeg({ quality })
    .toBuffer();
  const grey = await sharp(file).greyscale().raw().toBuffer();
  return { width, height, data: new Uint8Array(grey.buffer, grey.byteOffset, grey.length) };
}

/** A picture of three colours after it was a JPEG of a quality, in the grey in which it is searched (Rec. 709). */
export async function greyOfJpeg({ width, height, data }: Rgb, quality: number) {
  const file = await sharp(data, { raw: { width, height, channels: 3 } })
    .jpeg({ quality })
    .toBuffer();
  const rgb = await sharp(file).raw().toBuffer();
  return {
    width,
    height,
    data: Uint8Array.from(
      { length: width * height },
      (_, i) => (54 * rgb[3 * i]! + 183 * rgb[3 * i + 1]! + 19 * rgb[3 * i + 2]! + 128) >> 8,
    ),
  };
}
