export type { Deed } from './deeds.js';
export { TrailModule } from './trail.module.js';
export { TrailService } from './trail.service.js';
