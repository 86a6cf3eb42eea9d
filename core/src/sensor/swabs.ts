import type { SensorFormatId } from '../care/knowledge/index.js';
import { formats } from './formats.js';

/** Swab widths that are sold, millimetres, and 8 for the smallest sensor, which one cuts by hand (common practice). */
export const SWAB_WIDTHS_MM = [8, 12, 16, 24, 33] as const;

/** A swab may be this much narrower than the side it covers: its edge spreads a little as it is drawn (common practice). */
const EDGE_SPREAD_MM = 1;
/** A soft swab gives this much where it is wider than the opening: 17 mm goes into 15.7 mm (common practice). */
const GIVES_MM = 1.5;
const LANE_OVERLAP_MM = 2;

/** The side of the sensor a swab is drawn along; the other side is the one it has to cover. */
export type SwabAxis = 'long side' | 'short side';

/** One way to draw a swab over a sensor. Lengths in millimetres. */
export type SwabStrokes = {
  widthMm: number;
  axis: SwabAxis;
  /** How many lanes side by side cover the sensor. */
  lanes: number;
  /** How far neighbouring lanes lie over each other; 0 with one lane. */
  overlapMm: number;
  /** The strip one single stroke would leave; 0 when one does. */
  missedByOneMm: number;
  /** Drops of fluid a side. */
  drops: number;
  /** New swabs for one pass: each face takes one lane, and a swab has two faces. */
  swabs: number;
};

const coveredSideMm = (format: SensorFormatId, axis: SwabAxis): number =>
  axis === 'long side' ? formats[format].heightMm : formats[format].widthMm;

const tenths = (mm: number): number => Math.round(mm * 10) / 10;

/**
 * A swab of this width drawn along one side of a sensor: how many lanes, how they overlap (2 mm at least, common
 * practice) and what a single stroke would miss. Null when the swab is wider than the sensor's short side: it would
 * neither lie flat between the walls nor pass the frame in front of them, whichever way it is turned.
 *
 * @example drawnAlong('full-frame', 24, 'short side')?.missedByOneMm // 12: a third of the long side
 */
export function drawnAlong(format: SensorFormatId, widthMm: number, axis: SwabAxis): SwabStrokes | null {
  if (!(widthMm >= 4 && widthMm <= 80)) throw new RangeError(`swab width ${widthMm} mm is outside 4 to 80 mm`);
  const sideMm = coveredSideMm(format, axis);
  if (widthMm > formats[format].heightMm + GIVES_MM) return null;
  const oneCovers = widthMm + EDGE_SPREAD_MM >= sideMm;
  const lanes = oneCovers ? 1 : Math.ceil((sideMm - LANE_OVERLAP_MM) / (widthMm - LANE_OVERLAP_MM));
  return {
    widthMm,
    axis,
    lanes,
    overlapMm: lanes === 1 ? 0 : tenths((lanes * widthMm - sideMm) / (lanes - 1)),
    missedByOneMm: oneCovers ? 0 : tenths(sideMm - widthMm),
    drops: widthMm >= 24 ? 2 : 1,
    swabs: Math.ceil(lanes / 2),
  };
}

/** The way with the fewest lanes; drawn along the long side where both do as well. Null when the swab is too wide. */
export function strokesWith(format: SensorFormatId, widthMm: number): SwabStrokes | null {
  const along = drawnAlong(format, widthMm, 'long side');
  const across = drawnAlong(format, widthMm, 'short side');
  if (!along || !across) return along ?? across;
  return across.lanes < along.lanes ? across : along;
}

/** The best of these widths: fewest lanes first, then the wider one. Null when none fits. */
export function bestStrokes(format: SensorFormatId, widthsMm: readonly number[]): SwabStrokes | null {
  const ways = widthsMm.map((w) => strokesWith(format, w)).filter((s) => s !== null);
  return ways.sort((a, b) => a.lanes - b.lanes || b.widthMm - a.widthMm)[0] ?? null;
}

/** The swab to buy for a format and how it is drawn: one stroke along the long side wherever a width is sold for it. */
export function swabFor(format: SensorFormatId): SwabStrokes {
  const along = SWAB_WIDTHS_MM.map((w) => drawnAlong(format, w, 'long side')).filter((s) => s !== null);
  const best = along.sort((a, b) => a.lanes - b.lanes || b.widthMm - a.widthMm)[0] ?? strokesWith(format, SWAB_WIDTHS_MM[0]);
  if (!best) throw new Error(`no swab that is sold fits ${format}`);
  return best;
}
