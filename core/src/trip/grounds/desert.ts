import { type GroundFacts, OUTDOORS } from './ground.js';

export const desert = {
  name: 'Dust and sand',
  words: ['dunes', 'quarry', 'dust storm', 'safari'],
  dirt: [...OUTDOORS.dirt, { soil: 'grit', aDay: 0.6 }, { soil: 'grit', aDay: 0.6, in: 'wind' }, { soil: 'dust', aDay: 0.6 }],
  risks: [
    ...OUTDOORS.risks,
    { need: 'sand-on-it', aDay: 0.6 },
    { need: 'sand-on-it', aDay: 0.6, in: 'wind' },
    { need: 'front-struck', aDay: 0.08, in: 'wind' },
    { need: 'loose-dust', aDay: 0.6 },
    { need: 'sensor-speck', aDay: 0.15 },
  ],
  asks: [
    ...OUTDOORS.asks,
    { ask: 'fewest-changes' },
    { ask: 'seams-taped' },
    { ask: 'bag-closed' },
    { ask: 'back-to-the-wind' },
    { ask: 'grains-first' },
    { ask: 'bag-emptied' },
  ],
} as const satisfies GroundFacts;
