export { GearModule } from './gear.module.js';
export { GearService } from './gear.service.js';
