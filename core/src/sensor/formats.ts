import type { SensorFormatId } from '../care/knowledge/traits.js';

export type SensorFormat = { id: SensorFormatId; name: string; widthMm: number; heightMm: number };

/**
 * Sensor formats by their picture area, millimetres. Nominal sizes of the trade (common practice);
 * single cameras differ by a few tenths.
 */
export const formats: Record<SensorFormatId, SensorFormat> = {
  'full-frame': { id: 'full-frame', name: 'full frame, 36 × 24 mm', widthMm: 36, heightMm: 24 },
  'aps-c': { id: 'aps-c', name: 'APS-C, 23.6 × 15.7 mm', widthMm: 23.6, heightMm: 15.7 },
  'four-thirds': { id: 'four-thirds', name: 'Four Thirds, 17.3 × 13 mm', widthMm: 17.3, heightMm: 13 },
  'medium-44x33': { id: 'medium-44x33', name: 'medium format, 44 × 33 mm', widthMm: 44, heightMm: 33 },
  'one-inch': { id: 'one-inch', name: 'one inch, 13.2 × 8.8 mm', widthMm: 13.2, heightMm: 8.8 },
};

/** Swab widths that are sold, millimetres (common practice). */
const SWAB_WIDTHS_MM = [12, 16, 24, 33];

export type SwabChoice = { widthMm: number; axis: 'long side'; lanes: number; overlapMm: number; missedMm: number; drops: number };

/** A swab may be this much narrower than the sensor is tall: its edge spreads a little as it is drawn (common practice). */
const EDGE_SPREAD_MM = 1;
const LANE_OVERLAP_MM = 2;

/**
 * The widest swab that still fits beside the frame, drawn along the long side, and how many lanes it needs to
 * cover the sensor's height with at least 2 mm of overlap. One or two drops a side (common practice).
 */
export function swabFor(formatId: SensorFormatId): SwabChoice {
  const { heightMm } = formats[formatId];
  const widthMm = [...SWAB_WIDTHS_MM].reverse().find((w) => w <= heightMm + EDGE_SPREAD_MM) ?? SWAB_WIDTHS_MM[0]!;
  const oneLaneCovers = widthMm + EDGE_SPREAD_MM >= heightMm;
  const lanes = oneLaneCovers ? 1 : Math.ceil((heightMm - LANE_OVERLAP_MM) / (widthMm - LANE_OVERLAP_MM));
  const overlapMm = lanes === 1 ? 0 : Math.round(((lanes * widthMm - heightMm) / (lanes - 1)) * 10) / 10;
  return {
    widthMm,
    axis: 'long side',
    lanes,
    overlapMm,
    missedMm: lanes === 1 ? Math.max(0, heightMm - widthMm) : 0,
    drops: widthMm >= 24 ? 2 : 1,
  };
}
