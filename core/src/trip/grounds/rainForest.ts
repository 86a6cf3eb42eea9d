import { type GroundFacts, OUTDOORS } from './ground.js';

export const rainForest = {
  name: 'Rain forest',
  words: ['jungle', 'tropics', 'monsoon', 'humid heat'],
  dirt: [...OUTDOORS.dirt, { soil: 'water-spot', aDay: 0.8 }, { soil: 'fog', aDay: 0.3 }, { soil: 'fungus', aDay: 0.01 }],
  risks: [
    ...OUTDOORS.risks,
    { need: 'damp-in-the-bag', aDay: 0.9 },
    { need: 'rain-on-it', aDay: 0.5 },
    { need: 'wet-hands', aDay: 0.7 },
    { need: 'cold-to-warm', aDay: 0.5 },
    { need: 'front-struck', aDay: 0.02 },
  ],
  asks: [
    ...OUTDOORS.asks,
    { ask: 'cover-on-top' },
    { ask: 'zip-bags' },
    { ask: 'bag-closed' },
    { ask: 'closed-before-warm' },
    { ask: 'air-every-evening' },
    { ask: 'dried-open' },
    { ask: 'second-look' },
  ],
} as const satisfies GroundFacts;
