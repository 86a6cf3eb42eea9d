import { type GroundFacts, OUTDOORS } from './ground.js';

export const elsewhere = { name: 'Elsewhere', ...OUTDOORS } as const satisfies GroundFacts;
