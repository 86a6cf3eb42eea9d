import { type GroundFacts, OUTDOORS } from './ground.js';

export const mountain = {
  name: 'Mountain or moor',
  words: ['hills', 'hike', 'fells', 'waterfall'],
  dirt: [...OUTDOORS.dirt, { soil: 'water-spot', aDay: 0.2 }],
  risks: [...OUTDOORS.risks, { need: 'rain-on-it', aDay: 0.15 }, { need: 'front-struck', aDay: 0.02 }, { need: 'plate-loose', aDay: 0.05 }],
  asks: [...OUTDOORS.asks, { ask: 'cover-on-top' }, { ask: 'bag-closed' }, { ask: 'dried-open' }],
} as const satisfies GroundFacts;
