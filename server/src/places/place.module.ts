import { Module } from '@nestjs/common';
import { GearTablesModule } from '../gear/index.js';
import { JournalModule } from '../journal/index.js';
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
