import { Module } from '@nestjs/common';
import { GearModule } from '../gear/gear.module.js';
import { PlaceController } from './place.controller.js';
import { PlaceRepository } from './place.repository.js';
import { PlaceService } from './place.service.js';
import { StayModule } from './stay.module.js';

@Module({
  imports: [GearModule, StayModule],
  controllers: [PlaceController],
  providers: [PlaceRepository, PlaceService],
  exports: [PlaceService],
})
export class PlaceModule {}
