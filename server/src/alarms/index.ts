export { AlarmsModule } from './alarms.module.js';
export { AlarmsService } from './alarms.service.js';
