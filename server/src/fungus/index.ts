export { FungusModule } from './fungus.module.js';
