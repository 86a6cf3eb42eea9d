import { Module } from '@nestjs/common';
import { GearTablesModule } from '../gear/gearTables.module.js';
import { JournalModule } from '../journal/journal.module.js';
import { AgendaModule } from '../schedule/agenda.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { TodayController } from './today.controller.js';
import { TodayService } from './today.service.js';

@Module({
  imports: [AgendaModule, GearTablesModule, JournalModule, ScheduleModule],
  controllers: [TodayController],
  providers: [TodayService],
  exports: [TodayService],
})
export class TodayModule {}
