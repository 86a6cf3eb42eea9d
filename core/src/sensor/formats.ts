import type { SensorFormatId } from '../care/knowledge/index.js';

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
