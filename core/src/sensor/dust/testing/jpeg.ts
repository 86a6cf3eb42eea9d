import sharp from 'sharp';

/** The same frame after it was a JPEG of a quality. */
export async function asJpeg({ width, height, data }: { width: number; height: number; data: Uint8Array }, quality: number) {
  const file = await sharp(data, { raw: { width, height, channels: 1 } })
    .jpeg({ quality })
    .toBuffer();
  const grey = await sharp(file).greyscale().raw().toBuffer();
  return { width, height, data: new Uint8Array(grey.buffer, grey.byteOffset, grey.length) };
}
