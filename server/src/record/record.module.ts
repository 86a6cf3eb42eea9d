import { Module } from '@nestjs/common';
import { BlobModule } from '../blobs/index.js';
import { FungusModule } from '../fungus/index.js';
import { GearTablesModule } from '../gear/index.js';
import { InspectionModule } from '../inspection/index.js';
import { JournalModule } from '../journal/index.js';
import { SensorModule } from '../sensor/index.js';
import { GearModule } from '../shelf/index.js';
import { StayModule } from '../places/index.js';
import { SettingsModule } from '../settings/index.js';
import { TripModule } from '../trip/index.js';
import { RecordController } from './record.controller.js';
import { CausesService } from './causes.service.js';
import { OfferRepository } from './offer.repository.js';
import { OfferService } from './offer.service.js';
import { PracticeService } from './practice.service.js';
import { ReportFacts } from './reportFacts.js';
import { ReportService } from './report.service.js';
import { ReportKey } from './reportKey.js';

@Module({
  imports: [
    BlobModule,
    FungusModule,
    GearModule,
    GearTablesModule,
    InspectionModule,
    JournalModule,
    SensorModule,
    SettingsModule,
    StayModule,
    TripModule,
  ],
  controllers: [RecordController],
  providers: [CausesService, OfferRepository, OfferService, PracticeService, ReportFacts, ReportKey, ReportService],
})
export class RecordModule {}
