export const SPOT_KINDS = ['dust', 'hair'] as const;
export type SpotKind = (typeof SPOT_KINDS)[number];

/** A speck as a frame shows it. */
export type Spot = {
  /** Its middle, as fractions of width and height from the top left of the picture. */
  x: number;
  y: number;
  /** The share of light it takes at its darkest, in linear light, 0 to 1. */
  depth: number;
  /** Its width where half of that is taken; of a hair, how thick it is. */
  fwhmPx: number;
  /** Its width all told; of a hair, how long it is. */
  diameterPx: number;
  kind: SpotKind;
  /** How sure it is that it is a speck, 0 to 1: of those called 0.9 nine in ten are. */
  confidence: number;
  /** About how large it is, mm; where the sensor's width was given. A hair's length. */
  sizeMm?: number;
};

/** The most visible first. */
export const plainestFirst = (a: Spot, b: Spot): number => visible(b) - visible(a);
const visible = (s: Spot): number => s.depth * Math.sqrt(s.fwhmPx);
