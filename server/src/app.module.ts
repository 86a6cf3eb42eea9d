import { Module, type DynamicModule } from '@nestjs/common';
import { AirModule } from './air/air.module.js';
import { CareModule } from './care/care.module.js';
import { DatabaseModule, type Platform } from './db/database.module.js';
import { FungusModule } from './fungus/fungus.module.js';
import { GearModule } from './gear/gear.module.js';
import { HouseholdModule } from './household/household.module.js';
import { InspectionModule } from './inspection/inspection.module.js';
import { ScheduleModule } from './schedule/schedule.module.js';
import { BlobModule } from './blobs/blob.module.js';
import { SensorModule } from './sensor/sensor.module.js';
import { SettingsModule } from './settings/settings.module.js';
import { StorageModule } from './storage/storage.module.js';
import { SuppliesModule } from './supplies/supplies.module.js';
import { TodayModule } from './today/today.module.js';
import { TrailModule } from './trail/trail.module.js';
import { TripModule } from './trip/trip.module.js';

@Module({})
export class AppModule {
  static with(platform: Platform): DynamicModule {
    return {
      module: AppModule,
      imports: [
        DatabaseModule.with(platform),
        SettingsModule,
        ScheduleModule,
        GearModule,
        InspectionModule,
        CareModule,
        SuppliesModule,
        AirModule,
        BlobModule,
        SensorModule,
        StorageModule,
        FungusModule,
        TrailModule,
        TripModule,
        TodayModule,
        HouseholdModule,
      ],
    };
  }
}
