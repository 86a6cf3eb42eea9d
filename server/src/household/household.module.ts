import { Module } from '@nestjs/common';
import { BlobModule } from '../blobs/blob.module.js';
import { GearTablesModule } from '../gear/gearTables.module.js';
import { AirModule } from '../air/air.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { TrailModule } from '../trail/trail.module.js';
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
