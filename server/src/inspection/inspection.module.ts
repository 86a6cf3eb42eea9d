import { Module } from '@nestjs/common';
import { BlobModule } from '../blobs/index.js';
import { GearModule } from '../shelf/index.js';
import { GearTablesModule } from '../gear/index.js';
import { JournalModule } from '../journal/index.js';
import { SettingsModule } from '../settings/index.js';
import { InspectionController } from './inspection.controller.js';
import { InspectionRepository } from './inspection.repository.js';
import { InspectionService } from './inspection.service.js';
import { LookEnding } from './lookEnding.js';
import { ManyLooksService } from './manyLooks.service.js';
import { LookPhotoService } from './lookPhoto.service.js';

@Module({
  imports: [BlobModule, GearModule, GearTablesModule, JournalModule, SettingsModule],
  controllers: [InspectionController],
  providers: [InspectionRepository, InspectionService, LookEnding, LookPhotoService, ManyLooksService],
  exports: [InspectionService, LookPhotoService],
})
export class InspectionModule {}
