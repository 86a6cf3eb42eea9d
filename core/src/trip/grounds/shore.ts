import { type GroundFacts, OUTDOORS } from './ground.js';

export const shore = {
  name: 'Shore',
  words: ['beach', 'sea', 'surf', 'coast', 'spray'],
  dirt: [
    ...OUTDOORS.dirt,
    { soil: 'grit', aDay: 0.4 },
    { soil: 'grit', aDay: 0.5, in: 'wind' },
    { soil: 'salt', aDay: 0.3 },
    { soil: 'salt', aDay: 0.5, in: 'wind' },
  ],
  risks: [
    ...OUTDOORS.risks,
    { need: 'sand-on-it', aDay: 0.4 },
    { need: 'sand-on-it', aDay: 0.5, in: 'wind' },
    { need: 'front-struck', aDay: 0.05, in: 'wind' },
    { need: 'salt-spray', aDay: 0.3 },
    { need: 'salt-spray', aDay: 0.5, in: 'wind' },
    { need: 'salt-to-rinse', aDay: 0.15 },
    { need: 'wet-hands', aDay: 0.3 },
  ],
  asks: [
    ...OUTDOORS.asks,
    { ask: 'tide-asked' },
    { ask: 'fewest-changes' },
    { ask: 'seams-taped', in: 'wind' },
    { ask: 'water-along' },
    { ask: 'bag-closed' },
    { ask: 'salt-same-evening' },
    { ask: 'grains-first' },
    { ask: 'salt-off' },
    { ask: 'bag-emptied' },
  ],
} as const satisfies GroundFacts;
