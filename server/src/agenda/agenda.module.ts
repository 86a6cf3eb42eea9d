import { Module } from '@nestjs/common';
import { AirModule } from '../air/index.js';
import { GearTablesModule } from '../gear/index.js';
import { JournalModule } from '../journal/index.js';
import { SensorModule } from '../sensor/index.js';
import { SettingsModule } from '../settings/index.js';
import { StayModule } from '../places/index.js';
import { StorageModule } from '../storage/index.js';
import { SuppliesModule } from '../supplies/index.js';
import { TripModule } from '../trip/index.js';
import { AgendaService } from './agenda.service.js';
import { RhythmRepository } from './rhythm.repository.js';

/** The one agenda, for the areas that read it. */
@Module({
  imports: [
    AirModule,
    GearTablesModule,
    JournalModule,
    SensorModule,
    SettingsModule,
    StayModule,
    StorageModule,
    SuppliesModule,
    TripModule,
  ],
  providers: [AgendaService, RhythmRepository],
  exports: [AgendaService, RhythmRepository],
})
export class AgendaModule {}
