import type { Soil } from '../../care/soils/index.js';
import type { FieldNeedId } from '../knowledge/needs.js';
import type { AskId } from './asks.js';

/** What the weather of an outing may bring; several at once. */
export const WEATHERS = ['wind', 'rain', 'cold', 'damp-night'] as const;
export type Weather = (typeof WEATHERS)[number];

type Only = { in?: Weather };
/** How likely something is needed on one day there, 0 to 1 (our choice); only in some weather, where that is said. */
export type Risk = Only & { need: FieldNeedId; aDay: number };
/** How likely a thing that is out there one day comes home with it, 0 to 1 (our choice). */
export type Dirt = Only & { soil: Soil; aDay: number };
export type Ask = Only & { ask: AskId };

/** A kind of ground an outing goes to: what dirties there, what may be needed, and what it asks for before, out there and at home. */
export type GroundFacts = { name: string; words: readonly string[]; dirt: readonly Dirt[]; risks: readonly Risk[]; asks: readonly Ask[] };

/** What may be needed wherever one goes with more than one lens. */
export const ANYWHERE = {
  dirt: [
    { soil: 'dust', aDay: 0.3 },
    { soil: 'fingerprint', aDay: 0.2 },
  ],
  risks: [
    { need: 'loose-dust', aDay: 0.3 },
    { need: 'print-on-glass', aDay: 0.2 },
    { need: 'cap-lost', aDay: 0.04 },
    { need: 'filter-stuck', aDay: 0.03 },
    { need: 'plate-loose', aDay: 0.05 },
    { need: 'cell-empty', aDay: 0.15 },
    { need: 'small-parts', aDay: 0.05 },
  ],
  asks: [
    { ask: 'cells-charged' },
    { ask: 'cards-empty' },
    { ask: 'caps-there' },
    { ask: 'arrival-look' },
    { ask: 'aired-then-stored' },
    { ask: 'pictures-safe' },
  ],
} as const satisfies Omit<GroundFacts, 'name' | 'words'>;

/** What weather brings under an open sky. */
export const OUTDOORS = {
  dirt: [...ANYWHERE.dirt, { soil: 'dust', aDay: 0.3, in: 'wind' }, { soil: 'water-spot', aDay: 0.6, in: 'rain' }],
  risks: [
    ...ANYWHERE.risks,
    { need: 'sensor-speck', aDay: 0.05 },
    { need: 'front-struck', aDay: 0.01 },
    { need: 'rain-on-it', aDay: 0.6, in: 'rain' },
    { need: 'wet-hands', aDay: 0.4, in: 'rain' },
    { need: 'damp-in-the-bag', aDay: 0.4, in: 'rain' },
    { need: 'cell-cold', aDay: 0.3, in: 'cold' },
    { need: 'cold-to-warm', aDay: 0.5, in: 'cold' },
    { need: 'sensor-speck', aDay: 0.15, in: 'wind' },
    { need: 'dew', aDay: 0.5, in: 'damp-night' },
  ],
  asks: [
    ...ANYWHERE.asks,
    { ask: 'weather-asked' },
    { ask: 'cover-on-top', in: 'rain' },
    { ask: 'back-to-the-wind', in: 'wind' },
    { ask: 'cells-warm', in: 'cold' },
    { ask: 'no-breath', in: 'cold' },
    { ask: 'closed-before-warm', in: 'cold' },
    { ask: 'night-kit', in: 'damp-night' },
    { ask: 'strap-before-dew', in: 'damp-night' },
    { ask: 'dried-open', in: 'rain' },
    { ask: 'second-look', in: 'rain' },
  ],
} as const satisfies Omit<GroundFacts, 'name' | 'words'>;
