import { Module } from '@nestjs/common';
import { JournalModule } from '../journal/index.js';
import { AgendaModule } from '../agenda/index.js';
import { SettingsModule } from '../settings/index.js';
import { PlaceModule, StayModule } from '../places/index.js';
import { GearController } from './gear.controller.js';
import { FittingService } from './fitting.service.js';
import { GearService } from './gear.service.js';
import { GearTablesModule } from '../gear/index.js';
import { ImportService } from './import.service.js';

@Module({
  imports: [AgendaModule, GearTablesModule, JournalModule, PlaceModule, SettingsModule, StayModule],
  controllers: [GearController],
  providers: [FittingService, GearService, ImportService],
  exports: [GearTablesModule, GearService],
})
export class GearModule {}
