import { Module } from '@nestjs/common';
import { AirModule } from '../air/index.js';
import { GearTablesModule } from '../gear/index.js';
import { JournalModule } from '../journal/index.js';
import { SettingsModule } from '../settings/index.js';
import { AdviceService } from './advice.service.js';
import { ChartService } from './chart.service.js';
import { ClimateController } from './climate.controller.js';
import { ClimateService } from './climate.service.js';
import { FitService } from './fit.service.js';
import { KnownService } from './known.service.js';
import { HomesService } from './homes.service.js';
import { HouseholdService } from './household.service.js';
import { PlaceModule, StayModule } from '../places/index.js';
import { TimerService } from './timer.service.js';
import { TripModule } from '../trip/index.js';
import { WhatIfService } from './whatIf.service.js';

@Module({
  imports: [AirModule, GearTablesModule, JournalModule, PlaceModule, SettingsModule, StayModule, TripModule],
  controllers: [ClimateController],
  providers: [
    AdviceService,
    ChartService,
    ClimateService,
    FitService,
    HomesService,
    HouseholdService,
    KnownService,
    TimerService,
    WhatIfService,
  ],
  exports: [ClimateService, HomesService, TimerService, WhatIfService],
})
export class StorageModule {}
