import { ANYWHERE, type GroundFacts } from './ground.js';

export const studio = {
  name: 'Studio',
  words: ['indoors', 'portrait', 'product'],
  ...ANYWHERE,
  asks: [...ANYWHERE.asks, { ask: 'off-the-floor' }],
} as const satisfies GroundFacts;
