import { Module } from '@nestjs/common';
import { JournalModule } from '../journal/index.js';
import { SettingsModule } from '../settings/index.js';
import { TripModule } from '../trip/index.js';
import { SuppliesController } from './supplies.controller.js';
import { SuppliesService } from './supplies.service.js';

@Module({
  imports: [JournalModule, SettingsModule, TripModule],
  controllers: [SuppliesController],
  providers: [SuppliesService],
  exports: [SuppliesService],
})
export class SuppliesModule {}
