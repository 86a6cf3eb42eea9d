import { Module } from '@nestjs/common';
import { GearTablesModule } from '../gear/index.js';
import { OutingController } from './outing.controller.js';
import { OutingRepository } from './outing.repository.js';
import { OutingService } from './outing.service.js';

@Module({
  imports: [GearTablesModule],
  controllers: [OutingController],
  providers: [OutingRepository, OutingService],
  exports: [OutingRepository, OutingService],
})
export class TripModule {}
