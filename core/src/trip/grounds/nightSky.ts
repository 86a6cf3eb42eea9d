import { type GroundFacts, OUTDOORS } from './ground.js';

export const nightSky = {
  name: 'Night sky',
  words: ['stars', 'milky way', 'astro', 'aurora'],
  dirt: [...OUTDOORS.dirt, { soil: 'fog', aDay: 0.4 }],
  risks: [
    ...OUTDOORS.risks,
    { need: 'dew', aDay: 0.4 },
    { need: 'dark', aDay: 1 },
    { need: 'cell-empty', aDay: 0.2 },
    { need: 'cold-to-warm', aDay: 0.3 },
  ],
  asks: [
    ...OUTDOORS.asks,
    { ask: 'night-kit' },
    { ask: 'strap-before-dew' },
    { ask: 'cells-warm' },
    { ask: 'closed-before-warm' },
    { ask: 'dried-open' },
  ],
} as const satisfies GroundFacts;
