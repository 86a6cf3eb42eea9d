import { Module } from '@nestjs/common';
import { GearModule } from '../gear/gear.module.js';
import { JournalModule } from '../journal/journal.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { InspectionController } from './inspection.controller.js';
import { InspectionRepository } from './inspection.repository.js';
import { InspectionService } from './inspection.service.js';

@Module({
  imports: [GearModule, JournalModule, SettingsModule],
  controllers: [InspectionController],
  providers: [InspectionRepository, InspectionService],
  exports: [InspectionService],
})
export class InspectionModule {}
