import type { Surface } from '../knowledge/surfaces.js';

/** One tappable surface of a section: its shape, and where its label's leader begins. */
export type Region = { surface: Surface; d: string; at: [number, number] };
/** A side-on section: light comes from the left along the axis. */
export type Section = {
  width: number;
  height: number;
  axisY: number;
  /** The body of the thing, shaded, so that its parts read as one object. */
  body: string[];
  outline: string[];
  regions: Region[];
};

export const rect = (x: number, y: number, w: number, h: number): string => `M${x} ${y}h${w}v${h}h${-w}z`;

/** The same strip above and below the axis. */
export const mirrored = (x: number, offset: number, w: number, h: number, axisY: number): string =>
  rect(x, axisY - offset - h, w, h) + rect(x, axisY + offset, w, h);

/** A band along a curved face: `bulge` is how far its middle stands out to the left. */
export const faceBand = (x: number, halfHeight: number, w: number, bulge: number, axisY: number): string => {
  const top = axisY - halfHeight;
  const bottom = axisY + halfHeight;
  const control = x - bulge;
  return `M${x} ${top}Q${control - bulge} ${axisY} ${x} ${bottom}h${w}Q${control - bulge + w} ${axisY} ${x + w} ${top}z`;
};

/** A glass element between two curved faces, drawn behind the bands. */
export const element = (x: number, halfHeight: number, w: number, bulgeLeft: number, bulgeRight: number, axisY: number): string =>
  `M${x} ${axisY - halfHeight}Q${x - 2 * bulgeLeft} ${axisY} ${x} ${axisY + halfHeight}h${w}Q${x + w + 2 * bulgeRight} ${axisY} ${x + w} ${axisY - halfHeight}z`;
