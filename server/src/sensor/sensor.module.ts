import { Module } from '@nestjs/common';
import { BlobModule } from '../blobs/index.js';
import { GearTablesModule } from '../gear/index.js';
import { JournalModule } from '../journal/index.js';
import { SettingsModule } from '../settings/index.js';
import { TripModule } from '../trip/index.js';
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
