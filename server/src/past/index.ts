export { PastModule } from './past.module.js';
