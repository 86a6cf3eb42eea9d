import { type Basis, ourChoice } from '../care/knowledge/index.js';

/** What a relative humidity means for things of glass, metal, leather and rubber. */
export type Zone = { id: string; name: string; upTo: number; means: string };

/** From the driest to the dampest; each reaches up to, and does not include, its limit (common practice, our cut points). */
export const ZONES = [
  { id: 'too-dry', name: 'too dry', upTo: 30, means: 'Lubricants thicken, leather and cement dry out.' },
  { id: 'dry', name: 'dry', upTo: 40, means: 'Fine for glass and metal, a little dry for leather.' },
  { id: 'good', name: 'good', upTo: 55, means: 'Good for everything.' },
  { id: 'fair', name: 'fair', upTo: 60, means: 'Fine; the upper end of what is safe for ever.' },
  { id: 'watch', name: 'watch', upTo: 70, means: 'Growth is slow but possible when it lasts.' },
  { id: 'damp', name: 'damp', upTo: 80, means: 'Growth within weeks to months where there is food.' },
  { id: 'danger', name: 'danger', upTo: Infinity, means: 'Growth within days to weeks.' },
] as const satisfies readonly Zone[];
export type ZoneId = (typeof ZONES)[number]['id'];
export const ZONES_BASIS: Basis = ourChoice('The zones are common practice, their cut points ours.');

export const zoneOf = (humidityPct: number): ZoneId => ZONES.find((z) => humidityPct < z.upTo)!.id;
