export { FungusModule } from './fungus.module.js';
export { FungusService } from './fungus.service.js';
