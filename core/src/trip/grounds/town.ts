import { type GroundFacts, OUTDOORS } from './ground.js';

export const town = { name: 'Town', ...OUTDOORS } as const satisfies GroundFacts;
