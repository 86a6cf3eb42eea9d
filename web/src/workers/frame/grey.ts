import type { sensor } from '@bright-keeper/core';

/** Pixels as a decoder gives them: so many samples each, of eight or sixteen bits. */
export type Samples = {
  width: number;
  height: number;
  data: Uint8Array | Uint8ClampedArray | Uint16Array;
  samples: number;
  isInverted?: boolean;
};

/** Shares of red, green and blue in grey, in 256ths (Rec. 709). */
const [RED, GREEN, BLUE] = [54, 183, 19] as const;
/** To the nearest: cut off, the noise of colours would make pixels a whole grey darker, and none brighter. */
const ROUND = 128;

/** Grey of the pixels from one to another, into a frame. */
export function greyInto(
  into: Uint8Array | Uint8ClampedArray | Uint16Array,
  at: number,
  { data, samples }: Pick<Samples, 'data' | 'samples'>,
  count: number,
): void {
  if (samples < 3) for (let i = 0; i < count; i += 1) into[at + i] = data[i * samples]!;
  else
    for (let i = 0, s = 0; i < count; i += 1, s += samples)
      into[at + i] = (RED * data[s]! + GREEN * data[s + 1]! + BLUE * data[s + 2]! + ROUND) >> 8;
}

/** A decoded picture as the grey frame the detector takes. */
export function greyOf({ width, height, data, samples, isInverted = false }: Samples): sensor.Frame {
  const deep = data instanceof Uint16Array;
  const grey = deep ? new Uint16Array(width * height) : new Uint8Array(width * height);
  greyInto(grey, 0, { data, samples }, width * height);
  if (isInverted) {
    const white = deep ? 65_535 : 255;
    for (let i = 0; i < grey.length; i += 1) grey[i] = white - grey[i]!;
  }
  return { width, height, data: grey };
}

/** A frame made small, as RGBA: each pixel the mean of those it stands for. */
export function smallOf(
  { width, height, data }: sensor.Frame,
  widest: number,
): { width: number; height: number; data: Uint8ClampedArray<ArrayBuffer> } {
  const by = Math.max(1, Math.ceil(Math.max(width, height) / widest));
  const [w, h] = [Math.floor(width / by), Math.floor(height / by)];
  const shift = data instanceof Uint16Array ? 8 : 0;
  const small = new Uint8ClampedArray(w * h * 4);
  for (let y = 0; y < h; y += 1) {
    for (let x = 0; x < w; x += 1) {
      let sum = 0;
      for (let dy = 0; dy < by; dy += 1) for (let dx = 0; dx < by; dx += 1) sum += data[(y * by + dy) * width + x * by + dx]!;
      const v = sum / by / by / 2 ** shift;
      const i = (y * w + x) * 4;
      small[i] = v;
      small[i + 1] = v;
      small[i + 2] = v;
      small[i + 3] = 255;
    }
  }
  return { width: w, height: h, data: small };
}
