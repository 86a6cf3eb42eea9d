import type { sensor } from '@bright-keeper/core';
import { greyOf } from './grey';

/** What of the library is used; it comes without types that name it. */
type Image = {
  get_width: () => number;
  get_height: () => number;
  is_primary: () => boolean;
  display: (
    into: { data: Uint8ClampedArray; width: number; height: number },
    told: (image: { data: Uint8ClampedArray } | null) => void,
  ) => void;
  free: () => void;
};
type Decoder = { decoder: object; decode: (bytes: Uint8Array) => Image[] };
type Library = { HeifDecoder: new () => Decoder; heif_context_free: (context: object) => void };

/** What a HEIC says of how its picture is to be shown (ISO/IEC 23008-12, ISO/IEC 14496-12). */
export type Shown = {
  /** Quarters of a turn against the clock; null where several pictures in it say different ones. */
  quarters: number | null;
  isMirrored: boolean;
  /** Its numbers follow the curve of a bright screen (PQ, HLG; ITU-T H.273), not that of a picture. */
  isHdr: boolean;
};

const PQ = 16;
const HLG = 18;
/** These hold other boxes, so many bytes after their head. */
const HOLDERS: Record<string, number> = { meta: 4, iprp: 0, ipco: 0 };
const HEAD = 8;
const LONG_HEAD = 16;

/** What the file says of how it is shown. What is no box, or runs out of the file, ends the reading. */
export function shownIn(bytes: Uint8Array): Shown {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  const turns = new Set<number>();
  let [isMirrored, isHdr] = [false, false];
  const nameAt = (at: number): string => String.fromCharCode(...bytes.subarray(at, at + 4));
  const read = (from: number, to: number): void => {
    for (let at = from; at + HEAD <= to;) {
      const short = view.getUint32(at);
      const isLong = short === 1 && at + LONG_HEAD <= to;
      const size = short === 0 ? to - at : isLong ? Number(view.getBigUint64(at + HEAD)) : short;
      const body = at + (isLong ? LONG_HEAD : HEAD);
      const end = at + size;
      if (size < body - at || end > to) return;
      const name = nameAt(at + 4);
      const holds = HOLDERS[name];
      if (holds !== undefined) read(body + holds, end);
      if (name === 'irot' && body < end) turns.add(bytes[body]! & 3);
      if (name === 'imir') isMirrored = true;
      if (name === 'colr' && body + 8 <= end && nameAt(body) === 'nclx') isHdr ||= [PQ, HLG].includes(view.getUint16(body + 6));
      at = end;
    }
  };
  read(0, bytes.length);
  return { quarters: turns.size > 1 ? null : ([...turns][0] ?? 0), isMirrored, isHdr };
}

/** A frame as the sensor recorded it, of one that was turned so many quarters against the clock. */
export function turnedBack({ width, height, data }: sensor.Frame, quarters: number): sensor.Frame {
  if (quarters === 0) return { width, height, data };
  const [w, h] = quarters === 2 ? [width, height] : [height, width];
  const back = data.slice();
  for (let y = 0; y < h; y += 1) {
    for (let x = 0; x < w; x += 1) {
      // Where a pixel of the sensor has gone to.
      const [tx, ty] = quarters === 1 ? [y, w - 1 - x] : quarters === 2 ? [w - 1 - x, h - 1 - y] : [h - 1 - y, x];
      back[y * w + x] = data[ty * width + tx]!;
    }
  }
  return { width: w, height: h, data: back };
}

/**
 * A HEIC as a grey frame, not turned; null where it is none that can be measured: for bright screens, mirrored, or broken.
 * The library comes when the first of them does.
 *
 * @param check told its size before it is decoded.
 */
export async function heicOf(bytes: Uint8Array, check: (size: { width: number; height: number }) => void): Promise<sensor.Frame | null> {
  const { quarters, isMirrored, isHdr } = shownIn(bytes);
  if (quarters === null || isMirrored || isHdr) return null;
  const { default: load } = await import('libheif-js/libheif-wasm/libheif-bundle.mjs');
  const library = load() as Library;
  const decoder = new library.HeifDecoder();
  const images = decoder.decode(bytes);
  try {
    const image = images.find((i) => i.is_primary()) ?? images[0];
    if (!image) return null;
    const [width, height] = [image.get_width(), image.get_height()];
    check({ width, height });
    const into = { data: new Uint8ClampedArray(4 * width * height), width, height };
    const shown = await new Promise<{ data: Uint8ClampedArray } | null>((told) => image.display(into, told));
    return shown && turnedBack(greyOf({ width, height, data: shown.data, samples: 4 }), quarters);
  } finally {
    for (const image of images) image.free();
    library.heif_context_free(decoder.decoder);
  }
}
