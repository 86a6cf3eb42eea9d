import { Module } from '@nestjs/common';
import { AirModule } from '../air/air.module.js';
import { GearModule } from '../gear/gear.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { StayModule } from '../storage/stay.module.js';
import { StorageModule } from '../storage/storage.module.js';
import { FungusController } from './fungus.controller.js';
import { FungusService } from './fungus.service.js';

@Module({
  imports: [AirModule, GearModule, SettingsModule, StayModule, StorageModule],
  controllers: [FungusController],
  providers: [FungusService],
})
export class FungusModule {}
