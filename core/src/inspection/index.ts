export { protocolFor, type LookStep } from './protocol.js';
export { assess, assessSurface, mostTelling, type SurfaceVerdict } from './assess.js';
export type { LookManner } from '../care/kinds/index.js';
export { saysTheSame, seenTogether, type Testimony, type TogetherSeen } from './together.js';
export { knownFromAll, knownFromCleaning, knownFromLook, type Known, type KnownSince, type ToldOf } from './known.js';
export { type Light, LIGHTS, shownBy } from './lights.js';
