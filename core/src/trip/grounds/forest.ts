import { type GroundFacts, OUTDOORS } from './ground.js';

export const forest = {
  name: 'Forest',
  words: ['woods', 'trees', 'hide'],
  dirt: [...OUTDOORS.dirt, { soil: 'water-spot', aDay: 0.2 }, { soil: 'pollen', aDay: 0.2 }],
  risks: [
    ...OUTDOORS.risks,
    { need: 'damp-in-the-bag', aDay: 0.3 },
    { need: 'cold-to-warm', aDay: 0.1 },
    { need: 'front-struck', aDay: 0.02 },
  ],
  asks: [...OUTDOORS.asks, { ask: 'bag-closed' }, { ask: 'dried-open' }],
} as const satisfies GroundFacts;
