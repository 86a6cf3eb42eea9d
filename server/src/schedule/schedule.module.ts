import { Module } from '@nestjs/common';
import { CareModule } from '../care/index.js';
import { GearTablesModule } from '../gear/index.js';
import { JournalModule } from '../journal/index.js';
import { SettingsModule } from '../settings/index.js';
import { AgendaModule } from '../agenda/index.js';
import { AwayService } from './away.service.js';
import { BenchDaysService } from './benchDays.service.js';
import { BenchTimesRepository } from './benchTimes.repository.js';
import { BusyRepository } from './busy.repository.js';
import { BusyService } from './busy.service.js';
import { CalendarController } from './calendar.controller.js';
import { CalendarService } from './calendar.service.js';
import { DrawerListService } from './drawerList.service.js';
import { DutyService } from './duty.service.js';
import { FeedRepository } from './feed.repository.js';
import { ManyRhythmsService } from './manyRhythms.service.js';
import { RhythmService } from './rhythm.service.js';
import { ScheduleController } from './schedule.controller.js';

/** Rhythms, bench days and calendars over the one agenda. */
@Module({
  imports: [AgendaModule, CareModule, GearTablesModule, JournalModule, SettingsModule],
  controllers: [ScheduleController, CalendarController],
  providers: [
    AwayService,
    BenchDaysService,
    BenchTimesRepository,
    BusyRepository,
    BusyService,
    CalendarService,
    DrawerListService,
    DutyService,
    FeedRepository,
    ManyRhythmsService,
    RhythmService,
  ],
  exports: [BenchDaysService, CalendarService, DutyService],
})
export class ScheduleModule {}
