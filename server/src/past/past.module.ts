import { Module } from '@nestjs/common';
import { GearTablesModule } from '../gear/index.js';
import { InspectionModule } from '../inspection/index.js';
import { JournalModule } from '../journal/index.js';
import { PlaceModule } from '../places/index.js';
import { SettingsModule } from '../settings/index.js';
import { GearModule } from '../shelf/index.js';
import { PastLooksService } from './looks.service.js';
import { PastController } from './past.controller.js';
import { PastRepository } from './past.repository.js';
import { TakeBackService } from './takeBack.service.js';

/** What was told, corrected or taken back. */
@Module({
  imports: [GearModule, GearTablesModule, InspectionModule, JournalModule, PlaceModule, SettingsModule],
  controllers: [PastController],
  providers: [PastLooksService, PastRepository, TakeBackService],
})
export class PastModule {}
