import { Module } from '@nestjs/common';
import { GearTablesModule } from '../gear/index.js';
import { JournalModule } from '../journal/index.js';
import { AgendaModule } from '../agenda/index.js';
import { ScheduleModule } from '../schedule/index.js';
import { TodayController } from './today.controller.js';
import { TodayService } from './today.service.js';

@Module({
  imports: [AgendaModule, GearTablesModule, JournalModule, ScheduleModule],
  controllers: [TodayController],
  providers: [TodayService],
  exports: [TodayService],
})
export class TodayModule {}
