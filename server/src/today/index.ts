export { TodayModule } from './today.module.js';
export { TodayService } from './today.service.js';
