import { rect, type Region } from '../section.js';
import type { Traits } from '../../knowledge/traits.js';

/** Small things share one frame. */
export const AXIS = 165;
export const size = { width: 704, height: 330, axisY: AXIS };

export const coating = (traits: Traits, d: string, at: [number, number]): Region[] =>
  traits.rubberisedCoating ? [{ surface: 'sticky-coating', d, at }] : [];

export const row = (x: number, y: number, count: number): string =>
  Array.from({ length: count }, (_, i) => rect(x + i * 18, y, 11, 12)).join('');

/** An open box in section, lying at the right. */
export const openCase = (x: number, { leatherCase }: Traits = {}): Region => ({
  surface: leatherCase ? 'leather-case' : 'case',
  d: `M${x} ${AXIS - 110}h96v220h-96v-16h80v-188h-80z`,
  at: [x + 88, AXIS - 60],
});
