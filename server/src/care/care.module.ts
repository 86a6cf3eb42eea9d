import { Module } from '@nestjs/common';
import { GearModule } from '../gear/gear.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { SuppliesModule } from '../supplies/supplies.module.js';
import { CareController } from './care.controller.js';
import { CareRepository } from './care.repository.js';
import { CareService } from './care.service.js';

@Module({
  imports: [GearModule, ScheduleModule, SettingsModule, SuppliesModule],
  controllers: [CareController],
  providers: [CareRepository, CareService],
  exports: [CareService],
})
export class CareModule {}
