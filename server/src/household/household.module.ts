import { Module } from '@nestjs/common';
import { BlobModule } from '../blobs/index.js';
import { GearTablesModule } from '../gear/index.js';
import { AirModule } from '../air/index.js';
import { ScheduleModule } from '../schedule/index.js';
import { TrailModule } from '../trail/index.js';
import { BackupService } from './backup.service.js';
import { HouseholdExportService } from './export.service.js';
import { HealthService } from './health.service.js';
import { HouseholdController } from './household.controller.js';
import { Incoming } from './incoming.js';

@Module({
  imports: [AirModule, BlobModule, GearTablesModule, ScheduleModule, TrailModule],
  controllers: [HouseholdController],
  providers: [BackupService, HealthService, HouseholdExportService, Incoming],
})
export class HouseholdModule {}
