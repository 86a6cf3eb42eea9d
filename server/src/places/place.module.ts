import { Module } from '@nestjs/common';
import { GearTablesModule } from '../gear/index.js';
import { JournalModule } from '../journal/index.js';
import { MoveService } from './move.service.js';
import { PlaceController } from './place.controller.js';
import { PlaceRepository } from './place.repository.js';
import { PlaceService } from './place.service.js';
import { StayModule } from './stay.module.js';

@Module({
  imports: [GearTablesModule, JournalModule, StayModule],
  controllers: [PlaceController],
  providers: [PlaceRepository, PlaceService, MoveService],
  exports: [PlaceService, MoveService],
})
export class PlaceModule {}
