export { type CarriedLens, fewestLensChanges, type LensChanges, MOST_BODIES, type Shot } from './lensChanges.js';
export { fewestRings, type Rings, ringsBetween, type StepRing } from './rings.js';
