import { Module } from '@nestjs/common';
import { BlobModule } from '../blobs/blob.module.js';
import { GearModule } from '../gear/gear.module.js';
import { GearTablesModule } from '../gear/gearTables.module.js';
import { JournalModule } from '../journal/journal.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { InspectionController } from './inspection.controller.js';
import { InspectionRepository } from './inspection.repository.js';
import { InspectionService } from './inspection.service.js';
import { LookPhotoService } from './lookPhoto.service.js';

@Module({
  imports: [BlobModule, GearModule, GearTablesModule, JournalModule, SettingsModule],
  controllers: [InspectionController],
  providers: [InspectionRepository, InspectionService, LookPhotoService],
  exports: [InspectionService],
})
export class InspectionModule {}
