export { BenchDaysService } from './benchDays.service.js';
export { CalendarService } from './calendar.service.js';
export { DutyService } from './duty.service.js';
export { ScheduleModule } from './schedule.module.js';
