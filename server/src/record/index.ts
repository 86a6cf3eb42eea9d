export { RecordModule } from './record.module.js';
