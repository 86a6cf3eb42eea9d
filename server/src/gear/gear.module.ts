import { Module } from '@nestjs/common';
import { JournalModule } from '../journal/journal.module.js';
import { AgendaModule } from '../schedule/agenda.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { StayModule } from '../storage/stay.module.js';
import { GearController } from './gear.controller.js';
import { GearService } from './gear.service.js';
import { GearTablesModule } from './gearTables.module.js';
import { ImportService } from './import.service.js';

@Module({
  imports: [AgendaModule, GearTablesModule, JournalModule, SettingsModule, StayModule],
  controllers: [GearController],
  providers: [GearService, ImportService],
  exports: [GearTablesModule, GearService],
})
export class GearModule {}
