import { type GroundFacts, OUTDOORS } from './ground.js';

export const boat = {
  name: 'Boat',
  words: ['ship', 'sailing', 'ferry', 'kayak'],
  dirt: [...OUTDOORS.dirt, { soil: 'salt', aDay: 0.7 }, { soil: 'water-spot', aDay: 0.5 }],
  risks: [
    ...OUTDOORS.risks,
    { need: 'salt-spray', aDay: 0.7 },
    { need: 'salt-to-rinse', aDay: 0.5 },
    { need: 'wet-hands', aDay: 0.7 },
    { need: 'damp-in-the-bag', aDay: 0.4 },
  ],
  asks: [
    ...OUTDOORS.asks,
    { ask: 'fewest-changes' },
    { ask: 'cover-on-top' },
    { ask: 'zip-bags' },
    { ask: 'water-along' },
    { ask: 'bag-closed' },
    { ask: 'salt-same-evening' },
    { ask: 'salt-off' },
    { ask: 'dried-open' },
  ],
} as const satisfies GroundFacts;
