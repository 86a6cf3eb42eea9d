export { GearModule } from './gear.module.js';
export { ThingsTakenBackService } from './thingsTakenBack.service.js';
export { GearService } from './gear.service.js';
