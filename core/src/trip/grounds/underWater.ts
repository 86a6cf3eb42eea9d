import { ANYWHERE, type GroundFacts } from './ground.js';

export const underWater = {
  name: 'Under water',
  words: ['diving', 'snorkelling', 'housing', 'dome port', 'o-ring'],
  dirt: [...ANYWHERE.dirt, { soil: 'salt', aDay: 0.9 }, { soil: 'water-spot', aDay: 0.9 }, { soil: 'fog', aDay: 0.2 }],
  risks: [
    ...ANYWHERE.risks,
    { need: 'salt-to-rinse', aDay: 1 },
    { need: 'wet-hands', aDay: 1 },
    { need: 'damp-in-the-bag', aDay: 0.6 },
    { need: 'cold-to-warm', aDay: 0.3 },
  ],
  asks: [
    ...ANYWHERE.asks,
    { ask: 'o-rings-looked-at' },
    { ask: 'water-along' },
    { ask: 'zip-bags' },
    { ask: 'rinse-before-opening' },
    { ask: 'salt-same-evening' },
    { ask: 'salt-off' },
    { ask: 'dried-open' },
    { ask: 'second-look' },
  ],
} as const satisfies GroundFacts;
