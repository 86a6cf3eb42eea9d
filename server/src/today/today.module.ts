import { Module } from '@nestjs/common';
import { GearModule } from '../gear/gear.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { TodayController } from './today.controller.js';
import { TodayService } from './today.service.js';

@Module({ imports: [GearModule, ScheduleModule], controllers: [TodayController], providers: [TodayService], exports: [TodayService] })
export class TodayModule {}
