import { Module } from '@nestjs/common';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { StayModule } from '../storage/stay.module.js';
import { GearController } from './gear.controller.js';
import { GearRepository } from './gear.repository.js';
import { GearService } from './gear.service.js';
import { ImportService } from './import.service.js';
import { OpenWorkRepository } from './openWork.repository.js';

@Module({
  imports: [ScheduleModule, StayModule],
  controllers: [GearController],
  providers: [GearRepository, OpenWorkRepository, GearService, ImportService],
  exports: [GearRepository, OpenWorkRepository, GearService],
})
export class GearModule {}
