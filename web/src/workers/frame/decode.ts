import type { sensor } from '@bright-keeper/core';
import { decode as decodePng } from 'fast-png';
import { decode as decodeTiff } from 'tiff';
import { greyInto, greyOf } from './grey';
import { heicOf } from './heic';
import { previewIn } from './preview';
import { isSixteenBitPng, isWholeJpeg, kindOf, sizeOf, type Dimensions } from './sniff';

/** Why a file could not be read as a picture. */
export type Unreadable = 'not-a-picture' | 'broken-off' | 'too-large' | 'too-small' | 'cmyk' | 'unsupported' | 'heic';

export class PictureUnreadable extends Error {
  constructor(readonly why: Unreadable) {
    super(why);
  }
}

/** More than any camera of a keeper makes, and less than a file made to fill the memory. */
const MOST_PIXELS = 110_000_000;
const LEAST_SIDE = 64;
const ROWS_AT_ONCE = 256;
const WHITE_IS_ZERO = 0;
const CMYK = 5;
/** What the photosites counted, behind their filters: raw. */
const COLOUR_FILTERS = 32_803;

function check({ width, height }: Dimensions): void {
  if (width * height > MOST_PIXELS) throw new PictureUnreadable('too-large');
  if (width < LEAST_SIDE || height < LEAST_SIDE) throw new PictureUnreadable('too-small');
}

/** Through the browser's own decoder, a strip at a time; not turned, so that places are as the sensor recorded them. */
async function byBrowser(file: Blob): Promise<sensor.Frame> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'none' }).catch(() => {
    throw new PictureUnreadable('broken-off');
  });
  try {
    const { width, height } = bitmap;
    check(bitmap);
    const data = new Uint8Array(width * height);
    const canvas = new OffscreenCanvas(width, Math.min(ROWS_AT_ONCE, height));
    const context = canvas.getContext('2d', { willReadFrequently: true })!;
    for (let top = 0; top < height; top += ROWS_AT_ONCE) {
      const rows = Math.min(ROWS_AT_ONCE, height - top);
      context.drawImage(bitmap, 0, top, width, rows, 0, 0, width, rows);
      greyInto(data, top * width, { data: context.getImageData(0, 0, width, rows).data, samples: 4 }, width * rows);
    }
    return { width, height, data };
  } finally {
    bitmap.close();
  }
}

function pngOf(bytes: Uint8Array): sensor.Frame {
  const { width, height, data, channels } = decodePng(bytes);
  return greyOf({ width, height, data: data, samples: channels });
}

function headOf(bytes: Uint8Array): ReturnType<typeof decodeTiff>[number] {
  const [head] = decodeTiff(bytes, { ignoreImageData: true, pages: [0] });
  if (!head) throw new PictureUnreadable('not-a-picture');
  return head;
}

function tiffOf(bytes: Uint8Array): sensor.Frame {
  const head = headOf(bytes);
  check(head);
  if (head.type === CMYK) throw new PictureUnreadable('cmyk');
  const [page] = decodeTiff(bytes, { pages: [0] });
  const { width, height, data, samplesPerPixel, type } = page!;
  if (!(data instanceof Uint8Array || data instanceof Uint16Array)) throw new PictureUnreadable('unsupported');
  if (data.length < width * height * samplesPerPixel) throw new PictureUnreadable('broken-off');
  return greyOf({ width, height, data, samples: samplesPerPixel, isInverted: type === WHITE_IS_ZERO });
}

/** The picture a camera put into its raw file, which is a TIFF with more in it than it shows; null where it is none. */
async function previewOf(bytes: Uint8Array<ArrayBuffer>): Promise<sensor.Frame | null> {
  const preview = previewIn(bytes);
  if (!preview) return null;
  const head = headOf(bytes);
  if (preview.width * preview.height < head.width * head.height && head.type !== COLOUR_FILTERS) return null;
  check(preview);
  return byBrowser(new Blob([bytes.subarray(preview.from)], { type: 'image/jpeg' }));
}

/** A frame, and whether it is the picture inside of a raw file. */
export type Decoded = { frame: sensor.Frame; isPreview: boolean };

/**
 * A file as a grey frame.
 *
 * @throws PictureUnreadable with the reason.
 */
export async function decodePicture(file: Blob, buffer: ArrayBuffer): Promise<Decoded> {
  const bytes = new Uint8Array(buffer);
  const kind = kindOf(bytes);
  if (!kind) throw new PictureUnreadable('not-a-picture');
  const size = sizeOf(kind, bytes);
  if (size) check(size);
  if (kind === 'jpeg' && !isWholeJpeg(bytes)) throw new PictureUnreadable('broken-off');
  if (kind === 'heic') {
    const frame = await heicOf(bytes, check).catch((error: unknown) => {
      throw error instanceof PictureUnreadable ? error : new PictureUnreadable('heic');
    });
    if (!frame) throw new PictureUnreadable('heic');
    return { frame, isPreview: false };
  }
  try {
    const preview = kind === 'tiff' ? await previewOf(bytes) : null;
    if (preview) return { frame: preview, isPreview: true };
    const frame = kind === 'tiff' ? tiffOf(bytes) : kind === 'png' && isSixteenBitPng(bytes) ? pngOf(bytes) : await byBrowser(file);
    return { frame, isPreview: false };
  } catch (error) {
    throw error instanceof PictureUnreadable ? error : new PictureUnreadable(kind === 'tiff' ? 'unsupported' : 'broken-off');
  }
}
