import { Module } from '@nestjs/common';
import { AirModule } from '../air/index.js';
import { GearTablesModule } from '../gear/index.js';
import { SettingsModule } from '../settings/index.js';
import { AdviceService } from './advice.service.js';
import { ChartService } from './chart.service.js';
import { ClimateController } from './climate.controller.js';
import { ClimateService } from './climate.service.js';
import { FitService } from './fit.service.js';
import { KnownService } from './known.service.js';
import { PlaceModule, StayModule } from '../places/index.js';
import { TimerService } from './timer.service.js';
import { WhatIfService } from './whatIf.service.js';

@Module({
  imports: [AirModule, GearTablesModule, PlaceModule, SettingsModule, StayModule],
  controllers: [ClimateController],
  providers: [AdviceService, ChartService, ClimateService, FitService, KnownService, TimerService, WhatIfService],
  exports: [ClimateService, TimerService, WhatIfService],
})
export class StorageModule {}
