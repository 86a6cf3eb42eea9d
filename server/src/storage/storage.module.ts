import { Module } from '@nestjs/common';
import { AirModule } from '../air/index.js';
import { GearTablesModule } from '../gear/index.js';
import { SettingsModule } from '../settings/index.js';
import { AdviceService } from './advice.service.js';
import { ChartService } from './chart.service.js';
import { ClimateController } from './climate.controller.js';
import { ClimateService } from './climate.service.js';
import { PlaceModule, StayModule } from '../places/index.js';
import { TimerService } from './timer.service.js';

@Module({
  imports: [AirModule, GearTablesModule, PlaceModule, SettingsModule, StayModule],
  controllers: [ClimateController],
  providers: [AdviceService, ChartService, ClimateService, TimerService],
  exports: [ClimateService, TimerService],
})
export class StorageModule {}
