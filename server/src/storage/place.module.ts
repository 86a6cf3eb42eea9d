import { Module } from '@nestjs/common';
import { GearTablesModule } from '../gear/gearTables.module.js';
import { JournalModule } from '../journal/journal.module.js';
import { PlaceController } from './place.controller.js';
import { PlaceRepository } from './place.repository.js';
import { PlaceService } from './place.service.js';
import { StayModule } from './stay.module.js';

@Module({
  imports: [GearTablesModule, JournalModule, StayModule],
  controllers: [PlaceController],
  providers: [PlaceRepository, PlaceService],
  exports: [PlaceService],
})
export class PlaceModule {}
