/** What a file is by its first bytes, whatever its name says. */
export type PictureKind = 'jpeg' | 'png' | 'tiff' | 'webp' | 'heic';

const begins = (bytes: Uint8Array, ...with_: number[]): boolean => with_.every((b, i) => bytes[i] === b);

/** The brands of pictures coded as HEVC (ISO/IEC 23008-12). */
const HEIC = /^[^]{4}ftyp(?:hei[cxms]|hev[cxms]|mif1|msf1)$/;

export function kindOf(bytes: Uint8Array): PictureKind | null {
  if (begins(bytes, 0xff, 0xd8, 0xff)) return 'jpeg';
  if (begins(bytes, 0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)) return 'png';
  if (begins(bytes, 0x49, 0x49, 0x2a, 0) || begins(bytes, 0x4d, 0x4d, 0, 0x2a)) return 'tiff';
  const text = String.fromCharCode(...bytes.subarray(0, 12));
  if (HEIC.test(text)) return 'heic';
  return text.startsWith('RIFF') && text.endsWith('WEBP') ? 'webp' : null;
}

export type Dimensions = { width: number; height: number };

/** Markers of a JPEG that carry its size: the starts of a frame, of whatever sort. */
const isFrameStart = (marker: number): boolean => marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker);
/** Those that every decoder knows: sequential and progressive, by Huffman's code (ITU T.81, table B.1). */
const isCommonStart = (marker: number): boolean => marker >= 0xc0 && marker <= 0xc2;

/** Before its size a JPEG has a few dozen segments; one with more is made to be slow. */
const MOST_SEGMENTS = 10_000;

function jpegSize(bytes: Uint8Array, isStart: (marker: number) => boolean): Dimensions | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  for (let at = 2, steps = 0; at + 9 < bytes.length && steps < MOST_SEGMENTS; steps += 1) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1]!;
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    if (isStart(marker)) return { height: view.getUint16(at + 5), width: view.getUint16(at + 7) };
    at += 2 + view.getUint16(at + 2);
  }
  return null;
}

/** The size a file says it has, before any of it is decoded: ten kilobytes may unfold to gigapixels. Null where it says none. */
export function sizeOf(kind: PictureKind, bytes: Uint8Array): Dimensions | null {
  if (kind === 'jpeg') return jpegSize(bytes, isFrameStart);
  if (kind !== 'png' || bytes.length < 26) return null;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  return { width: view.getUint32(16), height: view.getUint32(20) };
}

/** The size of a JPEG that any decoder reads, from its beginning; null where it is none. */
export const pictureInJpeg = (bytes: Uint8Array): Dimensions | null => jpegSize(bytes, isCommonStart);

/** Sixteen bits a sample: the browser would show only eight of them. */
export const isSixteenBitPng = (bytes: Uint8Array): boolean => bytes[24] === 16;

const END_REACH = 65_536;
/** Does a JPEG end as one does? Cameras write more behind it at times. */
export function isWholeJpeg(bytes: Uint8Array): boolean {
  for (let i = bytes.length - 2; i >= Math.max(2, bytes.length - END_REACH); i -= 1)
    if (bytes[i] === 0xff && bytes[i + 1] === 0xd9) return true;
  return false;
}
