import { pictureInJpeg, type Dimensions } from './sniff';

/** Smaller ones are for lists. */
const LEAST_PIXELS = 1_000_000;

/** A file made to be slow has more beginnings than these. */
const MOST_TRIED = 500;

/** A picture a camera has put into its raw file: where it begins, and how large it is. */
export type Preview = Dimensions & { from: number };

/**
 * The largest JPEG inside a raw file, by its own beginning and size: raw containers differ from camera to camera, and all
 * carry one. What is coded without loss is the raw picture itself and is none. Null where there is none worth searching.
 */
export function previewIn(bytes: Uint8Array): Preview | null {
  let best: Preview | null = null;
  let tried = 0;
  for (let from = bytes.indexOf(0xff, 1); from >= 0 && tried < MOST_TRIED; from = bytes.indexOf(0xff, from + 1)) {
    if (bytes[from + 1] !== 0xd8 || bytes[from + 2] !== 0xff) continue;
    tried += 1;
    const size = pictureInJpeg(bytes.subarray(from));
    const pixels = size ? size.width * size.height : 0;
    if (size && pixels >= LEAST_PIXELS && pixels > (best ? best.width * best.height : 0)) best = { ...size, from };
  }
  return best;
}
