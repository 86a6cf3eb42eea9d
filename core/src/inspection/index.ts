export { protocolFor, type LookStep } from './protocol.js';
export { assess, assessSurface, mostTelling, type SurfaceVerdict } from './assess.js';
export type { LookManner } from '../care/kinds/index.js';
