import { Module } from '@nestjs/common';
import { AirModule } from '../air/air.module.js';
import { GearTablesModule } from '../gear/gearTables.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { AdviceService } from './advice.service.js';
import { ChartService } from './chart.service.js';
import { ClimateController } from './climate.controller.js';
import { ClimateService } from './climate.service.js';
import { PlaceModule } from './place.module.js';
import { StayModule } from './stay.module.js';
import { TimerService } from './timer.service.js';

@Module({
  imports: [AirModule, GearTablesModule, PlaceModule, SettingsModule, StayModule],
  controllers: [ClimateController],
  providers: [AdviceService, ChartService, ClimateService, TimerService],
  exports: [ClimateService, TimerService],
})
export class StorageModule {}
