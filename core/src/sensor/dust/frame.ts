import { Loops } from './loops.js';

/** A frame as the detector takes it: one grey value a pixel, row by row from the top left. */
export type Frame = { width: number; height: number; data: Uint8Array | Uint8ClampedArray | Uint16Array };

/** What the numbers of a frame mean: encoded as sRGB, as cameras write JPEGs, or light itself. */
export type Transfer = 'srgb' | 'linear';

/** Light is kept in so many steps, 0 to this. */
export const FULL = 65_535;
const SMALLEST_SIDE = 64;

/** @returns light, 0 to 1, of a value encoded as sRGB, 0 to 1 (IEC 61966-2-1). */
export const lightOf = (encoded: number): number => (encoded <= 0.040_45 ? encoded / 12.92 : ((encoded + 0.055) / 1.055) ** 2.4);

/** @returns the sRGB encoding, 0 to 1, of light, 0 to 1. */
export const encodedOf = (light: number): number => (light <= 0.003_130_8 ? light * 12.92 : 1.055 * light ** (1 / 2.4) - 0.055);

export type Light = {
  width: number;
  height: number;
  /** Light, 0 to FULL. */
  data: Uint16Array;
  /** How far two neighbouring values of the file lie apart, as a share of the light there. */
  step: (light: number) => number;
  /** The brightest value the file can hold, as light. */
  brightest: number;
  /** What goes through all of it, and keeps it. */
  loops: Loops;
};

/** For every value of a file the light it stands for. */
function tableOf(size: number, transfer: Transfer): Uint16Array {
  const table = new Uint16Array(size);
  for (let i = 0; i < size; i += 1) table[i] = Math.round(FULL * (transfer === 'linear' ? i / (size - 1) : lightOf(i / (size - 1))));
  return table;
}

function checkFrame({ width, height, data }: Frame): void {
  if (!(Number.isInteger(width) && Number.isInteger(height) && width >= SMALLEST_SIDE && height >= SMALLEST_SIDE))
    throw new RangeError(`a frame of ${width} × ${height} is too small: ${SMALLEST_SIDE} pixels a side are the least`);
  const size = width * height;
  if (data.length < size) throw new RangeError(`the frame says ${width} × ${height} but holds ${data.length} pixels`);
}

/**
 * A frame in linear light.
 *
 * @throws RangeError when there is less data than width × height, or a side is below 64.
 */
export function linearLight({ width, height, data }: Frame, transfer: Transfer): Light {
  checkFrame({ width, height, data });
  const loops = new Loops(width, height);
  const light = loops.pixels(width * height);
  const values = data instanceof Uint16Array ? FULL + 1 : 256;
  const table = tableOf(values, transfer);
  if (data instanceof Uint16Array) for (let i = 0; i < light.length; i += 1) light[i] = table[data[i]!]!;
  else loops.spread(data, table, light);
  const slope = (at: number): number => {
    const share = Math.max(at, 1) / FULL;
    const encoded = transfer === 'linear' ? share : encodedOf(share);
    const up = Math.min(1, encoded + 1 / (values - 1));
    const next = transfer === 'linear' ? up : lightOf(up);
    return Math.max(next - share, 1 / FULL) / share;
  };
  return { width, height, data: light, step: slope, brightest: FULL, loops };
}
