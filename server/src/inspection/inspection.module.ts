import { Module } from '@nestjs/common';
import { GearModule } from '../gear/gear.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { InspectionController } from './inspection.controller.js';
import { InspectionRepository } from './inspection.repository.js';
import { InspectionService } from './inspection.service.js';

@Module({
  imports: [GearModule, ScheduleModule, SettingsModule],
  controllers: [InspectionController],
  providers: [InspectionRepository, InspectionService],
  exports: [InspectionService],
})
export class InspectionModule {}
