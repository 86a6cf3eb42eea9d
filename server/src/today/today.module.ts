import { Module } from '@nestjs/common';
import { GearModule } from '../gear/gear.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { StorageModule } from '../storage/storage.module.js';
import { TodayController } from './today.controller.js';
import { TodayService } from './today.service.js';

@Module({
  imports: [GearModule, ScheduleModule, StorageModule],
  controllers: [TodayController],
  providers: [TodayService],
  exports: [TodayService],
})
export class TodayModule {}
