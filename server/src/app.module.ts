import { Module, type DynamicModule } from '@nestjs/common';
import { AccessModule, type NetworkOptions } from './access/index.js';
import { AirModule } from './air/index.js';
import { AlarmsModule } from './alarms/index.js';
import { CareModule } from './care/index.js';
import { DatabaseModule, type Platform } from './db/index.js';
import { FungusModule } from './fungus/index.js';
import { GearModule } from './shelf/index.js';
import { HouseholdModule } from './household/index.js';
import { InspectionModule } from './inspection/index.js';
import { LiveModule } from './live/index.js';
import { PastModule } from './past/index.js';
import { RecordModule } from './record/index.js';
import { ScheduleModule } from './schedule/index.js';
import { BlobModule } from './blobs/index.js';
import { SensorModule } from './sensor/index.js';
import { SettingsModule } from './settings/index.js';
import { StorageModule } from './storage/index.js';
import { SuppliesModule } from './supplies/index.js';
import { TodayModule } from './today/index.js';
import { TrailModule } from './trail/index.js';
import { TripModule } from './trip/index.js';

@Module({})
export class AppModule {
  static with(platform: Platform, network: NetworkOptions | null = null): DynamicModule {
    return {
      module: AppModule,
      imports: [
        DatabaseModule.with(platform),
        AccessModule.with(network),
        SettingsModule,
        ScheduleModule,
        GearModule,
        InspectionModule,
        PastModule,
        CareModule,
        SuppliesModule,
        AirModule,
        AlarmsModule,
        BlobModule,
        SensorModule,
        StorageModule,
        FungusModule,
        LiveModule,
        RecordModule,
        TrailModule,
        TripModule,
        TodayModule,
        HouseholdModule,
      ],
    };
  }
}
