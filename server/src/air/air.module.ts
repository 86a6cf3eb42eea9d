import { Module } from '@nestjs/common';
import { SettingsModule } from '../settings/index.js';
import { PlaceModule } from '../places/index.js';
import { TrailModule } from '../trail/index.js';
import { AirController } from './air.controller.js';
import { DeviceRepository } from './device.repository.js';
import { DeviceService } from './device.service.js';
import { ExportService } from './export.service.js';
import { LogService } from './log.service.js';
import { ReadingRepository } from './reading.repository.js';
import { SeriesService } from './series.service.js';

@Module({
  imports: [PlaceModule, SettingsModule, TrailModule],
  controllers: [AirController],
  providers: [DeviceRepository, DeviceService, ExportService, LogService, ReadingRepository, SeriesService],
  exports: [DeviceRepository, DeviceService, LogService, ReadingRepository, SeriesService],
})
export class AirModule {}
