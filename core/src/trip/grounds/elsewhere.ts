import { type GroundFacts, OUTDOORS } from './ground.js';

export const elsewhere = { name: 'Elsewhere', words: ['anywhere', 'day out'], ...OUTDOORS } as const satisfies GroundFacts;
