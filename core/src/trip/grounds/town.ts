import { type GroundFacts, OUTDOORS } from './ground.js';

export const town = { name: 'Town', words: ['street', 'city', 'wedding', 'fair'], ...OUTDOORS } as const satisfies GroundFacts;
