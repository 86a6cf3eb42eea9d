import { Module } from '@nestjs/common';
import { AirModule } from '../air/index.js';
import { GearModule } from '../shelf/index.js';
import { SettingsModule } from '../settings/index.js';
import { StayModule } from '../places/index.js';
import { StorageModule } from '../storage/index.js';
import { FungusController } from './fungus.controller.js';
import { FungusService } from './fungus.service.js';

@Module({
  imports: [AirModule, GearModule, SettingsModule, StayModule, StorageModule],
  controllers: [FungusController],
  providers: [FungusService],
  exports: [FungusService],
})
export class FungusModule {}
