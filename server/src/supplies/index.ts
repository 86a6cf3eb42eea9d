export { SuppliesModule } from './supplies.module.js';
export { SuppliesService } from './supplies.service.js';
