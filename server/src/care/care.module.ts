import { Module } from '@nestjs/common';
import { BlobModule } from '../blobs/index.js';
import { GearModule } from '../shelf/index.js';
import { JournalModule } from '../journal/index.js';
import { SettingsModule } from '../settings/index.js';
import { SuppliesModule } from '../supplies/index.js';
import { CareController } from './care.controller.js';
import { CareRepository } from './care.repository.js';
import { CareService } from './care.service.js';
import { CleaningEnding } from './cleaningEnding.js';
import { EvidenceService } from './evidence.service.js';
import { FieldController } from './field.controller.js';
import { FieldService } from './field.service.js';
import { PlanRequestService } from './planRequest.service.js';
import { TeardownController } from './teardown.controller.js';
import { TeardownRepository } from './teardown.repository.js';
import { TeardownService } from './teardown.service.js';

@Module({
  imports: [BlobModule, GearModule, JournalModule, SettingsModule, SuppliesModule],
  controllers: [CareController, FieldController, TeardownController],
  providers: [
    CareRepository,
    CareService,
    CleaningEnding,
    EvidenceService,
    FieldService,
    PlanRequestService,
    TeardownRepository,
    TeardownService,
  ],
  exports: [CareService, PlanRequestService],
})
export class CareModule {}
