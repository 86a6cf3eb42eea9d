import { LOOPS } from './loops.wasm.js';
import type { Level } from './pyramid.js';
import type { Scatter } from './quantile.js';

/** Programs that know the web's or Node's types know these; core knows neither. */
declare const WebAssembly: {
  Memory: new (size: { initial: number; maximum: number }) => { buffer: ArrayBuffer };
  Module: new (bytes: Uint8Array) => object;
  Instance: new (module: object, imports: object) => { exports: unknown };
};
declare function atob(text: string): string;

type Places = [left: number, right: number, top: number, bottom: number, every: number];
/** As `core/assembly/frame.ts` has them: places in the memory are bytes from its beginning. */
type Compiled = {
  spread: (into: number, count: number, table: number) => void;
  halve: (from: number, width: number, height: number, into: number) => void;
  surround: (data: number, width: number, height: number, into: number, fives: number, middles: number) => void;
  standOut: (data: number, width: number, y: number, around: number, tiles: number, shift: number, hits: number) => number;
  darker: (
    data: number,
    width: number,
    around: number,
    aroundWidth: number,
    aroundHeight: number,
    samples: number,
    most: number,
    ...tile: Places
  ) => number;
  besideTwo: (data: number, width: number, samples: number, ...tile: Places) => number;
  spreadOf: (samples: number, n: number, half: number, most: number, into: number) => void;
  edges: (row: number, width: number, parts: number, hits: number) => number;
};

/** Bounds are told for so many pixels a side at a time: `core/assembly/frame.ts` has the same number. */
export const TILE = 64;
/** A part of a frame, and that one in so many of its columns and rows is asked. */
export type Tile = { left: number; right: number; top: number; bottom: number; every: number };

const placesOf = ({ left, right, top, bottom, every }: Tile): Places => [left, right, top, bottom, every];

const PAGE = 65_536;
/** A frame in 16 bits, all its halves together a third of that, and what lies around each pixel of the first half. */
const BYTES_A_PIXEL = 2 + 2 / 3 + 1 / 2;
/** What is kept of a row, and of its tiles: sums and places of 32 bits. */
const BYTES_A_COLUMN = 4 * 4;
const BESIDES = 8192;
/** A tile is asked at no more places than this; and room for what is reckoned of four at once. */
const MOST_SAMPLES = 256;
const AT_ONCE = 4;
/** Nine tenths of some values are most of them. */
const MOST_OF = 0.9;
/** Where more than a register is read at once the memory goes on. */
const ALIGNED = 16;

let kept: object | null = null;
const module = (): object => (kept ??= new WebAssembly.Module(Uint8Array.from(atob(LOOPS), (c) => c.charCodeAt(0))));

/**
 * The loops over all pixels of a frame, compiled, several pixels at a time; and the memory they reach, in which the frame
 * and all that is reckoned from it for every pixel has to lie: 3.2 bytes a pixel.
 */
export class Loops {
  private readonly memory: ArrayBuffer;
  private readonly compiled: Compiled;
  private used = 0;
  private readonly table: Uint16Array;
  private readonly around: Uint16Array;
  private readonly fives: Int32Array;
  private readonly middles: Int32Array;
  private readonly samples: Int32Array;
  private readonly scatter: Float32Array;
  /** What was found in a row. */
  readonly hits: Int32Array;

  /** For a frame of so many pixels. */
  constructor(
    private readonly width: number,
    height: number,
  ) {
    const pages = Math.ceil((BYTES_A_PIXEL * width * height + BYTES_A_COLUMN * width + BESIDES) / PAGE);
    const memory = new WebAssembly.Memory({ initial: pages, maximum: pages });
    this.memory = memory.buffer;
    this.compiled = new WebAssembly.Instance(module(), { env: { memory } }).exports as Compiled;
    this.table = this.pixels(256);
    this.around = this.pixels((width >> 1) * (height >> 1));
    this.fives = this.numbers(width + 8);
    this.middles = this.numbers(width + 8);
    this.hits = this.numbers(width);
    this.samples = this.numbers(MOST_SAMPLES + AT_ONCE);
    this.scatter = new Float32Array(this.memory, this.take(4 * AT_ONCE), 3);
  }

  /** Room for so many pixels. @throws RangeError when there is no more. */
  pixels(count: number): Uint16Array {
    return new Uint16Array(this.memory, this.take(2 * count), count);
  }

  /** Room for so many numbers of 32 bits. @throws RangeError when there is no more. */
  numbers(count: number): Int32Array {
    return new Int32Array(this.memory, this.take(4 * count), count);
  }

  /** Puts for each byte what a table of 256 says of it. */
  spread(bytes: Uint8Array | Uint8ClampedArray, table: Uint16Array, into: Uint16Array): void {
    new Uint8Array(this.memory, into.byteOffset + into.length, into.length).set(bytes.subarray(0, into.length));
    this.table.set(table);
    this.compiled.spread(into.byteOffset, into.length, this.table.byteOffset);
  }

  /** Each pixel of the half is the mean of four. */
  halve({ width, height, data }: Level, into: Uint16Array): void {
    this.compiled.halve(data.byteOffset, width, height, into.byteOffset);
  }

  /**
   * The light around each pixel of a level: the mean of five pixels square about three. It holds until the next is asked for.
   */
  surroundings({ width, height, data }: Level): Uint16Array {
    this.compiled.surround(data.byteOffset, width, height, this.around.byteOffset, this.fives.byteOffset, this.middles.byteOffset);
    return this.around.subarray(0, width * height);
  }

  /**
   * The columns of a row, but for its first two and its last, around which three pixels square are darker or brighter than
   * is asked.
   *
   * @param around the surroundings of the row, one for each two pixels, of `surroundings`. @param tiles for every 64 pixels
   * the parts of the light around, in 2^shift, for nine pixels: as dark as the first, or as bright as the second.
   * @returns how many there are in `hits`.
   */
  standOut({ width, data }: Level, y: number, around: Uint16Array, tiles: Int32Array, shift: number): number {
    return this.compiled.standOut(data.byteOffset, width, y, around.byteOffset, tiles.byteOffset, shift, this.hits.byteOffset);
  }

  /**
   * The columns of a row of the frame that differ from the one to their right by more than a part of their light.
   *
   * @param parts for every 64 pixels: one by this number. @returns how many there are in `hits`.
   */
  edges(data: Uint16Array, y: number, parts: Int32Array): number {
    return this.compiled.edges(data.byteOffset + 2 * y * this.width, this.width, parts.byteOffset, this.hits.byteOffset);
  }

  /**
   * How much darker the places of a tile are than their surroundings, as shares; null where it has none.
   *
   * @param coarser what `surroundings` were last asked of.
   */
  darkerIn({ data, width }: Level, coarser: Level, tile: Tile): Scatter | null {
    const [around, samples] = [this.around.byteOffset, this.samples.byteOffset];
    const { darker } = this.compiled;
    return this.scatterOf(darker(data.byteOffset, width, around, coarser.width, coarser.height, samples, MOST_SAMPLES, ...placesOf(tile)));
  }

  /** How far the pixels of a tile are from the mean of the two beside them, as shares of it; null where it has none. */
  besideTwoIn(data: Uint16Array, tile: Tile): Scatter | null {
    return this.scatterOf(this.compiled.besideTwo(data.byteOffset, this.width, this.samples.byteOffset, ...placesOf(tile)));
  }

  private scatterOf(n: number): Scatter | null {
    if (n === 0) return null;
    this.compiled.spreadOf(this.samples.byteOffset, n, n >> 1, Math.floor(n * MOST_OF), this.scatter.byteOffset);
    const [median, half, most] = this.scatter;
    return { median: median!, half: half!, most: most! };
  }

  private take(bytes: number): number {
    const at = this.used;
    this.used += Math.ceil(bytes / ALIGNED) * ALIGNED;
    return at;
  }
}
