import { type GroundFacts, OUTDOORS } from './ground.js';

export const snow = {
  name: 'Snow',
  words: ['winter', 'ice', 'skiing', 'frost'],
  dirt: [...OUTDOORS.dirt, { soil: 'water-spot', aDay: 0.5 }, { soil: 'fog', aDay: 0.2 }],
  risks: [
    ...OUTDOORS.risks,
    { need: 'cell-cold', aDay: 0.5 },
    { need: 'cold-to-warm', aDay: 0.9 },
    { need: 'wet-hands', aDay: 0.5 },
    { need: 'damp-in-the-bag', aDay: 0.3 },
  ],
  asks: [
    ...OUTDOORS.asks,
    { ask: 'zip-bags' },
    { ask: 'cells-warm' },
    { ask: 'no-breath' },
    { ask: 'closed-before-warm' },
    { ask: 'dried-open' },
  ],
} as const satisfies GroundFacts;
