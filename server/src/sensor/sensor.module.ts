import { Module } from '@nestjs/common';
import { BlobModule } from '../blobs/blob.module.js';
import { GearTablesModule } from '../gear/gearTables.module.js';
import { JournalModule } from '../journal/journal.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { TripModule } from '../trip/trip.module.js';
import { SensorController } from './sensor.controller.js';
import { SensorRepository } from './sensor.repository.js';
import { SensorService } from './sensor.service.js';

@Module({
  imports: [BlobModule, GearTablesModule, JournalModule, SettingsModule, TripModule],
  controllers: [SensorController],
  providers: [SensorRepository, SensorService],
  exports: [SensorService],
})
export class SensorModule {}
