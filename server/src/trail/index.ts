export { TrailModule } from './trail.module.js';
export { TrailService } from './trail.service.js';
