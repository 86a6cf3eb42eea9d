import { Module } from '@nestjs/common';
import { SettingsModule } from '../settings/index.js';
import { PlaceModule } from '../places/index.js';
import { TrailModule } from '../trail/index.js';
import { AirController } from './air.controller.js';
import { DeviceRepository } from './device.repository.js';
import { DeviceService } from './device.service.js';
import { ExportService } from './export.service.js';
import { IntakeController } from './intake/intake.controller.js';
import { IntakeService } from './intake/intake.service.js';
import { IntakeFiles } from './intake/intakeFiles.js';
import { MetricsController } from './metrics/metrics.controller.js';
import { MetricsKey } from './metrics/metricsKey.js';
import { IntakeStates } from './intakeStates.js';
import { LogService } from './log.service.js';
import { PushService } from './push.service.js';
import { ReadingRepository } from './reading.repository.js';
import { SeriesService } from './series.service.js';

@Module({
  imports: [PlaceModule, SettingsModule, TrailModule],
  controllers: [AirController, IntakeController, MetricsController],
  providers: [
    DeviceRepository,
    DeviceService,
    ExportService,
    IntakeFiles,
    IntakeService,
    IntakeStates,
    LogService,
    MetricsKey,
    PushService,
    ReadingRepository,
    SeriesService,
  ],
  exports: [DeviceRepository, DeviceService, LogService, ReadingRepository, SeriesService],
})
export class AirModule {}
